import {
  dayOf,
  type Book,
  type BoardMachine,
  type MachineId,
  reckonMachineBook,
  machineBookOf,
  settingsOf,
} from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import type { Surroundings } from "../src/data/bookStorage.js";

/** The day the tests stand on. */
export const TODAY = dayOf("2026-11-23");

/** The demonstration book of that day. */
export const BOOK: Book = demonstrationBook(TODAY);

/** Surroundings whose ids count up from a start. */
export function countingSurroundings(prefix = "new"): Surroundings {
  let count = 0;
  return {
    today: TODAY,
    now: "2026-11-23T09:00:00.000Z",
    newId: () => `${prefix}-${(count += 1)}`,
  };
}

/** A machine of the demonstration book on the board. */
export function onTheBoard(id: string, book: Book = BOOK): BoardMachine {
  const own = machineBookOf(book, id as MachineId);
  if (own === null) throw new Error(`no machine ${id}`);
  return reckonMachineBook(own, settingsOf(book), TODAY);
}
