import { entryCost, wholeCost, type Entry } from "@yonderfell/core";
import { counted, figure } from "./format.js";
import { money } from "./money.js";
import { quantityWords } from "./quantityWords.js";

type Measure = NonNullable<Entry["measures"]>[number];

/** What the ids in an entry stand for; an id that stands for nothing is told as it is. */
export interface WorkNames {
  readonly fluid: (id: string) => string;
  readonly product: (id: string) => string;
  readonly part: (id: string) => string;
  readonly person: (id: string) => string;
  readonly finding: (id: string) => string;
  readonly currency: string;
}

const joined = (parts: readonly (string | null | undefined)[]): string =>
  parts.filter((part) => (part ?? "") !== "").join(" ");

/** `engine 12.6 L Fellmaster 15W-40, 11.9 L came out` */
export function fluidWords(
  { fluids }: Entry,
  names: Pick<WorkNames, "fluid" | "product">,
): string[] {
  return (fluids ?? []).map(({ fluid, product, in: filled, out }) => {
    const what = filled ? [quantityWords(filled), product ? names.product(product) : ""] : [];
    const drained = out ? `${quantityWords(out)} came out` : "";
    return [joined([names.fluid(fluid), ...what]), drained].filter(Boolean).join(", ");
  });
}

/** The parts an entry used: `2 × HD 4510 Oil filter`. */
export function partWords({ parts }: Entry, names: Pick<WorkNames, "part">): string[] {
  return (parts ?? []).map(({ part, count }) =>
    joined([
      count === 1 ? "" : `${figure(count, Number.isInteger(count) ? 0 : 1)} ×`,
      names.part(part),
    ]),
  );
}

/** What was measured: `pad, left: 9 mm, sound`. */
export function measureWords({ name, readings, verdict }: Measure): string {
  const found = [...(readings ?? []).map(quantityWords), verdict].filter(Boolean).join(", ");
  return [name, found].filter((words) => words !== "").join(": ");
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

/** What the work of an entry put right and took, in short pieces: findings, fluids, parts, measures, who and how long, others' bills, what it cost unless `hasCost` is false. */
export function workWords(entry: Entry, names: WorkNames, hasCost = true): string[] {
  const who = (entry.work ?? []).map(
    ({ person, minutes }) => `${names.person(person)} ${minutes} min`,
  );
  const bills = (entry.costs ?? []).map(({ what, kind }) =>
    joined([what, kind ? `(${kind})` : ""]),
  );
  const closed = (entry.closes ?? []).map((id) => `put right: ${names.finding(id)}`);
  const pieces = [
    ...closed,
    ...fluidWords(entry, names),
    ...partWords(entry, names),
    ...(entry.measures ?? []).map(measureWords),
    ...who,
    ...bills,
    ...(hasCost ? [costWords(entry, names.currency)] : []),
  ];
  return pieces.filter((piece) => piece !== "");
}
