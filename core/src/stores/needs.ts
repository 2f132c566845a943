import type {
  FindingId,
  JourneyId,
  MachineId,
  ServicePointId,
  TaskId,
  VisitId,
} from "../book/records/ids.js";
import type { Finding } from "../book/records/finding.js";
import type { Part } from "../book/records/part.js";
import type { ServicePoint } from "../book/records/servicePoint.js";
import type { Task } from "../book/records/task.js";
import { unitOfProduct } from "../book/records/productUnit.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { plannedWork, type PlannedFrom } from "../ledger/plannedWork.js";
import type { JourneyLoadList } from "../plan/journeys/journeyLoad.js";
import { dimensionOf } from "../quantity/unit.js";
import type { StoreItem } from "./item.js";
import { plainAmount } from "./price.js";

/** What something is needed for. */
export type NeededFor =
  | { readonly code: "visit"; readonly visit: VisitId | null; readonly tasks: readonly TaskId[] }
  /** A seal that is renewed when a service point is opened. */
  | { readonly code: "seal"; readonly visit: VisitId | null; readonly point: ServicePointId }
  | { readonly code: "finding"; readonly finding: FindingId }
  | { readonly code: "journey"; readonly journey: JourneyId; readonly tasks: readonly TaskId[] };

/** Something that work ahead of a machine takes. */
export interface StoreNeed {
  /** As the machine takes it, whatever number is current now. */
  readonly item: StoreItem;
  /** Pieces, litres or kilograms. */
  readonly amount: number;
  /** The day it is wanted; null where it has none. */
  readonly on: DayNumber | null;
  readonly machine: MachineId;
  readonly of: NeededFor;
}

/** Something that is not recorded, so that how much of what is needed cannot be said. */
export interface NeedGap {
  /** `measure`: the amount is a volume where the product is weighed, or the other way round. */
  readonly code: "capacity" | "product" | "seal" | "measure";
  readonly machine: MachineId;
  /** The fluid system, or what is said of the seal. */
  readonly what: string;
  readonly on: DayNumber | null;
}

/** What is needed, and what is not known of it. */
export interface Needs {
  readonly needs: readonly StoreNeed[];
  readonly gaps: readonly NeedGap[];
}

/** What the needs of a machine's work are made from. */
export interface NeedsFrom extends PlannedFrom {
  readonly machine: MachineId;
}

/** A visit as far as its needs go. */
export interface VisitAhead {
  readonly day: DayNumber;
  readonly visit: VisitId | null;
  readonly tasks: readonly TaskId[];
}

/** What a visit takes: its fluids and parts, and the seals of the service points that are opened for it. */
export function needsOfVisit(
  { day, visit, tasks: ids }: VisitAhead,
  own: readonly Task[],
  from: NeedsFrom,
): Needs {
  const tasks = ids.flatMap((id) => own.find((task) => task.id === id) ?? []);
  const { parts, fluids } = plannedWork(tasks, from);
  const { machine } = from;
  const common = { on: day, machine };
  const needs: StoreNeed[] = parts.map(({ part, count }) => ({
    ...{ ...common, item: { part: part.id }, amount: count },
    of: { code: "visit", visit, tasks: tasksOfPart(part, ids, from) },
  }));
  const gaps: NeedGap[] = [];
  for (const { fluid, product, amount } of fluids) {
    const what = fluid.system;
    if (product === null) gaps.push({ code: "product", what, ...common });
    if (amount === null) gaps.push({ code: "capacity", what, ...common });
    if (product === null || amount === null) continue;
    if (dimensionOf(amount.unit) !== dimensionOf(unitOfProduct(product))) {
      gaps.push({ code: "measure", what, ...common });
      continue;
    }
    const using = tasks.filter(({ uses }) => (uses ?? []).some((use) => use.fluid === fluid.id));
    needs.push({
      ...{ ...common, item: { product: product.id }, amount: plainAmount(amount) },
      of: { code: "visit", visit, tasks: using.map(({ id }) => id) },
    });
  }
  const opened = new Set<string>(fluids.map(({ fluid }) => fluid.id));
  const seals = sealsOf(
    from.plate.servicePoints,
    opened,
    new Set(parts.map(({ part }) => part.id)),
    from,
  );
  return {
    needs: [
      ...needs,
      ...seals.needs.map(({ part, point }): StoreNeed => ({
        ...{ ...common, item: { part: part.id }, amount: point.count ?? 1 },
        of: { code: "seal", visit, point: point.id },
      })),
    ],
    gaps: [...gaps, ...seals.unknown.map((what): NeedGap => ({ code: "seal", what, ...common }))],
  };
}

function tasksOfPart(part: Part, wanted: readonly TaskId[], { plate }: NeedsFrom): TaskId[] {
  const named = plate.fitments
    .filter((one) => one.part === part.id)
    .flatMap(({ tasks }) => tasks ?? []);
  return wanted.filter((task) => named.includes(task));
}

/** Service points that are opened where their fluid is renewed. */
const OPENED = new Set<ServicePoint["purpose"]>(["drain", "fill", "check", "filter", "bleed"]);

/** The seals of the points of fluids that are renewed: those that Stores knows and no fitment counts already, and those it does not. */
function sealsOf(
  points: readonly ServicePoint[],
  fluids: ReadonlySet<string>,
  planned: ReadonlySet<string>,
  { parts }: NeedsFrom,
): {
  readonly needs: readonly { readonly part: Part; readonly point: ServicePoint }[];
  readonly unknown: readonly string[];
} {
  const opened = points.filter(
    ({ fluid, purpose, seal }) =>
      OPENED.has(purpose) && fluids.has(fluid ?? "") && (seal ?? "").trim() !== "",
  );
  const needs: { part: Part; point: ServicePoint }[] = [];
  const unknown: string[] = [];
  for (const point of opened) {
    const part = partOfSeal(point.seal ?? "", parts);
    if (part === null) unknown.push(`${point.name}: ${point.seal ?? ""}`);
    else if (!planned.has(part.id)) needs.push({ part, point });
  }
  return { needs, unknown };
}

/** The part that is meant by what is said of a seal: its number or its name stands in it; the longest where several do. */
function partOfSeal(seal: string, parts: readonly Part[]): Part | null {
  const words = ` ${wordsOf(seal)} `;
  const meant = parts.flatMap((part) =>
    [part.number, part.name]
      .map(wordsOf)
      .filter((name) => name !== "" && words.includes(` ${name} `))
      .map((name) => ({ part, length: name.length })),
  );
  const longest = meant.reduce<(typeof meant)[number] | null>(
    (most, one) => (most === null || one.length > most.length ? one : most),
    null,
  );
  return longest?.part ?? null;
}

const wordsOf = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}.]+/gu, " ")
    .trim();

/** What putting a finding right takes, as far as it says so: not while it is only watched, nor where it was declined. */
export function needsOfFinding(
  { id, machine, decision, parts, dueOn }: Finding,
  today: DayNumber,
  nextVisit: DayNumber | null,
): StoreNeed[] {
  if (decision === "watch" || decision === "declined") return [];
  const said = dueOn ? dayOf(dueOn) : nextVisit;
  const on = decision === "now" ? today : said;
  return (parts ?? []).map(({ part, count }) => ({
    ...{ item: { part }, amount: count ?? 1, on, machine },
    of: { code: "finding", finding: id },
  }));
}

/** What the work on the way of a journey takes along, wanted by its departure. */
export function needsOfJourney(
  { parts, fluids }: JourneyLoadList,
  journey: { readonly id: JourneyId; readonly machine: MachineId; readonly departs: DayNumber },
): Needs {
  const { id, machine, departs: on } = journey;
  const needs: StoreNeed[] = parts.map(({ id: part, count, tasks }) => ({
    ...{ item: { part }, amount: count, on, machine },
    of: { code: "journey", journey: id, tasks },
  }));
  const gaps: NeedGap[] = [];
  for (const { fluid, product, litres, tasks } of fluids) {
    const gap = { machine, what: fluid.system, on };
    if (product === null) gaps.push({ code: "product", ...gap });
    if (litres === null) gaps.push({ code: "capacity", ...gap });
    if (product === null || litres === null) continue;
    needs.push({
      ...{ item: { product: product.id }, amount: litres, on, machine },
      of: { code: "journey", journey: id, tasks },
    });
  }
  return { needs, gaps };
}
