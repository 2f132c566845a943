import type { Book } from "../file/book.js";
import type { BookIssue, IssuePath } from "../file/issue.js";
import type { Amount } from "../records/amounts.js";
import type { Checklist } from "../records/checklist.js";
import type { Entry } from "../records/entry.js";
import type { Product } from "../records/product.js";
import { unitOfProduct } from "../records/productUnit.js";
import type { RecordOf } from "../records/recordSchemas.js";
import type { Section } from "../records/sections.js";
import type { StockMove } from "../records/stockMove.js";
import type { Task } from "../records/task.js";
import { dimensionOf } from "../../quantity/unit.js";

/** What of a book's shared records says in what others are measured; undefined where it is not there. */
export interface Measures {
  readonly product: (id: string) => Product | undefined;
  readonly checklist: (id: string) => Checklist | undefined;
}

const contradiction = (path: IssuePath, expected: string): BookIssue => ({
  code: "contradiction",
  path,
  expected,
});

/** Refuses an amount of a product in another dimension than it is counted in. */
function amountIssues(amount: Amount, product: Product | undefined, path: IssuePath): BookIssue[] {
  if (product === undefined) return [];
  const unit = unitOfProduct(product);
  if (typeof amount !== "number" && dimensionOf(amount.unit) === dimensionOf(unit)) return [];
  const what = unit === "kg" ? "a mass" : "a volume";
  return [contradiction(path, `${what}, as ${JSON.stringify(product.name)} is counted in ${unit}`)];
}

function moveIssues(move: StockMove, path: IssuePath, { product }: Measures): BookIssue[] {
  const at = [...path, "amount"];
  if ((move.product ?? null) !== null) {
    return amountIssues(move.amount, product(move.product ?? ""), at);
  }
  const isCount = typeof move.amount === "number" || dimensionOf(move.amount.unit) === "count";
  return isCount ? [] : [contradiction(at, "a count, as parts are counted")];
}

/** The fluids an entry took from the shelf, in another dimension than their product is counted in. */
function takenIssues({ fluids }: Entry, path: IssuePath, { product }: Measures): BookIssue[] {
  return (fluids ?? []).flatMap(({ from, in: amount, product: id }, at) => {
    if (from !== "stock" || !amount || !id) return [];
    return amountIssues(amount, product(id), [...path, "fluids", at, "in"]);
  });
}

/** The checks that a task's limits name: each is in its checklist, and has a unit (due rules §16). */
function limitIssues({ regimes }: Task, path: IssuePath, { checklist }: Measures): BookIssue[] {
  return Object.entries(regimes ?? {}).flatMap(([school, limits]) =>
    limits.flatMap((limit, at): BookIssue[] => {
      if (!("checklist" in limit) || (limit.checklist ?? null) === null) return [];
      const list = checklist(limit.checklist);
      if (list === undefined) return [];
      const place = [...path, "regimes", school, at, "check"];
      const check = (list.checks ?? []).find(({ id }) => id === limit.check);
      const id = JSON.stringify(limit.check);
      if (check === undefined) {
        const expected = `the id of a check of checklist ${JSON.stringify(list.id)} (there is no ${id})`;
        return [{ code: "reference-to-nothing", path: place, expected }];
      }
      if ((check.unit ?? null) !== null) return [];
      return [contradiction(place, `a check with a unit (${id} has none)`)];
    }),
  );
}

/** The sections whose records are measured by shared ones. */
const MEASURED_SECTIONS = ["tasks", "entries", "products", "stockMoves"] as const;
type MeasuredSection = (typeof MEASURED_SECTIONS)[number];

/** Whether the records of a section are measured by shared ones. */
export function isMeasured(section: Section): section is MeasuredSection {
  return (MEASURED_SECTIONS as readonly Section[]).includes(section);
}

/** What is measured in a record by what it cannot be measured by, or named by what is not there. */
export function measureIssuesOf(
  section: MeasuredSection,
  record: RecordOf[Section],
  path: IssuePath,
  measures: Measures,
): BookIssue[] {
  switch (section) {
    case "stockMoves":
      return moveIssues(record as StockMove, path, measures);
    case "entries":
      return takenIssues(record as Entry, path, measures);
    case "tasks":
      return limitIssues(record as Task, path, measures);
    case "products": {
      const product = record as Product;
      const { least } = product;
      return least ? amountIssues(least, product, [...path, "least"]) : [];
    }
  }
}

/** The same of a whole book, in the order of the file's sections. */
export function measureIssues(book: Book): BookIssue[] {
  const products = new Map<string, Product>((book.products ?? []).map((one) => [one.id, one]));
  const lists = new Map<string, Checklist>((book.checklists ?? []).map((one) => [one.id, one]));
  const measures = {
    product: (id: string) => products.get(id),
    checklist: (id: string) => lists.get(id),
  };
  return MEASURED_SECTIONS.flatMap((section) =>
    (book[section] ?? []).flatMap((record, index) =>
      measureIssuesOf(section, record, [section, index], measures),
    ),
  );
}
