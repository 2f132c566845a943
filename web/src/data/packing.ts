import {
  sharedReferences,
  type MachineId,
  type OwnedSection,
  type RecordChange,
  type RecordOf,
} from "@yonderfell/core";
import { unpacked, type Held, type Page } from "./page.js";
import { referenceKey } from "./rows.js";

/** A change writes the pages it touches: so many records are written anew for one at most. */
const RECORDS_A_PAGE = 256;

type OwnedRecord = RecordOf[OwnedSection];

/** A page of a machine, with what it is looked up by. */
function packed(
  machine: MachineId,
  section: OwnedSection,
  page: number,
  held: readonly Held[],
): Page {
  const refers = new Set(
    held.flatMap(([, record]) => sharedReferences(section, record).map(referenceKey)),
  );
  const dates = section === "entries" ? held.map(([, record]) => dateOf(record)) : [];
  return {
    machine,
    section,
    page,
    count: held.length,
    ...(dates.length > 0 ? { newest: dates.reduce((a, b) => (a > b ? a : b)) } : {}),
    ...(refers.size > 0 ? { refers: [...refers] } : {}),
    text: JSON.stringify(held),
  };
}

const dateOf = (record: OwnedRecord): string => (record as RecordOf["entries"]).date;

/** All records of one section of a machine as pages. */
export function pagesOf(machine: MachineId, section: OwnedSection, held: readonly Held[]): Page[] {
  const pages: Page[] = [];
  for (let from = 0; from < held.length; from += RECORDS_A_PAGE) {
    const some = held.slice(from, from + RECORDS_A_PAGE);
    pages.push(packed(machine, section, pages.length, some));
  }
  return pages;
}

/** One section of one machine while it is changed. */
export class PackedSection {
  private readonly pages = new Map<number, Map<string, Held>>();
  private readonly pageOf = new Map<string, number>();
  private readonly touched = new Set<number>();
  private last = 0;

  constructor(
    private readonly machine: MachineId,
    private readonly section: OwnedSection,
    stored: readonly Page[],
  ) {
    for (const page of stored) {
      const held = new Map(unpacked([page]).map((one) => [one[1].id as string, one]));
      this.pages.set(page.page, held);
      for (const id of held.keys()) this.pageOf.set(id, page.page);
      this.last = Math.max(this.last, page.page);
    }
  }

  has(id: string): boolean {
    return this.pageOf.has(id);
  }

  find(id: string): Held | null {
    return this.pages.get(this.pageOf.get(id) ?? -1)?.get(id) ?? null;
  }

  /** Puts a record where it stood, or last with a place of its own. */
  put(record: OwnedRecord, nextPlace: () => number): void {
    const known = this.find(record.id);
    const page = this.pageOf.get(record.id) ?? this.roomy();
    const held = this.pages.get(page) ?? new Map<string, Held>();
    held.set(record.id, [known?.[0] ?? nextPlace(), record]);
    this.pages.set(page, held);
    this.pageOf.set(record.id, page);
    this.touched.add(page);
  }

  /** Takes a record away; answers the place it had, null where it was not there. */
  take(id: string): number | null {
    const page = this.pageOf.get(id);
    const known = this.find(id);
    if (page === undefined || known === null) return null;
    this.pages.get(page)?.delete(id);
    this.pageOf.delete(id);
    this.touched.add(page);
    return known[0];
  }

  /** The pages that have changed, as they are to be stored. */
  get changed(): Page[] {
    return [...this.touched].flatMap((page) => {
      const held = this.pages.get(page);
      if (held === undefined || held.size === 0) return [];
      return packed(this.machine, this.section, page, [...held.values()]);
    });
  }

  /** The keys of the pages that have been emptied. */
  get emptied(): [string, string, number][] {
    return [...this.touched].flatMap((page) =>
      (this.pages.get(page)?.size ?? 0) > 0 ? [] : [[this.machine, this.section, page]],
    );
  }

  private roomy(): number {
    if ((this.pages.get(this.last)?.size ?? 0) >= RECORDS_A_PAGE) this.last += 1;
    return this.last;
  }
}

/** The changes to records of one section, by the machine that has or had them. One that moves to another machine is taken from the one and put to the other. */
export function changesByMachine(changes: readonly RecordChange[]): Map<MachineId, RecordChange[]> {
  const found = new Map<MachineId, RecordChange[]>();
  const note = (machine: MachineId, change: RecordChange): void => {
    const list = found.get(machine);
    if (list === undefined) found.set(machine, [change]);
    else list.push(change);
  };
  for (const change of changes) {
    const [from, to] = [change.before, change.after].map(
      (record) => (record as OwnedRecord | null)?.machine ?? null,
    );
    if (from && from !== to) note(from, { ...change, after: null });
    if (to) note(to, from === to ? change : { ...change, before: null });
  }
  return found;
}
