import {
  currentRecords,
  dayOf,
  partsFromDay,
  type Entry,
  type Finding,
  type Machine,
  type MachineBook,
  type MachineId,
  type Part,
  type Product,
  type Section,
  type ServicePoint,
} from "@yonderfell/core";
import MiniSearch from "minisearch";
import { quantityWords } from "../words/quantityWords.js";
import { entryTitle } from "../words/entryWords.js";
import type { BoardSource } from "../data/bookStorage.js";

/** Something of the book that can be found. */
export interface Found {
  readonly kind: "machine" | "task" | "point" | "finding" | "part" | "fluid" | "entry";
  /** Its own id. */
  readonly id: string;
  /** Null for a part and a fluid, which belong to no one machine. */
  readonly machine: MachineId | null;
  readonly tag: string;
  readonly title: string;
  readonly detail: string;
  /** The date of an entry, `YYYY-MM-DD`; empty for the others. */
  readonly date: string;
}

interface Document extends Found {
  /** Told apart over all kinds. */
  readonly key: string;
  readonly words: string;
}

type Scored = Found & { readonly score: number };
/** An entry with at least this share of the best one's score is taken to fit as well. */
const FITS_AS_WELL = 0.4;

/** Of the same words a machine is meant before a task of it, and that before a part or an entry. */
const WEIGHT = {
  ...({ machine: 3, task: 2, point: 1.5, finding: 1.5 } as const),
  ...({ part: 1.5, fluid: 1.5, entry: 1 } as const),
};
const MACHINES_AT_ONCE = 20;
const MONTHS = [
  ...["January", "February", "March", "April", "May", "June", "July"],
  ...["August", "September", "October", "November", "December"],
];

/** Finds what stands in a book by words, whole or begun, also with a slip of the finger. Keeps its index current by the journal. */
export class Finder {
  private readonly index = new MiniSearch<Document>({
    idField: "key",
    fields: ["tag", "title", "detail", "words"],
    storeFields: ["kind", "id", "machine", "tag", "title", "detail", "date"],
    searchOptions: {
      prefix: true,
      fuzzy: (term) => (/\d/.test(term) || term.length < 4 ? false : 0.25),
      combineWith: "AND",
      boost: { tag: 4, title: 2 },
      boostDocument: (_key, _term, stored) => WEIGHT[(stored as unknown as Found).kind],
    },
  });
  private readonly keys = new Map<MachineId, readonly string[]>();
  private storesKeys: readonly string[] = [];
  private seq: number | null = null;
  /** The index is brought up to date by one search at a time. */
  private turn: Promise<void> = Promise.resolve();

  constructor(private readonly storage: BoardSource) {}

  /** What fits all the words, best first. */
  async find(words: string, limit: number): Promise<readonly Found[]> {
    const caughtUp = this.turn.then(() => this.catchUp());
    // A search that failed does not keep the next from trying.
    this.turn = caughtUp.catch(() => undefined);
    await caughtUp;
    const results = this.index.search(words) as unknown as readonly Scored[];
    const entries = results.filter((one) => one.kind === "entry");
    const best = entries[0]?.score ?? 0;
    // Of entries that fit about as well the latest is meant.
    const latest = entries
      .filter((one) => one.score >= best * FITS_AS_WELL)
      .sort((one, other) => (one.date < other.date ? 1 : Number(one.date > other.date) * -1));
    return [...results.filter((one) => one.kind !== "entry"), ...latest].slice(0, limit);
  }

  /** Brings the index up to the last change. */
  private async catchUp(): Promise<void> {
    const lastSeq = await this.storage.lastSeq();
    if (lastSeq === this.seq) return;
    const lines = this.seq === null ? null : await this.storage.changesAfter(this.seq);
    const ids =
      lines === null
        ? (await this.storage.machines()).map((machine) => machine.id)
        : [...new Set(lines.flatMap((line) => line.machines))];
    for (let from = 0; from < ids.length; from += MACHINES_AT_ONCE) {
      const some = ids.slice(from, from + MACHINES_AT_ONCE);
      for (const id of some) this.forget(id);
      for (const book of await this.storage.machineBooks(some)) this.learn(book);
    }
    if (lines === null || lines.some(({ change }) => change.records.some(isOfTheStores))) {
      await this.learnStores();
    }
    this.seq = lastSeq;
  }

  /** Parts and fluids, found also by the machines that take them. */
  private async learnStores(): Promise<void> {
    const { storage } = this;
    const machines = await storage.machines();
    const names = new Map(machines.map(({ id, tag, name }) => [id, `${tag} ${name}`]));
    const takers = new Map<string, string[]>();
    for (const { part, machine } of await storage.list("fitments")) {
      takers.set(part, [...(takers.get(part) ?? []), names.get(machine) ?? ""]);
    }
    const documents = [
      ...(await storage.list("parts")).map((part) => partDocument(part, takers.get(part.id) ?? [])),
      ...(await storage.list("products")).map(productDocument),
      ...(await this.pointDocuments(machines)),
      ...(await this.findingDocuments(machines)),
    ];
    this.index.discardAll(this.storesKeys);
    this.index.addAll(documents);
    this.storesKeys = documents.map((document) => document.key);
  }

  /** The service points of plates: what is found is its torque, its tool and its seal. */
  private async pointDocuments(machines: readonly Machine[]): Promise<Document[]> {
    const { storage } = this;
    const byId = new Map(machines.map((machine) => [machine.id, machine]));
    const systems = new Map((await storage.list("fluids")).map(({ id, system }) => [id, system]));
    return (await storage.list("servicePoints")).flatMap((point) => {
      const machine = byId.get(point.machine);
      const system = point.fluid ? (systems.get(point.fluid) ?? "") : "";
      return machine === undefined ? [] : pointDocument(point, machine, system);
    });
  }

  /** What was found on machines, open or closed. */
  private async findingDocuments(machines: readonly Machine[]): Promise<Document[]> {
    const byId = new Map(machines.map((machine) => [machine.id, machine]));
    return (await this.storage.list("findings")).flatMap((finding) => {
      const machine = byId.get(finding.machine);
      return machine === undefined ? [] : findingDocument(finding, machine);
    });
  }

  private forget(machine: MachineId): void {
    this.index.discardAll(this.keys.get(machine) ?? []);
    this.keys.delete(machine);
  }

  private learn(book: MachineBook): void {
    const documents = documentsOf(book);
    this.index.addAll(documents);
    this.keys.set(
      book.machines[0].id,
      documents.map((document) => document.key),
    );
  }
}

const STORES: readonly Section[] = [
  ...(["parts", "products", "fitments", "servicePoints", "fluids", "findings"] as const),
];
const isOfTheStores = ({ section }: { readonly section: Section }): boolean =>
  STORES.includes(section);

const NOWHERE = { machine: null, tag: "", date: "" } as const;

function partDocument(part: Part, takers: readonly string[]): Document {
  const { id, name, number, kind, equivalents, supersededBy, note } = part;
  const words = [kind, ...(equivalents ?? []), supersededBy, note, ...takers];
  return {
    ...NOWHERE,
    kind: "part",
    id,
    key: JSON.stringify(["part", id]),
    title: `${name} ${number}`,
    detail: (supersededBy ?? "") === "" ? (kind ?? "") : `order ${supersededBy} instead`,
    words: words.filter(Boolean).join(" "),
  };
}

function pointDocument(
  { id, name, purpose, where, tool, torque, seal, count, note }: ServicePoint,
  { id: machine, tag, name: of }: Machine,
  system: string,
): Document {
  const figures = [torque ? quantityWords(torque) : "", tool, seal ? `renew ${seal}` : ""];
  return {
    kind: "point",
    id,
    machine,
    tag,
    date: "",
    key: JSON.stringify(["point", id]),
    title: (count ?? 1) > 1 ? `${name} × ${count}` : name,
    detail: [[of, system].filter(Boolean).join(", "), ...figures].filter(Boolean).join(" · "),
    words: [purpose, where, note, torque ? "torque" : ""].filter(Boolean).join(" "),
  };
}

function findingDocument(
  { id, what, kind, where, verdict, found, evidence, todo, note }: Finding,
  { id: machine, tag, name }: Machine,
): Document {
  return {
    ...{ kind: "finding", id, machine, tag, date: found },
    key: JSON.stringify(["finding", id]),
    title: what ?? kind ?? "finding",
    detail: [name, where, verdict].filter(Boolean).join(" · "),
    words: ["finding", kind, evidence, todo, note].filter(Boolean).join(" "),
  };
}

function productDocument({ id, name, kind, grade, claims, note }: Product): Document {
  return {
    ...NOWHERE,
    kind: "fluid",
    id,
    key: JSON.stringify(["fluid", id]),
    title: name,
    detail: [kind, grade].filter(Boolean).join(" "),
    words: [...(claims ?? []), note].filter(Boolean).join(" "),
  };
}

function documentsOf(book: MachineBook): Document[] {
  const [{ id: machine, tag, name, kind, description, registration, vin, serial }] = book.machines;
  const document = (
    found: Omit<Found, "machine" | "tag" | "date"> & { readonly date?: string },
    words: string,
  ): Document => ({
    date: "",
    ...found,
    machine,
    tag,
    words,
    key: JSON.stringify([found.kind, found.id]),
  });
  const itself = document(
    { kind: "machine", id: machine, title: name, detail: description ?? kind },
    [kind, registration, vin, serial].filter(Boolean).join(" "),
  );
  const tasks = book.tasks.map((task) =>
    document({ kind: "task", id: task.id, title: task.name, detail: name }, ""),
  );
  const names = new Map(book.tasks.map((task) => [task.id, task.name]));
  const entries = currentRecords(book.entries)
    .filter(({ record }) => record.machine === machine)
    .map(({ record }) => entryDocument(record, names, name, document));
  return [itself, ...tasks, ...entries];
}

function entryDocument(
  entry: Entry,
  names: ReadonlyMap<string, string>,
  machine: string,
  document: (found: Omit<Found, "machine" | "tag">, words: string) => Document,
): Document {
  const said = entryTitle(entry, (task) => names.get(task) ?? task);
  const note = entry.note ?? "";
  const title = said === "" ? note : said;
  const detail = said === "" ? machine : [machine, note].filter(Boolean).join(" · ");
  const { year, month, dayOfMonth } = partsFromDay(dayOf(entry.date));
  const words = `${dayOfMonth} ${MONTHS[month - 1]} ${year}`;
  return document({ kind: "entry", id: entry.id, title, detail, date: entry.date }, words);
}
