import type { Result } from "@yonderfell/core";
import { useCallback, useState } from "react";
import type { BookStorage, CommonRefusal, Saved, Surroundings } from "../data/bookStorage.js";
import { BookGone } from "../data/bookGone.js";
import { errorWords } from "../words/errorWords.js";
import { refusalWords } from "../words/refusalWords.js";
import { noteChange } from "./noteChange.js";
import { notifyChange } from "./notify.js";
import { surroundings, useBook } from "./openBook.js";
import { useInTurn } from "./useInTurn.js";
import { useOneAtATime } from "./useOneAtATime.js";

/** Runs a command in the storage: on a machine, on several, or on the book. */
type Act<Issue> = (
  storage: BookStorage,
  around: Surroundings,
) => Promise<Result<Saved, Issue | CommonRefusal>>;

/** What a person is told once it is saved; nothing where it is empty. */
type Told = string | ((saved: Saved) => string);

/** What is done once a change is durable, before another may be made: a way to go, say. */
type Then = (saved: Saved) => void | Promise<unknown>;

/** The way to run commands on the open book. */
export interface Commands<Issue> {
  /**
   * Runs a command unless an earlier one is still under way (or after it), and tells of it once it is durable; it can be taken back then. Answers what was saved, null where nothing was.
   */
  readonly run: (act: Act<Issue>, told: Told, then?: Then) => Promise<Saved | null>;
  /** What stood in the way of the last, empty where nothing did. */
  readonly failure: string;
  readonly fail: (words: string) => void;
}

const isCommon = (issue: { readonly code: string }): issue is CommonRefusal =>
  ["machine-missing", "changed-elsewhere", "still-needed"].includes(issue.code);

/** The words of commands that refuse nothing of their own. */
export const nothingRefused = (_: never): string => "";

/**
 * Runs commands one at a time and says in words what stood in the way; `wordsOf` words what the commands themselves refuse.
 * A second press while one is under way does nothing, as that of a button that logs; `isInTurn` has it done next, as
 * that of a choice which is changed again.
 */
export function useCommands<Issue extends { readonly code: string } = never>(
  wordsOf: (issue: Issue) => string,
  isInTurn = false,
): Commands<Issue> {
  const { storage } = useBook();
  const oneAtATime = useOneAtATime();
  const inTurn = useInTurn();
  const order = isInTurn ? inTurn : oneAtATime;
  const [failure, fail] = useState("");
  const run = useCallback<Commands<Issue>["run"]>(
    async (act, told, then) => {
      let saved: Saved | null = null;
      await order(async () => {
        try {
          const result = await act(storage, surroundings());
          if (!result.ok) {
            const [issue] = result.issues;
            if (issue === undefined) return fail("");
            const words = isCommon(issue) ? `Not saved: ${refusalWords(issue)}` : wordsOf(issue);
            return fail(words);
          }
          saved = result.value;
        } catch (error) {
          const file =
            error instanceof BookGone ? ` ${(await import("./lastFile.js")).lastFile()}` : "";
          return fail(
            `It was not saved: ${errorWords(error)}. What you typed is still here.${file}`,
          );
        }
        await noteChange(saved, storage);
        fail("");
        const words = typeof told === "string" ? told : told(saved);
        if (words !== "" && saved.isDoubtful !== true) notifyChange(words);
        try {
          await then?.(saved);
        } catch (error) {
          fail(`It is saved, but then something went wrong: ${errorWords(error)}.`);
        }
      });
      return saved;
    },
    [order, storage, wordsOf],
  );
  return { run, failure, fail };
}
