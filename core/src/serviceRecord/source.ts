import type { Book } from "../book/file/book.js";
import type { Settings } from "../book/records/settings.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { MeterReckonings } from "../schedule/completion.js";
import type { DayNumber } from "../calendar/dayNumber.js";

/** What the ids of a record stand for. One that the book does not know stands for itself. */
export interface RecordNames {
  readonly task: (id: string) => string;
  readonly system: (id: string) => string;
  readonly person: (id: string) => string;
  readonly finding: (id: string) => string;
  readonly checklist: (id: string) => string;
  readonly check: (checklist: string, id: string) => string;
  readonly part: (id: string) => { readonly number: string; readonly name: string };
  readonly product: (id: string) => { readonly name: string; readonly claims: readonly string[] };
}

/** What a service record is made from. */
export interface RecordSource {
  readonly records: MachineRecords;
  readonly settings: Settings;
  readonly names: RecordNames;
  /** As they stand on the day of issue. */
  readonly meters: MeterReckonings;
  readonly issued: DayNumber;
}

/** The sections that the names of a record are read from. */
export type NamedSections = Pick<
  Book,
  "tasks" | "fluids" | "people" | "findings" | "checklists" | "parts" | "products"
>;

function byId<One extends { readonly id: string }>(
  all: readonly One[] | undefined,
): (id: string) => One | undefined {
  const known = new Map((all ?? []).map((one) => [one.id, one]));
  return (id) => known.get(id);
}

/** The names of a book, as a record says them. */
export function recordNames(book: NamedSections): RecordNames {
  const [task, fluid, person] = [byId(book.tasks), byId(book.fluids), byId(book.people)];
  const [finding, checklist] = [byId(book.findings), byId(book.checklists)];
  const [part, product] = [byId(book.parts), byId(book.products)];
  return {
    task: (id) => task(id)?.name ?? id,
    system: (id) => fluid(id)?.system ?? id,
    person: (id) => person(id)?.name ?? id,
    finding: (id) => finding(id)?.what ?? finding(id)?.kind ?? id,
    checklist: (id) => checklist(id)?.name ?? id,
    check: (list, id) => checklist(list)?.checks?.find((one) => one.id === id)?.name ?? id,
    part: (id) => ({ number: part(id)?.number ?? id, name: part(id)?.name ?? "" }),
    product: (id) => ({ name: product(id)?.name ?? id, claims: product(id)?.claims ?? [] }),
  };
}
