import type { Entry, LogAsked, LogSums } from "@yonderfell/core";
import { useCallback, useEffect, useState } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { errorWords } from "../../../words/errorWords.js";
import { costsReckoned } from "../../../work/costsClient.js";

const PAGE = 100;

/** The log as far as it is read: what it comes to, and the entries of the pages that were in sight. */
export interface LogPages {
  /** Null until it is reckoned. */
  readonly sums: LogSums | null;
  /** Whether what stands there is of what was asked before. */
  readonly isReading: boolean;
  readonly entryAt: (index: number) => Entry | undefined;
  /** Reads what is to be shown between two places, both included. */
  readonly want: (first: number, last: number) => void;
  /** Why it could not be read, empty where it could. */
  readonly failure: string;
  /** Everything that was asked for, as a table. */
  readonly table: () => Promise<string[][]>;
}

interface Read {
  readonly key: string;
  readonly sums: LogSums | null;
  readonly pages: ReadonlyMap<number, readonly Entry[]>;
  readonly failure: string;
}

const NOTHING: ReadonlyMap<number, readonly Entry[]> = new Map();

/** What is asked of the log, read in pages as they come into sight. */
export function useLogPages(asked: LogAsked | null): LogPages {
  const { database } = useBook().entry;
  const seq = useAppSelector((state) => state.board.seq);
  const key = JSON.stringify([database, seq, asked]);
  const [read, setRead] = useState<Read>({ key: "", sums: null, pages: NOTHING, failure: "" });
  const [wanted, setWanted] = useState<readonly [number, number]>([0, 0]);
  useEffect(() => {
    if (asked === null || seq < 0) return undefined;
    let isWanted = true;
    costsReckoned()
      .logSums(database, seq, asked)
      .then(
        (sums) => isWanted && setRead({ key, sums, pages: NOTHING, failure: "" }),
        (error: unknown) =>
          isWanted && setRead({ key, sums: null, pages: NOTHING, failure: errorWords(error) }),
      );
    return () => {
      isWanted = false;
    };
  }, [key, database, seq, asked]);
  const [first, last] = wanted;
  useEffect(() => {
    if (asked === null || read.key !== key || read.sums === null) return undefined;
    let isWanted = true;
    for (let page = first; page <= last; page += 1) {
      if (read.pages.has(page)) continue;
      void costsReckoned()
        .logPage(database, seq, asked, page)
        .then((entries) => {
          if (!isWanted) return;
          setRead((before) =>
            before.key === key
              ? { ...before, pages: new Map(before.pages).set(page, entries) }
              : before,
          );
        });
    }
    return () => {
      isWanted = false;
    };
  }, [key, database, seq, asked, first, last, read]);
  const want = useCallback((from: number, to: number) => {
    setWanted((before) => {
      const next = [Math.floor(from / PAGE), Math.floor(to / PAGE)] as const;
      return next[0] === before[0] && next[1] === before[1] ? before : next;
    });
  }, []);
  return {
    // What was asked before stands until this is reckoned, so that the page does not jump.
    sums: read.sums,
    isReading: read.key !== key,
    entryAt: (index) => read.pages.get(Math.floor(index / PAGE))?.[index % PAGE],
    want,
    failure: read.key === key ? read.failure : "",
    table: () =>
      asked === null ? Promise.resolve([]) : costsReckoned().logAsTable(database, seq, asked),
  };
}
