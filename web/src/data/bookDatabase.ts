import { Dexie, type EntityTable, type Table, type Transaction } from "dexie";
import type { BoardMachine, RecordOf, Section } from "@yonderfell/core";
import type { Draft, JournalLine } from "./bookStorage.js";
import type { StoredPicture } from "./picture.js";
import { machinesNamed } from "./machinesNamed.js";

/** A record as stored: itself, and what it is looked up by. */
export interface Row<S extends Section = Section> {
  readonly id: string;
  /** Its place in the section, so that a file keeps its order. */
  readonly place: number;
  readonly machine: string;
  readonly date: string;
  /** The record it replaces; empty where none. */
  readonly replaces: string;
  /** 1 where the record it replaces is of another machine; absent otherwise, so that the index holds only those. */
  readonly crosses?: 1;
  /** The shared records it refers to, as `section id`; absent where there are none. */
  readonly refers?: readonly string[];
  readonly record: RecordOf[S];
}

/** A fact about the book that is not a record: the rest of the file, counters, the last export. */
export interface Fact {
  readonly key: string;
  readonly value: unknown;
}

/** A machine of the board as it was last reckoned. */
export interface BoardRow {
  readonly machine: string;
  readonly place: number;
  readonly board: BoardMachine;
}

const ROW_KEYS = "id, place, machine";
const DATED_KEYS = `${ROW_KEYS}, replaces, crosses`;
const REFERRING_KEYS = `${ROW_KEYS}, *refers`;
const SECTIONS_SINCE_3 = {
  fluids: REFERRING_KEYS,
  servicePoints: ROW_KEYS,
  specifications: ROW_KEYS,
  fitments: REFERRING_KEYS,
  parts: ROW_KEYS,
  products: ROW_KEYS,
  people: ROW_KEYS,
  bays: REFERRING_KEYS,
  places: ROW_KEYS,
} as const;

const SECTIONS_SINCE_4 = { visits: ROW_KEYS } as const;
const SECTIONS_SINCE_5 = { journeys: ROW_KEYS } as const;

/** The database of one book. */
export class BookDatabase extends Dexie {
  readonly machines!: Table<Row<"machines">, string>;
  readonly readings!: Table<Row<"readings">, string>;
  readonly meterChanges!: Table<Row<"meterChanges">, string>;
  readonly tasks!: Table<Row<"tasks">, string>;
  readonly entries!: Table<Row<"entries">, string>;
  readonly fluids!: Table<Row<"fluids">, string>;
  readonly servicePoints!: Table<Row<"servicePoints">, string>;
  readonly specifications!: Table<Row<"specifications">, string>;
  readonly fitments!: Table<Row<"fitments">, string>;
  readonly parts!: Table<Row<"parts">, string>;
  readonly products!: Table<Row<"products">, string>;
  readonly people!: Table<Row<"people">, string>;
  readonly bays!: Table<Row<"bays">, string>;
  readonly places!: Table<Row<"places">, string>;
  readonly visits!: Table<Row<"visits">, string>;
  readonly journeys!: Table<Row<"journeys">, string>;
  readonly pictures!: EntityTable<StoredPicture, "hash">;
  readonly journal!: EntityTable<JournalLine, "seq">;
  readonly drafts!: EntityTable<Draft, "key">;
  readonly facts!: EntityTable<Fact, "key">;
  readonly board!: Table<BoardRow, string>;
  readonly boardFacts!: EntityTable<Fact, "key">;

  constructor(name: string) {
    // Strict: a transaction is reported complete only once it has reached the disk.
    super(name, { chromeTransactionDurability: "strict" });
    this.version(1).stores({
      machines: ROW_KEYS,
      readings: ROW_KEYS,
      meterChanges: ROW_KEYS,
      tasks: ROW_KEYS,
      entries: `${ROW_KEYS}, replaces, [date+place]`,
      journal: "++seq",
      drafts: "key",
      facts: "key",
    });
    // The board is kept, journal lines name the machines they touch, and each copy has a name.
    this.version(2)
      .stores({
        readings: DATED_KEYS,
        meterChanges: DATED_KEYS,
        entries: `${DATED_KEYS}, [date+place]`,
        board: "machine, place",
        boardFacts: "key",
      })
      .upgrade(async (transaction) => {
        // Not as other ids: this is part of the first load, and a page may not be served securely.
        const name = crypto.getRandomValues(new Uint32Array(4));
        await transaction.table("facts").put({ key: "copy", value: [...name].join("-") });
        await transaction
          .table<JournalLine>("journal")
          .toCollection()
          .modify((line, at) => {
            at.value = { ...line, machines: [...machinesNamed(line.change)] };
          });
      });
    // Plates, parts and people are records now.
    this.version(3)
      .stores({ machines: REFERRING_KEYS, ...SECTIONS_SINCE_3, pictures: "hash" })
      .upgrade((transaction) => setAsideUnread(transaction, Object.keys(SECTIONS_SINCE_3)));
    // Visits are records now.
    this.version(4)
      .stores(SECTIONS_SINCE_4)
      .upgrade((transaction) => setAsideUnread(transaction, Object.keys(SECTIONS_SINCE_4)));
    // Journeys are records now.
    this.version(5)
      .stores(SECTIONS_SINCE_5)
      .upgrade((transaction) => setAsideUnread(transaction, Object.keys(SECTIONS_SINCE_5)));
  }
}

/** Keeps what stood in the head under the names of new sections as it was, under names that say it was never looked at. */
async function setAsideUnread(
  transaction: Transaction,
  sections: readonly string[],
): Promise<void> {
  const facts = transaction.table<Fact>("facts");
  const head = (await facts.get("head"))?.value as Record<string, unknown> | undefined;
  const unread = Object.keys(head ?? {}).filter((key) => sections.includes(key));
  if (unread.length === 0) return;
  const renamed = Object.entries(head ?? {}).map(([key, value]) => [
    unread.includes(key) ? `${key} (not read)` : key,
    value,
  ]);
  await facts.put({ key: "head", value: Object.fromEntries(renamed) });
}
