import {
  priceOfPart,
  suppliedBy,
  type Entry,
  type Fluid,
  type FluidUsed,
  type Gallons,
  type Person,
  type PlannedFluid,
  type PlannedPart,
  type PlannedWork,
  type Quantity,
  type WorkTook,
} from "@yonderfell/core";
import type { Measure } from "../../../session/reckonerCalls.js";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** Where something that was used came from. */
export type From = "stock" | "bought" | "supplied";

/** What a row of the form came of: the line of an entry that is corrected, as JSON; empty for a new one. */
type Kept = string;

/** A fluid that went in or out, as it stands in the form; amounts and prices as typed. */
export interface FormFluid {
  readonly fluid: string;
  readonly condition: string;
  readonly product: string;
  readonly in: string;
  readonly out: string;
  readonly onMark: boolean;
  readonly price: string;
  readonly from: From;
  readonly kept: Kept;
}

/** A part that was used. */
export interface FormPart {
  readonly part: string;
  readonly count: string;
  readonly price: string;
  readonly from: From;
  readonly kept: Kept;
}

/** Who worked how long, at what rate. */
export interface FormMinutes {
  readonly person: string;
  readonly minutes: string;
  readonly rate: string;
  readonly kept: Kept;
}

/** What else it cost. */
export interface FormCost {
  readonly what: string;
  readonly amount: string;
  readonly kind: string;
  readonly kept: Kept;
}

/** What work took, as it stands in the form. */
export interface FormTook {
  readonly fluids: readonly FormFluid[];
  readonly parts: readonly FormPart[];
  readonly work: readonly FormMinutes[];
  readonly costs: readonly FormCost[];
  readonly closes: readonly string[];
  /** What was measured, each as JSON. */
  readonly measures: readonly string[];
  readonly isTopUp: boolean;
  readonly warranty: boolean;
}

/** Nothing has been said to have gone in, or cost anything. */
export const NOTHING_TOOK: FormTook = {
  ...{ fluids: [], parts: [], work: [], costs: [], closes: [], measures: [] },
  ...{ isTopUp: false, warranty: false },
};

/** What is wrong with a field of a row. */
type TookCode =
  | "amount-wrong"
  | "nothing-moved"
  | "price-wrong"
  | "count-wrong"
  | "person-missing"
  | "minutes-wrong"
  | "what-missing"
  | "cost-wrong"
  | "part-missing"
  | "system-missing";

/** Something wrong in a row: where, and what. */
export interface TookIssue {
  readonly code: "took-wrong";
  /** Such as `fluids.0.in`. */
  readonly field: string;
  readonly what: TookCode;
}

/** How an amount of a fluid is typed: litres, where nothing else is said, or a mass. */
export const FLUID_AMOUNT: QuantityWanted = { unit: "L", also: ["mass"] };

const priceText = (price: number | null | undefined): string =>
  price === null || price === undefined ? "" : typedFigure(Math.round(price * 1e4) / 1e4);
const amountText = (quantity: Quantity | null | undefined): string =>
  quantity ? asTyped(quantity) : "";

/** A fluid of the plan as a row. */
export function plannedFluidRow({
  fluid,
  condition,
  product,
  amount,
  price,
  from,
}: PlannedFluid): FormFluid {
  return {
    ...{ fluid: fluid.id, condition: condition ?? "", product: product?.id ?? "" },
    ...{ in: amountText(amount), out: "", onMark: false, price: priceText(price?.price) },
    ...{ from, kept: "" },
  };
}

/** A part of the plan as a row. */
export function plannedPartRow({ part, count, price, from }: PlannedPart): FormPart {
  const text = { count: typedFigure(count), price: priceText(price?.price) };
  return { part: part.id, ...text, from, kept: "" };
}

/** What of a plan no row stands for yet. */
export function notYetTaken(plan: PlannedWork, took: FormTook): PlannedWork {
  return {
    ...plan,
    fluids: plan.fluids.filter(({ fluid }) => took.fluids.every((row) => row.fluid !== fluid.id)),
    parts: plan.parts.filter(({ part }) => took.parts.every((row) => row.part !== part.id)),
  };
}

/** All of a plan taken as it is. */
export function takenAsPlanned(plan: PlannedWork, took: FormTook): FormTook {
  const rest = notYetTaken(plan, took);
  return {
    ...took,
    fluids: [...took.fluids, ...rest.fluids.map(plannedFluidRow)],
    parts: [...took.parts, ...rest.parts.map(plannedPartRow)],
  };
}

const isSameRow = (one: object, other: object): boolean =>
  JSON.stringify(one) === JSON.stringify(other);

/** The rows without those that were taken from a plan as they were, and are in the next plan no more: their tasks are no longer ticked. */
export function withoutDropped(took: FormTook, before: PlannedWork, after: PlannedWork): FormTook {
  const wasFluids = before.fluids.map(plannedFluidRow);
  const wasParts = before.parts.map(plannedPartRow);
  const isFluid = new Set<string>(after.fluids.map(({ fluid }) => fluid.id));
  const isPart = new Set<string>(after.parts.map(({ part }) => part.id));
  return {
    ...took,
    fluids: took.fluids.filter(
      (row) => isFluid.has(row.fluid) || !wasFluids.some((was) => isSameRow(was, row)),
    ),
    parts: took.parts.filter(
      (row) => isPart.has(row.part) || !wasParts.some((was) => isSameRow(was, row)),
    ),
  };
}

/** What an entry took, as the form shows it. */
export function formTookOf(entry: Pick<Entry, keyof FormTook>): FormTook {
  const { fluids, parts, work, costs, closes, measures } = entry;
  return {
    fluids: (fluids ?? []).map((line) => ({
      ...{ fluid: line.fluid, condition: line.condition ?? "", product: line.product ?? "" },
      ...{ in: amountText(line.in), out: amountText(line.out), onMark: line.onMark === true },
      ...{ price: priceText(line.price), from: line.from ?? "bought" },
      kept: JSON.stringify(line),
    })),
    parts: (parts ?? []).map((line) => ({
      ...{ part: line.part, count: typedFigure(line.count), price: priceText(line.price) },
      ...{ from: line.from ?? "bought", kept: JSON.stringify(line) },
    })),
    work: (work ?? []).map((line) => ({
      ...{ person: line.person, minutes: typedFigure(line.minutes), rate: priceText(line.rate) },
      kept: JSON.stringify(line),
    })),
    costs: (costs ?? []).map((line) => ({
      ...{ what: line.what, kind: line.kind ?? "" },
      ...{ amount: priceText(line.amount), kept: JSON.stringify(line) },
    })),
    closes: closes ?? [],
    measures: (measures ?? []).map((one) => JSON.stringify(one)),
    ...{ isTopUp: entry.isTopUp === true, warranty: entry.warranty === true },
  };
}

type Wrong = (field: string, what: TookCode) => void;

/** A figure that may be left out: null where it is, and told where it cannot be read. One that nobody has touched is as exact as it was. */
function figureIn(
  text: string,
  before: number | null | undefined,
  wrong: () => void,
): number | null {
  if (text.trim() === "") return null;
  if (text === priceText(before)) return before ?? null;
  const value = typedNumber(text);
  if (value === null) wrong();
  return value;
}

function priceIn(
  text: string,
  before: number | null | undefined,
  wrong: () => void,
): number | null {
  const price = figureIn(text, before, wrong);
  if (price !== null && price < 0) wrong();
  return price;
}

function amountIn(
  text: string,
  before: Quantity | null | undefined,
  wanted: QuantityWanted,
  wrong: () => void,
): Quantity | null {
  if (text.trim() === "") return null;
  if (text === amountText(before)) return before ?? null;
  const read = readQuantity(text, wanted);
  if (!read.ok || read.value.quantity.value < 0) wrong();
  return read.ok ? read.value.quantity : null;
}

/** What stood in the line a row came of, so that what the form does not show stays. */
function keptOf<Line>(kept: Kept): Partial<Line> {
  return kept === "" ? {} : (JSON.parse(kept) as Partial<Line>);
}

/** Fields that are said; what is not is left out, and taken out of what stood there. */
function said(fields: Readonly<Record<string, unknown>>, kept: object): object {
  const all = { ...kept, ...fields };
  const known = Object.entries(all).filter(([, value]) => value !== null && value !== "");
  return Object.fromEntries(known);
}

function fluidOf(row: FormFluid, at: string, wanted: QuantityWanted, wrong: Wrong): FluidUsed {
  const kept = keptOf<FluidUsed>(row.kept);
  if (row.fluid === "") wrong(`${at}.fluid`, "system-missing");
  const filled = amountIn(row.in, kept.in, wanted, () => wrong(`${at}.in`, "amount-wrong"));
  const drained = amountIn(row.out, kept.out, wanted, () => wrong(`${at}.out`, "amount-wrong"));
  if (row.in.trim() === "" && row.out.trim() === "") wrong(`${at}.in`, "nothing-moved");
  const price = priceIn(row.price, kept.price, () => wrong(`${at}.price`, "price-wrong"));
  const fields = {
    ...{ fluid: row.fluid, condition: row.condition, product: row.product },
    ...{ in: filled, out: drained, onMark: row.onMark ? true : null },
    ...{ price, from: row.from },
  };
  return said(fields, kept) as FluidUsed;
}

function partOf(row: FormPart, at: string, wrong: Wrong): object {
  const kept = keptOf<{ readonly price: number }>(row.kept);
  if (row.part === "") wrong(`${at}.part`, "part-missing");
  const count = typedNumber(row.count);
  if (count === null || count <= 0) wrong(`${at}.count`, "count-wrong");
  const price = priceIn(row.price, kept.price, () => wrong(`${at}.price`, "price-wrong"));
  return said({ part: row.part, count, price, from: row.from }, kept);
}

function minutesOf(row: FormMinutes, at: string, wrong: Wrong): object {
  const kept = keptOf<{ readonly rate: number }>(row.kept);
  if (row.person === "") wrong(`${at}.person`, "person-missing");
  const minutes = typedNumber(row.minutes);
  if (minutes === null || minutes < 0) wrong(`${at}.minutes`, "minutes-wrong");
  const rate = priceIn(row.rate, kept.rate, () => wrong(`${at}.rate`, "price-wrong"));
  return said({ person: row.person, minutes, rate }, kept);
}

function costOf(row: FormCost, at: string, wrong: Wrong): object {
  const kept = keptOf<{ readonly amount: number }>(row.kept);
  if (row.what.trim() === "") wrong(`${at}.what`, "what-missing");
  const amount = figureIn(row.amount, kept.amount, () => wrong(`${at}.amount`, "cost-wrong"));
  return said({ what: row.what.trim(), amount, kind: row.kind }, kept);
}

/** What a form says that work took, and what cannot be read in it. */
export function tookFrom(
  took: FormTook,
  gallons: Gallons | null,
): { readonly took: WorkTook; readonly issues: readonly TookIssue[] } {
  const issues: TookIssue[] = [];
  const wrong: Wrong = (field, what) => issues.push({ code: "took-wrong", field, what });
  const wanted = { ...FLUID_AMOUNT, gallons };
  const { closes, isTopUp, warranty } = took;
  const read = {
    fluids: took.fluids.map((row, index) => fluidOf(row, `fluids.${index}`, wanted, wrong)),
    parts: took.parts.map((row, index) => partOf(row, `parts.${index}`, wrong)),
    work: took.work.map((row, index) => minutesOf(row, `work.${index}`, wrong)),
    costs: took.costs.map((row, index) => costOf(row, `costs.${index}`, wrong)),
    measures: took.measures.map((one) => JSON.parse(one) as Measure),
    ...{ closes, isTopUp, warranty },
  };
  return { took: read as WorkTook, issues };
}

/** A row for minutes of a person, at the person's rate. */
export function minutesRow(person: Person | undefined, minutes: number | null): FormMinutes {
  return {
    person: person?.id ?? "",
    minutes: minutes === null ? "" : typedFigure(minutes),
    rate: priceText(person?.rate),
    kept: "",
  };
}

/** A row for a fluid of which nothing is known yet but its system. */
export function emptyFluidRow(fluid: Fluid | undefined): FormFluid {
  return {
    ...{ fluid: fluid?.id ?? "", condition: "", product: fluid?.product ?? "" },
    ...{ in: "", out: "", onMark: false, price: "", from: "bought", kept: "" },
  };
}

/** Whether a row still says what the line said that it came of. */
export function isUntouched(row: FormFluid): boolean {
  if (row.kept === "") return false;
  const line = JSON.parse(row.kept) as FluidUsed;
  return row.in === amountText(line.in) && row.product === (line.product ?? "");
}

/** A row with another product or system: what it costs and where it comes from go with it. */
export function refilled(row: FormFluid, source: WorkSource): FormFluid {
  const fluid = source.plate.fluids.find(({ id }) => id === row.fluid);
  const id = row.product === "" ? fluid?.product : row.product;
  const product = source.products.find((one) => one.id === id) ?? null;
  const { price, from } = suppliedBy(product, source.stockMoves);
  return { ...row, product: product?.id ?? "", price: priceText(price?.price), from };
}

/** A row with another part, at its price. */
export function reparted(row: FormPart, { parts, stockMoves }: WorkSource): FormPart {
  const part = parts.find(({ id }) => id === row.part);
  const isKept = stockMoves.some((move) => move.part === row.part);
  const price = part === undefined ? null : priceOfPart(part);
  return { ...row, price: priceText(price?.price), from: isKept ? "stock" : "bought" };
}

/** A row of another person, at that one's rate. */
export function repersoned(row: FormMinutes, { people }: WorkSource): FormMinutes {
  return { ...row, rate: priceText(people.find(({ id }) => id === row.person)?.rate) };
}
