import type { DayNumber } from "@yonderfell/core";
import { useEffect, useState } from "react";
import { errorWords } from "../words/errorWords.js";
import { useBook } from "./openBook.js";
import { useAppSelector } from "./store.js";

/** What is reckoned beside the page, as far as it is. */
export interface Beside<Answer> {
  /** That from before while a change is reckoned, null before the first. */
  readonly answer: Answer | null;
  /** The last change it takes in. */
  readonly seq: number;
  /** Why it could not be reckoned, empty where it could. */
  readonly failure: string;
}

/** What a worker makes of the open book today, asked anew after each change; `ask` is one and the same function each time. */
export function useBeside<Answer>(
  ask: (database: string, today: DayNumber) => Promise<Answer>,
): Beside<Answer> {
  const { entry } = useBook();
  const seq = useAppSelector((state) => state.board.seq);
  const today = useAppSelector((state) => state.session.today);
  const [found, setFound] = useState<Beside<Answer>>({ answer: null, seq: -1, failure: "" });
  const { database } = entry;
  useEffect(() => {
    if (seq < 0) return undefined;
    let isWanted = true;
    const say = (answer: Answer | null, failure: string): void => {
      if (isWanted) setFound({ answer, seq, failure });
    };
    ask(database, today).then(
      (answer) => say(answer, ""),
      (error: unknown) => say(null, errorWords(error)),
    );
    return () => {
      isWanted = false;
    };
  }, [ask, database, seq, today]);
  return found;
}
