import {
  entryCost,
  wholeCost,
  type PlannedFluid,
  type PlannedPart,
  type WorkTook,
} from "@yonderfell/core";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { counted, figure, NBSP } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { quantityWords } from "../../../words/quantityWords.js";
import type { FormCost, FormFluid, FormMinutes, FormPart, TookIssue } from "./tookModel.js";

const joined = (parts: readonly string[]): string => parts.filter((part) => part !== "").join(" ");

/** What the tasks are known to take of a fluid: `engine 12.6 L Fellmaster 15W-40`. */
export function plannedFluidWords({ fluid, amount, product }: PlannedFluid): string {
  return joined([
    fluid.system,
    amount === null ? "amount not recorded," : quantityWords(amount),
    product?.name ?? "product not recorded",
  ]);
}

/** What they are known to take of a part: `2 × HD 4510 oil filter`. */
export function plannedPartWords({ part, count }: PlannedPart): string {
  const many = count === 1 ? "" : `${figure(count, Number.isInteger(count) ? 0 : 1)} ×`;
  return joined([many, part.number, part.name]);
}

/** What a line costs beside it: its price and where that is asked, or that none is known. */
export function plannedPriceWords({ price }: Pick<PlannedPart, "price">, currency: string): string {
  return price === null ? "no price known" : `${money(price.price, currency)}, ${price.source}`;
}

const FROM_WORDS = { stock: "from stock", bought: "", supplied: "supplied" } as const;

/** A fluid of the form in a line. */
export function fluidRowWords(row: FormFluid, { plate, products }: WorkSource): string {
  const system = plate.fluids.find(({ id }) => id === row.fluid)?.system ?? "fluid";
  const product = products.find(({ id }) => id === row.product)?.name ?? "";
  const unit = /[a-z]/i.test(row.in) ? "" : `${NBSP}L`;
  const filled = row.in === "" ? "" : joined([`${row.in}${unit}`, product]);
  const drained = row.out === "" ? "" : `${row.out} came out`;
  return [
    joined([system, filled]),
    drained,
    row.onMark ? "ended on the mark" : "",
    FROM_WORDS[row.from],
  ]
    .filter((part) => part !== "")
    .join(", ");
}

/** A part of the form in a line. */
export function partRowWords(row: FormPart, { parts }: WorkSource): string {
  const part = parts.find(({ id }) => id === row.part);
  const many = row.count === "1" ? "" : `${row.count} ×`;
  const name = part === undefined ? "part" : `${part.number} ${part.name}`;
  return [joined([many, name]), FROM_WORDS[row.from]].filter((one) => one !== "").join(", ");
}

/** Somebody's minutes in a line. */
export function minutesRowWords(row: FormMinutes, { people }: WorkSource): string {
  const name = people.find(({ id }) => id === row.person)?.name ?? row.person;
  return `${name === "" ? "somebody" : name} ${row.minutes}${NBSP}min`;
}

/** What else it cost in a line. */
export function costRowWords(row: FormCost, currency: string): string {
  return joined([
    row.what === "" ? "cost" : row.what,
    row.amount,
    row.amount === "" ? "" : currency,
  ]);
}

/** What it has cost so far; empty where nothing was said to have been used or paid. */
export function costSoFarWords(took: WorkTook, currency: string): string {
  const lines = [took.fluids, took.parts, took.work, took.costs];
  if (lines.every((list) => (list ?? []).length === 0)) return "";
  const cost = entryCost(took);
  const missing = cost.missing === 0 ? "" : `, ${counted(cost.missing, "line")} without a price`;
  return `${money(wholeCost(cost), currency)}${missing}`;
}

/** What is wrong with a row of what it took, and what to do. */
export function tookIssueWords({ what }: TookIssue): string {
  switch (what) {
    case "amount-wrong":
      return "An amount of fluid must be a figure of litres or a mass, such as 4.5 L.";
    case "nothing-moved":
      return "Say how much of the fluid went in or came out.";
    case "price-wrong":
      return "A price or a rate must be a figure of 0 or more, or be left empty.";
    case "count-wrong":
      return "Say how many of the part were used, more than none.";
    case "person-missing":
      return "Say whose minutes they are.";
    case "minutes-wrong":
      return "Minutes must be a figure of 0 or more.";
    case "what-missing":
      return "Say what the other cost was for.";
    case "cost-wrong":
      return "A cost must be a figure, below 0 for a credit, or be left empty.";
    case "part-missing":
      return "Say which part was used.";
    case "system-missing":
      return "Say which system the fluid went into.";
  }
}
