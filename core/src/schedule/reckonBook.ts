import type { Book } from "../book/file/book.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { settingsOf } from "../book/records/settings.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonFindings, type FindingReckoning } from "./findingsDue.js";
import { machineState, reckonState, type MachineReckoning } from "./reckonMachine.js";

/** What is due on a machine, with its open findings. */
export interface WholeReckoning extends MachineReckoning {
  readonly findings: readonly FindingReckoning[];
}

/** The due rules for a whole book on `today`, machines in the order of the file. */
export function reckonBook(book: Book, today: DayNumber): WholeReckoning[] {
  const settings = settingsOf(book);
  return [...recordsByMachine(book).values()].map((records) => {
    const state = machineState(records, settings, today);
    return {
      ...reckonState(records, state, settings),
      findings: reckonFindings(records, state, settings),
    };
  });
}
