import type { Entry } from "../../book/records/entry.js";
import type { Machine } from "../../book/records/machine.js";
import { parseQuantity } from "../../quantity/parseQuantity.js";
import type { Quantity } from "../../quantity/quantity.js";
import type { CsvCells } from "./csvCells.js";
import type { CsvNames, Meant } from "./csvNames.js";
import { saidOnly } from "./csvShape.js";

type Line = Readonly<Record<string, unknown>>;
type Cells = Readonly<Record<string, string | number | null | undefined>>;

const FROM = ["stock", "bought", "supplied"] as const;
const COST_KINDS = ["shop", "consumables", "fee", "other"] as const;

/** The columns that may differ from row to row of one entry: a line of each of its lists stands in a row. */
export const LINE_COLUMNS = [
  ...["fluid", "condition", "product", "out", "in", "fluidPrice", "fluidFrom"],
  ...["part", "count", "partPrice", "partFrom"],
  ...["worker", "minutes", "rate"],
  ...["cost", "amount", "costKind"],
] as const;

/** What a cell names, by id or by what it is called. */
function named<Thing extends { readonly id: string }>(
  cells: CsvCells,
  key: string,
  find: (name: string) => Meant<Thing>,
  expected: string,
): string | null {
  const word = cells.word(key);
  if (word === null) return null;
  const meant = find(word);
  return meant.code === "one" ? meant.thing.id : cells.refuse(key, expected);
}

function amountOf(cells: CsvCells, key: string, machine: Machine): Quantity | null {
  const word = cells.word(key);
  if (word === null) return null;
  const gallons = machine.gallons ?? null;
  const { decimal } = cells.format;
  const read = parseQuantity(word, { unit: "L", also: ["mass"], decimal, gallons });
  if (!read.ok) return cells.refuse(key, "an amount such as 12.6 L or 0.8 kg");
  const { value, unit } = read.value.quantity;
  return { value, unit };
}

/** The line of a list that a row holds; null where it holds none, or none that can be read. */
function lineIn(
  cells: CsvCells,
  needed: string,
  others: readonly string[],
  expected: string,
  read: () => Line,
): Line | null {
  if (cells.word(needed) !== null) return saidOnly(read());
  const idle = others.find((key) => cells.word(key) !== null);
  return idle === undefined ? null : cells.refuse(idle, `${expected} in the same row`);
}

function fluidLine(cells: CsvCells, machine: Machine, names: CsvNames): Line | null {
  const others = ["condition", "product", "out", "in", "fluidPrice", "fluidFrom"];
  return lineIn(cells, "fluid", others, "the fluid of the machine", () => ({
    fluid: named(
      cells,
      "fluid",
      (name) => names.fluid(machine.id, name),
      `a fluid of ${machine.tag}`,
    ),
    condition: cells.text("condition"),
    product: named(cells, "product", (name) => names.product(name), "a product of this book"),
    out: amountOf(cells, "out", machine),
    in: amountOf(cells, "in", machine),
    price: cells.figure("fluidPrice"),
    from: cells.oneOf("fluidFrom", FROM),
  }));
}

function partLine(cells: CsvCells, names: CsvNames): Line | null {
  return lineIn(cells, "part", ["count", "partPrice", "partFrom"], "the part", () => ({
    part: named(cells, "part", (name) => names.part(name), "the number of a part of this book"),
    count: cells.figure("count") ?? 1,
    price: cells.figure("partPrice"),
    from: cells.oneOf("partFrom", FROM),
  }));
}

function workLine(cells: CsvCells, names: CsvNames): Line | null {
  return lineIn(cells, "worker", ["minutes", "rate"], "whose work it was", () => {
    const word = cells.word("worker") ?? "";
    const meant = names.person(word);
    return {
      person: meant.code === "one" ? meant.thing.id : word,
      minutes: cells.figure("minutes") ?? 0,
      rate: cells.figure("rate"),
    };
  });
}

function costLine(cells: CsvCells): Line | null {
  return lineIn(cells, "cost", ["amount", "costKind"], "what it was paid for", () => ({
    what: cells.text("cost"),
    amount: cells.figure("amount"),
    kind: cells.oneOf("costKind", COST_KINDS),
  }));
}

/** The fluids, parts, work and costs that the rows of an entry hold; null for each that they say nothing of. */
export function linesOf(
  rows: readonly CsvCells[],
  machine: Machine,
  names: CsvNames,
): Readonly<Record<string, readonly Line[] | null>> {
  const list = (read: (cells: CsvCells) => Line | null): readonly Line[] | null => {
    const lines = rows.flatMap((cells): Line[] => {
      const line = read(cells);
      return line === null ? [] : [line];
    });
    return lines.length === 0 ? null : lines;
  };
  return {
    fluids: list((cells) => fluidLine(cells, machine, names)),
    parts: list((cells) => partLine(cells, names)),
    work: list((cells) => workLine(cells, names)),
    costs: list(costLine),
  };
}

const amountCell = (amount: Quantity | null | undefined): string | null =>
  amount ? `${amount.value} ${amount.unit}` : null;

/** The cells of an entry's lines, a row at a time: the first of each of its lists in the first, the second in the second. */
export function lineCells(
  { machine, fluids = [], parts = [], work = [], costs = [] }: Entry,
  names: CsvNames,
): readonly Cells[] {
  const count = Math.max(fluids.length, parts.length, work.length, costs.length, 1);
  return Array.from({ length: count }, (_, at): Cells => {
    const [fluid, part, done, cost] = [fluids[at], parts[at], work[at], costs[at]];
    return {
      fluid: fluid && names.nameOfFluid(machine, fluid.fluid),
      condition: fluid?.condition,
      product: fluid?.product && names.nameOfProduct(fluid.product),
      out: amountCell(fluid?.out),
      in: amountCell(fluid?.in),
      fluidPrice: fluid?.price,
      fluidFrom: fluid?.from,
      part: part && names.nameOfPart(part.part),
      count: part?.count,
      partPrice: part?.price,
      partFrom: part?.from,
      worker: done && names.nameOfPerson(done.person),
      minutes: done?.minutes,
      rate: done?.rate,
      cost: cost?.what,
      amount: cost?.amount,
      costKind: cost?.kind,
    };
  });
}
