import type { Book } from "../book/file/book.js";
import { machinePlatesOf } from "../book/slice/machinePlate.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { plateWith, productsInside } from "../schedule/inside.js";
import { usualRate, type NeedsSource } from "../stores/taskNeeds.js";

/** The source of needs of each machine: its own plate with what is inside today, the book's parts and products, and what an hour of work costs. */
export function needsSources(
  book: Book,
  today: DayNumber,
): (records: MachineRecords) => NeedsSource {
  const rate = usualRate(book.people ?? []);
  const { parts = [], products = [] } = book;
  const plateOf = machinePlatesOf(book);
  return (records) => ({
    ...{ parts, products, rate },
    plate: plateWith(plateOf(records.machine.id), productsInside(records, today)),
  });
}
