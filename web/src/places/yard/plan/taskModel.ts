import {
  dimensionOf,
  formatDay,
  limitOf,
  valueIn,
  type FluidId,
  type LimitRecord,
  type Machine,
  type MeterId,
  type Quantity,
  type Task,
  type TaskId,
  type TaskUse,
  type Unit,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { readQuantity } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { meterUnit } from "../../../words/taskWords.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A limit as it stands in the form. */
export interface LimitRow {
  readonly key: string;
  /** The id of a meter, or `months` or `days`. */
  readonly by: string;
  readonly every: string;
  /** Milestones, apart by commas or semicolons. */
  readonly at: string;
  readonly from: string;
  readonly grace: string;
  readonly hard: boolean;
  /** Kinds of product it is for, apart by commas. */
  readonly products: string;
}

/** The limits of a regime as they stand in the form. */
interface RegimeRow {
  readonly key: string;
  readonly name: string;
  readonly forLife: boolean;
  readonly limits: readonly LimitRow[];
}

/** A fluid that a task uses, as it stands in the form. */
interface UseRow {
  readonly key: string;
  readonly fluid: string;
  readonly condition: string;
  readonly quantity: string;
}

type Tie = "own" | "nth" | "follows";

/** A task as it stands in the form. */
export interface TaskModel {
  readonly name: string;
  readonly note: string;
  readonly tie: Tie;
  readonly regimes: readonly RegimeRow[];
  readonly regime: string;
  readonly regimeReason: string;
  readonly anchor: "done" | "grid";
  readonly combine: "first" | "last";
  readonly eachUse: "" | "before" | "after";
  readonly nthOf: string;
  readonly nthEvery: string;
  readonly followsTask: string;
  readonly followsBy: string;
  readonly followsAmount: string;
  readonly access: string;
  readonly minutes: string;
  readonly uses: readonly UseRow[];
  readonly outside: NonNullable<Task["outside"]>["because"] | "";
  readonly tell: string;
  readonly ladder: string;
}

const typed = (value: number | null | undefined): string =>
  value === null || value === undefined ? "" : typedFigure(value);

/** A limit in which nothing is said yet. */
export function emptyLimit(by: string): LimitRow {
  const none = { every: "", at: "", from: "", grace: "", hard: false, products: "" };
  return { key: newId(), by, ...none };
}

function limitRow(record: LimitRecord): LimitRow {
  const limit = limitOf(record);
  const shared = {
    key: newId(),
    grace: limit.grace === 0 ? "" : typed(limit.grace),
    hard: limit.hard,
    products: limit.products.join(", "),
  };
  switch (limit.kind) {
    case "meter": {
      const at = limit.at.map((one) => typedFigure(one)).join("; ");
      return { ...shared, by: limit.meter, every: typed(limit.every), at, from: "" };
    }
    case "calendar": {
      const { interval, from } = limit;
      const by = interval.months === undefined ? "days" : "months";
      const every = typed(interval.months ?? interval.days);
      return { ...shared, by, every, at: "", from: from === null ? "" : formatDay(from) };
    }
  }
}

/** A task as the form begins with it; `firstMeter` is what a new limit counts on. */
export function modelOf(task: Task | null, machine: Machine): TaskModel {
  const by = machine.meters?.[0]?.id ?? "months";
  const regimes = Object.entries(task?.regimes ?? {}).map(([name, limits]) => ({
    key: newId(),
    name,
    forLife: limits.length === 0 && !task?.eachUse,
    limits: limits.map(limitRow),
  }));
  const fresh = { key: newId(), name: "handbook", forLife: false, limits: [emptyLimit(by)] };
  return {
    name: task?.name ?? "",
    note: task?.note ?? "",
    tie: task?.nth ? "nth" : task?.follows ? "follows" : "own",
    regimes: task === null || regimes.length === 0 ? [fresh] : regimes,
    regime: task?.regime ?? "",
    regimeReason: task?.regimeReason ?? "",
    anchor: task?.anchor ?? "done",
    combine: task?.combine ?? "first",
    eachUse: task?.eachUse ?? "",
    nthOf: task?.nth?.of ?? "",
    nthEvery: typed(task?.nth?.every ?? 2),
    followsTask: task?.follows?.task ?? "",
    followsBy: task?.follows?.meter ?? "days",
    followsAmount: typed(task?.follows?.amount ?? task?.follows?.days),
    access: task?.access ?? "",
    minutes: typed(task?.minutes),
    uses: (task?.uses ?? []).map((use) => ({
      key: newId(),
      fluid: use.fluid,
      condition: use.condition ?? "",
      quantity: use.quantity ? asTyped(use.quantity) : "",
    })),
    outside: task?.outside?.because ?? "",
    tell: task?.outside?.tell ?? "",
    ladder: task?.ladder ?? "",
  };
}

const orNull = (text: string): string | null => (text.trim() === "" ? null : text.trim());

/** A figure in a meter's unit, typed with its own unit or without: `250h`, `12 k`, `8000 mi`; null where it is none. */
export function meterFigure(text: string, unit: Unit): number | null {
  const read = readQuantity(text, { unit });
  if (!read.ok) return null;
  const { quantity } = read.value;
  return dimensionOf(quantity.unit) === dimensionOf(unit) ? valueIn(quantity, unit) : null;
}

/** What is wrong in the form, in words; thrown within it and caught by {@link taskOf}. */
class Wrong extends Error {}

function whole(text: string, what: string): number {
  const value = typedNumber(text);
  if (value === null || !Number.isInteger(value) || value < 1) {
    throw new Wrong(`${what} must be a whole number from 1 on.`);
  }
  return value;
}

function above(text: string, unit: MeterId | string, machine: Machine, what: string): number {
  const value = meterFigure(text, meterUnit(machine, unit));
  if (value === null || value <= 0) throw new Wrong(`${what} must be a figure above 0.`);
  return value;
}

function limitTyped(row: LimitRow, machine: Machine): LimitRecord {
  const kinds = row.products
    .split(",")
    .map((kind) => kind.trim())
    .filter((kind) => kind !== "");
  const shared = {
    ...(row.hard ? { hard: true } : {}),
    ...(kinds.length === 0 ? {} : { for: kinds }),
  };
  if (row.by === "months" || row.by === "days") {
    const grace = row.grace.trim() === "" ? {} : { grace: whole(row.grace, "Days of grace") };
    const from = row.from === "" ? {} : { from: row.from };
    return { [row.by]: whole(row.every, `Every so many ${row.by}`), ...from, ...grace, ...shared };
  }
  const parts = row.at.split(/;|,\s/).filter((part) => part.trim() !== "");
  const at = parts.map((part) => above(part, row.by, machine, "Each milestone"));
  if (at.some((value, index) => value <= (at[index - 1] ?? 0))) {
    throw new Wrong("Milestones must rise, each above the one before.");
  }
  const hasEvery = row.every.trim() !== "";
  if (!hasEvery && at.length === 0) throw new Wrong("Say every how much, or at which figures.");
  return {
    meter: row.by as MeterId,
    ...(at.length === 0 ? {} : { at }),
    ...(hasEvery ? { every: above(row.every, row.by, machine, "Every so much") } : {}),
    ...(row.grace.trim() === "" ? {} : { grace: above(row.grace, row.by, machine, "The grace") }),
    ...shared,
  };
}

function regimesOf(model: TaskModel, machine: Machine): Record<string, LimitRecord[]> {
  const names = model.regimes.map(({ name }) => name.trim());
  if (names.some((name) => name === "")) throw new Wrong("Name each school.");
  if (new Set(names).size < names.length) throw new Wrong("Two schools have one name.");
  const regimes = model.regimes.map((regime): [string, LimitRecord[]] => {
    const limits = regime.forLife ? [] : regime.limits.map((row) => limitTyped(row, machine));
    const isSaid = regime.forLife || limits.length > 0 || model.eachUse !== "";
    if (!isSaid) throw new Wrong(`Give ${regime.name} a limit, or say it is for life.`);
    return [regime.name.trim(), limits];
  });
  return Object.fromEntries(regimes);
}

function tieOf(model: TaskModel, machine: Machine): Partial<Task> {
  const none = { nth: null, follows: null };
  if (model.tie === "nth") {
    if (model.nthOf === "") throw new Wrong("Choose the task it goes with.");
    const nth = { of: model.nthOf as TaskId, every: whole(model.nthEvery, "Every how many turns") };
    return { ...none, nth, regimes: null };
  }
  if (model.tie === "own") return { ...none, regimes: regimesOf(model, machine) };
  if (model.followsTask === "") throw new Wrong("Choose the task it follows.");
  const task = model.followsTask as TaskId;
  const follows =
    model.followsBy === "days"
      ? { task, days: whole(model.followsAmount, "So many days after") }
      : {
          task,
          meter: model.followsBy as MeterId,
          amount: above(model.followsAmount, model.followsBy, machine, "So much after"),
        };
  return { ...none, follows, regimes: null };
}

function useOf({ fluid, condition, quantity }: UseRow): TaskUse {
  if (fluid === "") throw new Wrong("Choose each fluid it uses, or take the line out.");
  let amount: Quantity | null = null;
  if (quantity.trim() !== "") {
    const read = readQuantity(quantity, { unit: "L", also: ["mass"] });
    if (!read.ok) throw new Wrong(`“${quantity}” is not an amount of fluid.`);
    amount = read.value.quantity;
  }
  return {
    fluid: fluid as FluidId,
    ...(condition === "" ? {} : { condition }),
    ...(amount === null ? {} : { quantity: amount }),
  };
}

/** The task that the form says, or what is wrong with it. */
export function taskOf(
  model: TaskModel,
  before: Task | null,
  machine: Machine,
):
  | { readonly task: Task; readonly problem: "" }
  | { readonly task: null; readonly problem: string } {
  try {
    return { task: readTask(model, before, machine), problem: "" };
  } catch (error) {
    if (!(error instanceof Wrong)) throw error;
    return { task: null, problem: error.message };
  }
}

function readTask(model: TaskModel, before: Task | null, machine: Machine): Task {
  if (model.name.trim() === "") throw new Wrong("Say what is done, such as brake fluid.");
  const isOverridden = model.tie === "own" && model.regime.trim() !== "";
  if (isOverridden && model.regimeReason.trim() === "") {
    throw new Wrong("Say why it follows another school than the machine.");
  }
  const minutes = model.minutes.trim() === "" ? null : meterFigure(model.minutes, "min");
  if (model.minutes.trim() !== "" && (minutes === null || minutes <= 0)) {
    throw new Wrong("Minutes of work must be a figure above 0.");
  }
  const outside =
    model.outside === "" ? null : { because: model.outside, tell: orNull(model.tell) };
  return {
    ...before,
    id: before?.id ?? (newId() as TaskId),
    machine: machine.id,
    name: model.name.trim(),
    note: orNull(model.note),
    ...tieOf(model, machine),
    regime: isOverridden ? model.regime.trim() : null,
    regimeReason: isOverridden ? model.regimeReason.trim() : null,
    anchor: model.anchor,
    combine: model.combine,
    eachUse: model.eachUse === "" ? null : model.eachUse,
    access: orNull(model.access),
    minutes,
    uses: model.uses.map(useOf),
    outside,
    ladder: orNull(model.ladder),
  };
}
