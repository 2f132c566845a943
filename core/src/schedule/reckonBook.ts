import type { Book } from "../book/file/book.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { settingsOf } from "../book/records/settings.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonMachine, type MachineReckoning } from "./reckonMachine.js";

/** The due rules for a whole book on `today`, machines in the order of the file. */
export function reckonBook(book: Book, today: DayNumber): MachineReckoning[] {
  const settings = settingsOf(book);
  return [...recordsByMachine(book).values()].map((records) =>
    reckonMachine(records, settings, today),
  );
}
