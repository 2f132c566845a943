import { groupBy } from "es-toolkit";
import type { Book } from "../file/book.js";
import type { RecordOf } from "../records/recordSchemas.js";
import type { MachineId } from "../records/ids.js";
import {
  PLATE_SECTIONS,
  SHARED_SECTIONS,
  type PlateSection,
  type SharedSection,
} from "../records/sections.js";

/** What belongs in and on one machine: its fluids, service points, specifications and fitments. */
export type MachinePlate = { readonly [S in PlateSection]: readonly RecordOf[S][] };

/** What belongs to no one machine, and the machines themselves. */
export type SharedBook = {
  readonly [S in SharedSection | "machines"]: readonly RecordOf[S][];
};

/** A plate on which nothing is written yet. */
export const EMPTY_PLATE: MachinePlate = {
  fluids: [],
  servicePoints: [],
  specifications: [],
  fitments: [],
};

/** The plate of a machine. */
export function machinePlateOf(book: Book, id: MachineId): MachinePlate {
  const own = PLATE_SECTIONS.map((section) => [
    section,
    (book[section] ?? []).filter((record) => record.machine === id),
  ]);
  return Object.fromEntries(own) as MachinePlate;
}

/** The plates of a book's machines, gathered once for many. */
export function machinePlatesOf(
  book: Partial<Pick<Book, PlateSection>>,
): (id: MachineId) => MachinePlate {
  const grouped = PLATE_SECTIONS.map((section) => {
    const records: readonly { readonly machine: MachineId }[] = book[section] ?? [];
    return [section, groupBy(records, ({ machine }) => machine)] as const;
  });
  return (id) => {
    const own = grouped.map(([section, byMachine]) => [section, byMachine[id] ?? []] as const);
    return Object.fromEntries(own) as unknown as MachinePlate;
  };
}

/** What of a book belongs to no one machine. */
export function sharedBookOf(book: Book): SharedBook {
  const all = (["machines", ...SHARED_SECTIONS] as const).map((section) => [
    section,
    book[section] ?? [],
  ]);
  return Object.fromEntries(all) as SharedBook;
}
