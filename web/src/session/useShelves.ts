import { useEffect, useState } from "react";
import { shelvesReckoned } from "../work/shelvesClient.js";
import type { Shelves } from "../work/shelves.worker.js";
import { useBook } from "./openBook.js";
import { useAppSelector } from "./store.js";

/** What stands on the shelves and in the containers today, reckoned beside the page; that from before while a change is reckoned, null before the first. */
export function useShelves(): { readonly shelves: Shelves | null; readonly seq: number } {
  const { entry } = useBook();
  const seq = useAppSelector((state) => state.board.seq);
  const today = useAppSelector((state) => state.session.today);
  const [found, setFound] = useState<{ shelves: Shelves | null; seq: number }>({
    shelves: null,
    seq: -1,
  });
  const { database } = entry;
  useEffect(() => {
    if (seq < 0) return undefined;
    let isWanted = true;
    void shelvesReckoned()
      .shelvesOn(database, today)
      .then((shelves) => {
        if (isWanted) setFound({ shelves, seq });
      });
    return () => {
      isWanted = false;
    };
  }, [database, seq, today]);
  return found;
}
