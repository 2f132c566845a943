import { feedBoxes, formatDay, type MachineId } from "@yonderfell/core";
import { useState } from "react";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { errorWords } from "../../words/errorWords.js";
import { askFeed } from "../../work/feed.js";

const ABSENT =
  "The meter feed is not there: it is simulated by the server of the program, which does not answer now. A folder of its files, or what is pasted, can be taken in all the same.";
const NO_FIGURES =
  "Nothing to tell: none of these machines has a meter that runs and a figure of two weeks ago.";

/** Asks the meter feed for the figures of some machines, and hands them on; says what stood in the way. */
export function useFeed(onFile: (file: File) => void): {
  readonly ask: (machines: readonly MachineId[]) => Promise<void>;
  readonly failure: string;
} {
  const { storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const askNow = async (machines: readonly MachineId[]): Promise<void> => {
    const books = await storage.machineBooks(machines);
    const boxes = books.flatMap((book) => feedBoxes(book, today));
    if (boxes.length === 0) return setFailure(NO_FIGURES);
    const reply = await askFeed(boxes, formatDay(today));
    if (reply.code === "absent") return setFailure(ABSENT);
    setFailure("");
    onFile(reply.file);
  };
  const ask = (machines: readonly MachineId[]): Promise<void> =>
    once(() => askNow(machines).catch((error: unknown) => setFailure(errorWords(error))));
  return { ask, failure };
}
