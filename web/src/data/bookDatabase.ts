import { Dexie, type EntityTable, type Table, type Transaction } from "dexie";
import type { Draft, JournalLine } from "./bookStorage.js";
import type { StoredPicture } from "./picture.js";
import type { Page } from "./page.js";
import { refuseNewer } from "./refuseNewer.js";
import type { BoardRow, Fact, Row } from "./row.js";

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

/** The shared sections that came with version 2 of the book. */
const SHARED_SINCE_7 = {
  checklists: ROW_KEYS,
  methods: ROW_KEYS,
  closures: REFERRING_KEYS,
  stockMoves: REFERRING_KEYS,
  containers: ROW_KEYS,
  wasteMoves: REFERRING_KEYS,
  orders: REFERRING_KEYS,
} as const;

const PAGE_KEYS = "[machine+section+page], [section+count], newest, *refers";
const WITHOUT_ROWS_SINCE_6 = {
  readings: null,
  meterChanges: null,
  tasks: null,
  entries: null,
  fluids: null,
  servicePoints: null,
  specifications: null,
  fitments: null,
  visits: null,
  journeys: null,
} as const;

/** The code that brings an older database forward: fetched only where there is one, while its transaction waits. */
const older = () => Dexie.waitFor(import("./olderVersions.js"));

const setAside = (transaction: Transaction, sections: object): PromiseLike<void> =>
  older().then(({ setAsideUnread }) => setAsideUnread(transaction, Object.keys(sections)));

/** The database of one book. */
export class BookDatabase extends Dexie {
  readonly machines!: Table<Row<"machines">, string>;
  /** What belongs to machines, packed. */
  readonly pages!: Table<Page, [string, string, number]>;
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
      .upgrade((transaction) => older().then(({ toVersion2 }) => toVersion2(transaction)));
    // Plates, parts and people are records now.
    this.version(3)
      .stores({ machines: REFERRING_KEYS, ...SECTIONS_SINCE_3, pictures: "hash" })
      .upgrade((transaction) => setAside(transaction, SECTIONS_SINCE_3));
    // Visits are records now.
    this.version(4)
      .stores(SECTIONS_SINCE_4)
      .upgrade((transaction) => setAside(transaction, SECTIONS_SINCE_4));
    // Journeys are records now.
    this.version(5)
      .stores(SECTIONS_SINCE_5)
      .upgrade((transaction) => setAside(transaction, SECTIONS_SINCE_5));
    // What belongs to machines is packed; the rows go in the same transaction, once they are proved to be in the pages.
    this.version(6)
      .stores({ ...WITHOUT_ROWS_SINCE_6, pages: PAGE_KEYS })
      .upgrade((transaction) => older().then(({ packRows }) => packRows(transaction)));
    // Version 2 of the book: jobs, rounds, findings, stores are records now.
    this.version(7)
      .stores(SHARED_SINCE_7)
      .upgrade((transaction) => older().then(({ toVersion7 }) => toVersion7(transaction)));
    refuseNewer(this);
  }
}
