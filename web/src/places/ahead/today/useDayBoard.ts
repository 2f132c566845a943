import type { BoardMachine, DayNumber } from "@yonderfell/core";
import { useEffect, useState } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { errorWords } from "../../../words/errorWords.js";
import { otherDays } from "../../../work/dayClient.js";

/** The board of a day, as far as it is reckoned. */
export interface DayBoard {
  readonly machines: readonly BoardMachine[];
  readonly isReady: boolean;
  /** Why it could not be reckoned, empty where it could. */
  readonly failure: string;
}

interface Reckoned extends DayBoard {
  readonly of: string;
}

/** The board as it stands on a day: that of today as it is kept, another one reckoned beside the page. */
export function useDayBoard(day: DayNumber): DayBoard {
  const { entry } = useBook();
  const board = useAppSelector((state) => state.board);
  const today = useAppSelector((state) => state.session.today);
  const [reckoned, setReckoned] = useState<Reckoned | null>(null);
  const { seq } = board;
  const isToday = day === today;
  const of = `${entry.database} ${day} ${seq}`;
  useEffect(() => {
    if (isToday || seq < 0) return undefined;
    let isWanted = true;
    const say = (answer: DayBoard): void => {
      if (isWanted) setReckoned({ of, ...answer });
    };
    otherDays()
      .boardOn(entry.database, day)
      .then(
        (machines) => say({ machines, isReady: true, failure: "" }),
        (error: unknown) => say({ machines: [], isReady: true, failure: errorWords(error) }),
      );
    return () => {
      isWanted = false;
    };
  }, [isToday, seq, of, entry.database, day]);
  if (isToday) {
    return { machines: board.machines, isReady: board.phase === "ready", failure: "" };
  }
  return reckoned?.of === of ? reckoned : { machines: [], isReady: false, failure: "" };
}
