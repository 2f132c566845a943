import {
  isOwned,
  crossingRecords,
  OWN_DATED_SECTIONS,
  headAfter,
  isOwnDated,
  SECTIONS,
  type Change,
  type DatedRecord,
  type OwnDatedSection,
  type MachineId,
  type OwnedSection,
  type RecordChange,
  type RecordOf,
} from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import type { RowSection } from "./row.js";
import { heldBy, tableOf } from "./bookSlices.js";
import type { OnWritten, Saved } from "./bookStorage.js";
import { crossingIn } from "./crossingRecords.js";
import { machinesNamed } from "./machinesNamed.js";
import { unpacked } from "./page.js";
import { pagesIn, pagesOfAll } from "./pagesIn.js";
import { changesByMachine, PackedSection } from "./packing.js";
import { rowOf } from "./rows.js";

/** So many changes the journal goes back; records never depend on it. */
const JOURNAL_LENGTH = 5000;
/** It is shortened every so many changes. */
const SHORTENED_EVERY = 50;
/** What is known of a whole database that a change may touch. */
const FACTS = ["places", "head", "copy", "lastRecordSeq", "crossing"] as const;
/** So many machines are written at a time, so that a long change can be followed and ended. */
const MACHINES_AT_ONCE = 20;

/** How a change is written: the number of the last record it numbered, and who is told how far it is. */
interface HowWritten {
  readonly lastSeq?: number;
  readonly onWritten?: OnWritten | undefined;
}

/** Makes a change within the running transaction, and a line of the journal for it. */
export async function writeChange(
  database: BookDatabase,
  change: Change,
  now: string,
  { lastSeq = 0, onWritten }: HowWritten = {},
): Promise<Saved & { readonly machines: readonly MachineId[] }> {
  const facts = await KnownFacts.of(database);
  const writing = new Writing(database, facts, onWritten);
  for (const section of SECTIONS) {
    const changes = change.records.filter((record) => record.section === section);
    if (changes.length === 0) continue;
    if (isOwned(section)) await writing.pages(section, changes);
    else await writing.rows(section, changes);
  }
  writing.keepPlaces();
  writeHead(facts, change);
  keepLastSeq(facts, change, lastSeq);
  const named = machinesNamed(change);
  const crossed = await crossedWith(database, facts, change, named, writing.hasStrays);
  for (const id of crossed) named.add(id);
  await facts.keep();
  const machines = [...named];
  const seq = await database.journal.add({ at: now, change, machines });
  if (seq % SHORTENED_EVERY === 0) {
    await database.journal
      .where("seq")
      .belowOrEqual(seq - JOURNAL_LENGTH)
      .delete();
  }
  return { seq, change, machines };
}

/** What the database knows of itself, read at once and written at once: each answer takes its time, and a tap waits for all of them. */
class KnownFacts {
  private readonly changed = new Map<string, unknown>();

  private constructor(
    private readonly database: BookDatabase,
    private readonly known: ReadonlyMap<string, unknown>,
  ) {}

  static async of(database: BookDatabase): Promise<KnownFacts> {
    const found = await database.facts.bulkGet([...FACTS]);
    return new KnownFacts(database, new Map(FACTS.map((key, at) => [key, found[at]?.value])));
  }

  get(key: (typeof FACTS)[number]): unknown {
    return this.changed.has(key) ? this.changed.get(key) : this.known.get(key);
  }

  set(key: (typeof FACTS)[number], value: unknown): void {
    this.changed.set(key, value);
  }

  /** Writes what was set. */
  async keep(): Promise<void> {
    if (this.changed.size === 0) return;
    const facts = [...this.changed].map(([key, value]) => ({ key, value }));
    await this.database.facts.bulkPut(facts);
  }
}

/** The records of one change while they are written. */
class Writing {
  /** Whether a record was put that replaces one not of its own machine. */
  hasStrays = false;
  private written = 0;
  private places: Record<string, number> | null = null;

  constructor(
    private readonly database: BookDatabase,
    private readonly facts: KnownFacts,
    private readonly onWritten: OnWritten | undefined,
  ) {}

  /** Writes changes to records that have a row each. */
  async rows(section: RowSection, changes: readonly RecordChange[]): Promise<void> {
    const table = tableOf(this.database, section);
    const known = await table.bulkGet(changes.map(({ id }) => id));
    let place = (await table.orderBy("place").last())?.place ?? -1;
    const rows = changes.flatMap(({ after }, index) =>
      after === null
        ? []
        : rowOf(section, after as RecordOf[RowSection], known[index]?.place ?? (place += 1)),
    );
    if (rows.length > 0) await table.bulkPut(rows);
    const gone = changes.filter(({ after }) => after === null).map(({ id }) => id);
    if (gone.length > 0) await table.bulkDelete(gone);
    this.note(changes.length);
  }

  /** Writes changes to records of machines. */
  async pages(section: OwnedSection, changes: readonly RecordChange[]): Promise<void> {
    const all = [...changesByMachine(changes)];
    const moved = new Map<string, number>();
    for (let from = 0; from < all.length; from += MACHINES_AT_ONCE) {
      const some = all.slice(from, from + MACHINES_AT_ONCE);
      const packs: PackedSection[] = [];
      for (const [machine, own] of some) {
        packs.push(await this.packed(section, machine, own, moved));
      }
      const changed = packs.flatMap((pack) => pack.changed);
      const emptied = packs.flatMap((pack) => pack.emptied);
      // A transaction with nothing asked of it would end here.
      if (changed.length > 0) await this.database.pages.bulkPut(changed);
      if (emptied.length > 0) await this.database.pages.bulkDelete(emptied);
      this.note(some.reduce((sum, [, own]) => sum + own.length, 0));
    }
  }

  /** Keeps which places have been given. */
  keepPlaces(): void {
    if (this.places !== null) this.facts.set("places", this.places);
  }

  /** One section of one machine with its changes made; `moved` holds the places of records on their way to another machine. */
  private async packed(
    section: OwnedSection,
    machine: MachineId,
    changes: readonly RecordChange[],
    moved: Map<string, number>,
  ): Promise<PackedSection> {
    const pack = new PackedSection(
      machine,
      section,
      await pagesIn(this.database, machine, section),
    );
    const places = (this.places ??= this.knownPlaces());
    for (const { id, after } of changes) {
      if (after === null) {
        const place = pack.take(id);
        if (place !== null) moved.set(id, place);
      } else {
        const nextPlace = (): number =>
          moved.get(id) ?? (places[section] = (places[section] ?? -1) + 1);
        pack.put(after as RecordOf[OwnedSection], nextPlace);
      }
    }
    if (isOwnDated(section)) {
      this.hasStrays ||= changes.some(({ after }) => {
        const replaced = (after as DatedRecord | null)?.replaces ?? null;
        return replaced !== null && !pack.has(replaced);
      });
    }
    return pack;
  }

  private knownPlaces(): Record<string, number> {
    return { ...((this.facts.get("places") ?? {}) as Record<string, number>) };
  }

  private note(records: number): void {
    this.onWritten?.((this.written += records));
  }
}

/**
 * The machines whose records cross with those that a change touches: they are moved with them. Keeps
 * which machines cross at all; all are looked through only where a record replaces one of another machine.
 */
async function crossedWith(
  database: BookDatabase,
  facts: KnownFacts,
  change: Change,
  touched: ReadonlySet<MachineId>,
  hasStrays: boolean,
): Promise<readonly MachineId[]> {
  const known = (facts.get("crossing") ?? []) as readonly MachineId[];
  const isTouched = known.some((id) => touched.has(id));
  if (!hasStrays && (!isTouched || !change.records.some(({ section }) => isOwnDated(section)))) {
    return isTouched ? known : [];
  }
  const found = new Set<MachineId>();
  for (const section of OWN_DATED_SECTIONS) {
    const crossing = hasStrays
      ? await allCrossing(database, section)
      : (await crossingIn(section, known, (id, from) => heldBy(database, id, from))).map(
          ([, record]) => record,
        );
    for (const { machine } of crossing) found.add(machine);
  }
  facts.set("crossing", [...found]);
  return [...new Set([...known, ...found])];
}

async function allCrossing(
  database: BookDatabase,
  section: OwnDatedSection,
): Promise<RecordOf[OwnDatedSection][]> {
  const held = unpacked<OwnDatedSection>(await pagesOfAll(database, section));
  return crossingRecords(held.map(([, record]) => record));
}

/** Writes the fields that a change sets, and what it deletes among what was deleted. */

function writeHead(facts: KnownFacts, change: Change): void {
  const before = (facts.get("head") ?? {}) as Record<string, unknown>;
  const value = headAfter(before, change, (facts.get("copy") ?? "") as string);
  if (value !== before) facts.set("head", value);
}

/** Records made later are numbered after all that a change made or brought. */
function keepLastSeq(facts: KnownFacts, change: Change, numbered: number): void {
  const known = Number(facts.get("lastRecordSeq") ?? 0);
  const last = change.records.reduce(
    (most, { after }) => Math.max(most, (after as DatedRecord | null)?.seq ?? 0),
    Math.max(known, numbered),
  );
  if (last > known) facts.set("lastRecordSeq", last);
}
