import { entryCost, wholeCost, type Entry } from "@yonderfell/core";
import { counted, figure } from "./format.js";
import { money } from "./money.js";
import { quantityWords } from "./quantityWords.js";

/** What the ids in an entry stand for; an id that stands for nothing is told as it is. */
export interface WorkNames {
  readonly fluid: (id: string) => string;
  readonly product: (id: string) => string;
  readonly part: (id: string) => string;
  readonly person: (id: string) => string;
  readonly currency: string;
}

const joined = (parts: readonly (string | null | undefined)[]): string =>
  parts.filter((part) => (part ?? "") !== "").join(" ");

/** `engine 12.6 L Fellmaster 15W-40, 11.9 L came out` */
function fluidWords({ fluids }: Entry, names: WorkNames): string[] {
  return (fluids ?? []).map(({ fluid, product, in: filled, out }) => {
    const what = filled ? [quantityWords(filled), product ? names.product(product) : ""] : [];
    const drained = out ? `${quantityWords(out)} came out` : "";
    return [joined([names.fluid(fluid), ...what]), drained].filter(Boolean).join(", ");
  });
}

function partWords({ parts }: Entry, names: WorkNames): string[] {
  return (parts ?? []).map(({ part, count }) =>
    joined([
      count === 1 ? "" : `${figure(count, Number.isInteger(count) ? 0 : 1)} ×`,
      names.part(part),
    ]),
  );
}

function measureWords({ measures }: Entry): string[] {
  return (measures ?? []).map(({ name, readings, verdict }) =>
    joined([name, (readings ?? []).map(quantityWords).join(", "), verdict]),
  );
}

/** `52.40 cr, 2 lines without a price`, `paid under warranty`; nothing where nothing was said to cost anything. */
function costWords(entry: Entry, currency: string): string {
  const cost = entryCost(entry);
  const lines = [entry.fluids, entry.parts, entry.work, entry.costs];
  if (lines.every((list) => (list ?? []).length === 0)) return "";
  const missing = cost.missing === 0 ? "" : `${counted(cost.missing, "line")} without a price`;
  const warranty = entry.warranty === true ? "under warranty" : "";
  return [money(wholeCost(cost), currency), missing, warranty].filter(Boolean).join(", ");
}

/** What the work of an entry took, in short pieces: fluids, parts, measures, who and how long, others' bills, what it cost. */
export function workWords(entry: Entry, names: WorkNames): string[] {
  const who = (entry.work ?? []).map(
    ({ person, minutes }) => `${names.person(person)} ${minutes} min`,
  );
  const bills = (entry.costs ?? []).map(({ what, kind }) =>
    joined([what, kind ? `(${kind})` : ""]),
  );
  const pieces = [
    ...fluidWords(entry, names),
    ...partWords(entry, names),
    ...measureWords(entry),
    ...who,
    ...bills,
    costWords(entry, names.currency),
  ];
  return pieces.filter((piece) => piece !== "");
}
