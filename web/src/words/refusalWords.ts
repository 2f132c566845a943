import { describeIssue } from "@yonderfell/core";
import type { CommonRefusal, TakeBackRefusal } from "../data/bookStorage.js";

/** Why a change could not be made, as a sentence. */
export function refusalWords(refusal: TakeBackRefusal | CommonRefusal): string {
  switch (refusal.code) {
    case "machine-missing":
      return "the machine is no longer in the book.";
    case "changed-elsewhere":
      return "it was changed since, here or in another tab.";
    case "still-needed":
      return `other records stand on it (${describeIssue(refusal.issue)}). Take those back first.`;
    case "no-longer-known":
      return "it is too long ago. Correct the record instead.";
  }
}
