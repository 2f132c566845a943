import type { Entry, EntryNames, LogAsked, LogSums } from "@yonderfell/core";
import { useCallback, useEffect, useState } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { errorWords } from "../../../words/errorWords.js";
import type { LogPart } from "../../../work/costs.worker.js";
import { costsReckoned } from "../../../work/costsClient.js";

/** So many entries are read at a time. */
const PAGE = 100;

/** An entry of the log, with what the ids in it stand for. */
export interface LoggedRow {
  readonly entry: Entry;
  readonly names: EntryNames;
}

/** The log as far as it is read: what it comes to, and the entries of the pages that were in sight. */
export interface LogPages {
  /** Null until it is reckoned. */
  readonly sums: LogSums | null;
  /** Whether what stands there is of what was asked before. */
  readonly isReading: boolean;
  readonly rowAt: (index: number) => LoggedRow | undefined;
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
  readonly pages: ReadonlyMap<number, LogPart>;
  readonly failure: string;
}

const NOTHING: ReadonlyMap<number, LogPart> = new Map();

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
      const say = (change: (before: Read) => Read): void => {
        if (isWanted) setRead((before) => (before.key === key ? change(before) : before));
      };
      costsReckoned()
        .logPart(database, seq, asked, [page * PAGE, PAGE])
        .then(
          (part) => say((before) => ({ ...before, pages: new Map(before.pages).set(page, part) })),
          (error: unknown) => say((before) => ({ ...before, failure: errorWords(error) })),
        );
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
    rowAt: (index) => {
      const part = read.pages.get(Math.floor(index / PAGE));
      const entry = part?.entries[index % PAGE];
      return part === undefined || entry === undefined ? undefined : { entry, names: part.names };
    },
    want,
    failure: read.key === key ? read.failure : "",
    table: () =>
      asked === null ? Promise.resolve([]) : costsReckoned().logAsTable(database, seq, asked),
  };
}
