import {
  keepRecord,
  ownerOf,
  type EditedSection,
  type KeepIssue,
  type Need,
  type RecordOf,
  type Result,
  type Section,
} from "@yonderfell/core";
import { useCallback } from "react";
import type { BookStorage, CommonRefusal, Saved, Surroundings } from "../data/bookStorage.js";
import { keepIssueWords } from "../words/keepIssueWords.js";
import { useCommands } from "./useCommands.js";

/** Keeps a record as edited; answers whether it is saved. */
export type Keep = <S extends EditedSection>(
  section: S,
  before: RecordOf[S] | null,
  after: RecordOf[S] | null,
) => Promise<boolean>;

/** Keeps a record in the storage: of a machine among those of its machine, else among all of its section. */
async function keepIn<S extends EditedSection>(
  storage: Pick<BookStorage, "perform" | "performShared">,
  section: S,
  before: RecordOf[S] | null,
  after: RecordOf[S] | null,
  around: Surroundings,
): Promise<Result<Saved, KeepIssue | CommonRefusal>> {
  const keep = (held: Readonly<Partial<Record<Section, unknown>>>) =>
    keepRecord(held[section] as readonly RecordOf[S][], section, before, after);
  const record = after ?? before;
  const owner = record === null ? null : ownerOf(section, record);
  if (owner === null) return storage.performShared([section], keep, around);
  const needs: readonly Need[] = section === "machines" ? [] : [section];
  return storage.perform(owner, needs, keep, around);
}

/** The way to keep records that are edited in place, and what stood in the way of the last. */
export function useKeep(): { readonly keep: Keep; readonly failure: string } {
  const { run, failure } = useCommands(keepIssueWords, true);
  const keep = useCallback<Keep>(
    async (section, before, after) => {
      const told = after === null ? "Taken out." : "Saved.";
      const saved = await run(
        (storage, around) => keepIn(storage, section, before, after, around),
        told,
      );
      return saved !== null;
    },
    [run],
  );
  return { keep, failure };
}
