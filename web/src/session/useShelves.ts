import { useEffect, useState } from "react";
import { shelvesReckoned } from "../work/shelvesClient.js";
import type { Shelves } from "../work/shelves.worker.js";
import { errorWords } from "../words/errorWords.js";
import { useBook } from "./openBook.js";
import { useAppSelector } from "./store.js";

/** What stands on the shelves and in the containers, as far as it is reckoned. */
interface ShelvesSoFar {
  /** That from before while a change is reckoned, null before the first. */
  readonly shelves: Shelves | null;
  /** The last change it takes in. */
  readonly seq: number;
  /** Why it could not be reckoned, empty where it could. */
  readonly failure: string;
}

/** What stands on the shelves and in the containers today, reckoned beside the page, anew after each change. */
export function useShelves(): ShelvesSoFar {
  const { entry } = useBook();
  const seq = useAppSelector((state) => state.board.seq);
  const today = useAppSelector((state) => state.session.today);
  const [found, setFound] = useState<ShelvesSoFar>({ shelves: null, seq: -1, failure: "" });
  const { database } = entry;
  useEffect(() => {
    if (seq < 0) return undefined;
    let isWanted = true;
    const say = (shelves: Shelves | null, failure: string): void => {
      if (isWanted) setFound({ shelves, seq, failure });
    };
    shelvesReckoned()
      .shelvesOn(database, today)
      .then(
        (shelves) => say(shelves, ""),
        (error: unknown) => say(null, errorWords(error)),
      );
    return () => {
      isWanted = false;
    };
  }, [database, seq, today]);
  return found;
}
