import type { Book } from "../../book/file/book.js";
import type { Machine } from "../../book/records/machine.js";
import type { Method } from "../../book/records/job.js";
import { machineBookOf } from "../../book/slice/machineBook.js";
import { machinePlateOf } from "../../book/slice/machinePlate.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { plateNow } from "../../schedule/inside.js";
import type { PlannedFrom } from "../../ledger/plannedWork.js";
import { stockOn, type StockList } from "../../stores/stockOn.js";

/** What a card is made from: the machine with its plate and what is in it now, Stores, and the methods of the book. */
export interface CardFrom extends PlannedFrom {
  readonly machine: Machine;
  readonly methods: readonly Method[];
  /** What is on hand (records §2); null where it is not known. */
  readonly onHand: StockList | null;
  /** Names of ways that were chosen for tasks, by the task's id; where none was, the first that fits is taken. */
  readonly chosen?: ReadonlyMap<string, string>;
}

/** What cards of a machine are made from, out of a whole book. */
export function cardFrom(book: Book, machine: Machine, today: DayNumber): CardFrom {
  const own = machineBookOf(book, machine.id);
  const plate = machinePlateOf(book, machine.id);
  return {
    machine,
    plate: own === null ? plate : plateNow(plate, own, today),
    ...{ parts: book.parts ?? [], products: book.products ?? [] },
    stockMoves: book.stockMoves ?? [],
    methods: book.methods ?? [],
    onHand: stockOn(book, today),
  };
}
