import type { Book } from "../src/book/file/book.js";
import { RECORD_SCHEMAS } from "../src/book/records/recordSchemas.js";
import {
  BOOK_FORMAT,
  BOOK_VERSION,
  isDated,
  isOwned,
  SECTIONS,
  type Section,
} from "../src/book/records/sections.js";
import { REFERS, type ReferredTo } from "../src/book/references/refers.js";
import { drawing, drawnFrom, type Draw } from "./drawnFrom.js";

type Loose = Record<string, unknown>;
type Drawn = Record<Section, Loose[]>;

const MACHINES = ["bus", "mower"];
const METERS = [
  { id: "odo", measure: "distance", unit: "km" },
  { id: "hrs", measure: "hours", unit: "h" },
];
const IDS_EACH = 3;

const pick = <T>(draw: Draw, list: readonly T[]): T => list[Math.floor(draw() * list.length)] as T;
const listIn = (record: Loose, key: string): Loose[] => (record[key] ?? []) as Loose[];

/** Puts ids that are there in the places of a record that hold ids. */
class Referring {
  constructor(
    private readonly draw: Draw,
    private readonly ids: (to: ReferredTo, machine: string) => readonly string[],
  ) {}

  settle(section: Section, record: Loose): void {
    const declared = Object.entries<ReferredTo | null>(REFERS[section]);
    for (const [at, to] of declared) {
      if (to !== null && to !== "pictures") {
        this.walk(record, at.split("."), this.ids(to, String(record["machine"] ?? record["id"])));
      }
    }
  }

  private walk(
    value: unknown,
    [step = "", ...rest]: readonly string[],
    ids: readonly string[],
  ): void {
    if (typeof value !== "object" || value === null) return;
    const holder = value as Loose;
    if (step === "#") {
      const figures = Object.values(holder);
      for (const key of Object.keys(holder)) delete holder[key];
      figures.forEach((figure, index) => {
        const id = ids[index];
        if (id !== undefined) holder[id] = figure;
      });
      return;
    }
    const keys = step === "*" ? Object.keys(holder) : [step];
    for (const key of keys) {
      if (rest.length > 0) this.walk(holder[key], rest, ids);
      else if (typeof holder[key] === "string") holder[key] = pick(this.draw, ids);
    }
  }
}

/** Mends what records contradict in one another: what no schema sees (due rules §1, records §2, §3). */
const MENDED: Readonly<
  Partial<Record<Section, (record: Loose, index: number, book: Drawn) => void>>
> = {
  machines: (machine) => {
    machine["meters"] = METERS;
    machine["stops"] = listIn(machine, "stops").slice(0, 1);
  },
  meterChanges: (change, index) => {
    change["date"] = `2025-0${index + 1}-11`;
  },
  tasks: (task, _index, { checklists }) => {
    delete task["nth"];
    delete task["follows"];
    task["regimes"] ??= {};
    for (const limits of Object.values(task["regimes"] as Record<string, Loose[]>)) {
      for (const limit of limits) {
        if ((limit["checklist"] ?? null) === null) continue;
        const list = checklists.find(({ id }) => id === limit["checklist"]);
        limit["check"] = listIn(list ?? {}, "checks")[0]?.["id"];
      }
    }
  },
  checklists: (list) => {
    const checks = listIn(list, "checks").map((check, at) => ({
      ...check,
      id: `k${at}`,
      unit: "mm",
    }));
    list["checks"] =
      checks.length > 0 ? checks : [{ id: "k0", name: "pad", how: "measure", unit: "mm" }];
  },
  rounds: (round) => {
    listIn(round, "results").forEach((result, at) => {
      result["check"] = `k${at}`;
    });
  },
  fluids: (fluid) => {
    delete fluid["working"];
    listIn(fluid, "capacities").forEach((capacity, at) => {
      capacity["id"] = `c${at}`;
    });
  },
  products: (product) => {
    delete product["unit"];
    if (product["least"]) product["least"] = { value: 4, unit: "us-qt" };
  },
  entries: (entry) => {
    for (const used of listIn(entry, "fluids")) {
      if (used["from"] === "stock" && used["in"]) used["in"] = { value: 2.5, unit: "L" };
    }
  },
  stockMoves: (move) => {
    const isOfPart = (move["part"] ?? null) !== null;
    move["amount"] = isOfPart ? 3 : { value: 1.5, unit: "imp-gal" };
  },
};

/** A sound book with records of every section, and in them whatever their schemas take. */
export function randomBook(seed: number): Book {
  const draw = drawing(seed);
  const book = Object.fromEntries(SECTIONS.map((section) => [section, []])) as unknown as Drawn;
  const idsOf = (section: Section, machine: string): readonly string[] =>
    Array.from({ length: IDS_EACH }, (_, at) =>
      isOwned(section) ? `${machine}-${section}-${at}` : `${section}-${at}`,
    );
  const ids = (to: ReferredTo, machine: string): readonly string[] => {
    if (to === "meters") return METERS.map(({ id }) => id);
    if (to === "machines" || to === "pictures") return MACHINES;
    return idsOf(to, machine);
  };
  const referring = new Referring(draw, ids);
  // Checklists first: limits are measured by their checks.
  const first: readonly Section[] = ["checklists"];
  for (const section of [...first, ...SECTIONS.filter((one) => !first.includes(one))]) {
    for (const machine of isOwned(section) ? MACHINES : [""]) {
      const own = section === "machines" ? MACHINES : idsOf(section, machine);
      own.forEach((id, index) => {
        const record = drawnFrom(RECORD_SCHEMAS[section], draw) as Loose;
        record["id"] = id;
        if (isOwned(section)) record["machine"] = machine;
        if (isDated(section)) {
          record["seq"] = book[section].length + 1;
          delete record["replaces"];
          // The last one corrects the one before it, now and then.
          const before = own[index - 1];
          if (index === IDS_EACH - 1 && draw() < 0.5) record["replaces"] = before;
        }
        referring.settle(section, record);
        MENDED[section]?.(record, index, book);
        book[section].push(record);
      });
    }
  }
  return { format: BOOK_FORMAT, version: BOOK_VERSION, ...book } as unknown as Book;
}
