import {
  type ChecklistId,
  dimensionOf,
  valueIn,
  type FluidId,
  type LimitRecord,
  type Machine,
  type MeterId,
  type Task,
  type TaskId,
  type TaskUse,
  type Unit,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import {
  figureTyped,
  isEmpty,
  isWhole,
  listTyped,
  orNull,
  quantityTyped,
  wordsTyped,
  wordsUnder,
} from "../../../form/typed.js";
import { readQuantity } from "../../../ui/readQuantity.js";
import { meterUnit } from "../../../words/taskWords.js";
import { typedNumber } from "../../../words/writing.js";
import { BY_ROUNDS, emptyLimit, limitRow, measureOf, type LimitRow } from "./limitModel.js";

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
  /** Words with commas between them. */
  readonly needs: string;
  readonly uses: readonly UseRow[];
  readonly outside: NonNullable<Task["outside"]>["because"] | "";
  readonly tell: string;
  readonly ladder: string;
}

/** A task as the form begins with it. */
export function modelOf(task: Task | null, machine: Machine): TaskModel {
  const by = machine.meters?.[0]?.id ?? "months";
  const regimes = Object.entries(task?.regimes ?? {}).map(([name, limits], index) => ({
    key: String(index),
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
    nthEvery: figureTyped(task?.nth?.every ?? 2),
    followsTask: task?.follows?.task ?? "",
    followsBy: task?.follows?.meter ?? "days",
    followsAmount: figureTyped(task?.follows?.amount ?? task?.follows?.days),
    access: task?.access ?? "",
    minutes: figureTyped(task?.minutes),
    needs: wordsTyped(task?.needs),
    uses: (task?.uses ?? []).map((use, index) => ({
      key: String(index),
      fluid: use.fluid,
      condition: use.condition ?? "",
      quantity: quantityTyped(use.quantity),
    })),
    outside: task?.outside?.because ?? "",
    tell: task?.outside?.tell ?? "",
    ladder: task?.ladder ?? "",
  };
}

/** A figure in a meter's unit, typed with its own unit or without: `250h`, `12 k`, `8000 mi`; null where it is none. */
export function meterFigure(text: string, unit: Unit): number | null {
  const read = readQuantity(text, { unit });
  if (!read.ok) return null;
  const { quantity } = read.value;
  return dimensionOf(quantity.unit) === dimensionOf(unit) ? valueIn(quantity, unit) : null;
}

/** What is wrong with a task as it is typed. */
export interface TaskProblem {
  readonly field: string;
  readonly code:
    | "name-missing"
    | "school-reason-missing"
    | "school-name-missing"
    | "school-names-alike"
    | "school-empty"
    | "not-whole"
    | "not-above-0"
    | "milestones-fall"
    | "limit-empty"
    | "measure-missing"
    | "meter-missing"
    | "not-a-figure"
    | "task-missing"
    | "fluid-missing"
    | "not-an-amount";
}

/** Reads a form on and notes at which fields something is wrong. */
class Reading {
  readonly problems: TaskProblem[] = [];

  constructor(private readonly machine: Machine) {}

  wrong(field: string, code: TaskProblem["code"]): void {
    this.problems.push({ field, code });
  }

  /** A whole number from 1 on; 0 where it is none. */
  whole(text: string, field: string): number {
    if (isWhole(text, 1)) return Number(typedNumber(text));
    this.wrong(field, "not-whole");
    return 0;
  }

  /** A figure above 0 in the unit of a meter; 0 where it is none. */
  above(text: string, meter: string, field: string): number {
    const value = meterFigure(text, meterUnit(this.machine, meter));
    if (value !== null && value > 0) return value;
    this.wrong(field, "not-above-0");
    return 0;
  }

  limit(row: LimitRow, field: string): LimitRecord {
    const kinds = listTyped(row.products);
    const shared = {
      ...(row.hard ? { hard: true } : {}),
      ...(kinds.length === 0 ? {} : { for: kinds }),
    };
    if (row.by === BY_ROUNDS) return { ...this.measuredLimit(row, field), ...shared };
    return row.by === "months" || row.by === "days"
      ? { ...this.calendarLimit(row, row.by, field), ...shared }
      : { ...this.meterLimit(row, field), ...shared };
  }

  private measuredLimit(row: LimitRow, field: string): LimitRecord {
    const measure = measureOf(row.measure);
    if (measure === null) this.wrong(`${field}.measure`, "measure-missing");
    const limit = typedNumber(row.figure);
    if (limit === null) this.wrong(`${field}.figure`, "not-a-figure");
    if (row.life === "") this.wrong(`${field}.life`, "meter-missing");
    const grace = isEmpty(row.grace)
      ? {}
      : { grace: this.above(row.grace, row.life, `${field}.grace`) };
    return {
      ...(measure ?? { checklist: "" as ChecklistId, check: "" }),
      ...(row.point === "" ? {} : { point: row.point }),
      meter: row.life as MeterId,
      limit: limit ?? 0,
      ...grace,
    };
  }

  private calendarLimit(row: LimitRow, by: "months" | "days", field: string): LimitRecord {
    const grace = isEmpty(row.grace) ? {} : { grace: this.whole(row.grace, `${field}.grace`) };
    const from = row.from === "" ? {} : { from: row.from };
    return { [by]: this.whole(row.every, `${field}.every`), ...from, ...grace };
  }

  private meterLimit(row: LimitRow, field: string): LimitRecord {
    const parts = row.at.split(/;|,\s/).filter((part) => !isEmpty(part));
    const at = parts.map((part) => this.above(part, row.by, `${field}.at`));
    if (at.some((value, index) => value <= (at[index - 1] ?? 0))) {
      this.wrong(`${field}.at`, "milestones-fall");
    }
    const hasEvery = !isEmpty(row.every);
    if (!hasEvery && at.length === 0) this.wrong(`${field}.every`, "limit-empty");
    return {
      meter: row.by as MeterId,
      ...(at.length === 0 ? {} : { at }),
      ...(hasEvery ? { every: this.above(row.every, row.by, `${field}.every`) } : {}),
      ...(isEmpty(row.grace) ? {} : { grace: this.above(row.grace, row.by, `${field}.grace`) }),
    };
  }

  regimes(model: TaskModel): Record<string, LimitRecord[]> {
    const names = model.regimes.map(({ name }) => name.trim());
    const regimes = model.regimes.map((regime, index): [string, LimitRecord[]] => {
      const field = `regimes.${index}`;
      const name = regime.name.trim();
      if (name === "") this.wrong(`${field}.name`, "school-name-missing");
      else if (names.indexOf(name) < index) this.wrong(`${field}.name`, "school-names-alike");
      const rows = regime.forLife ? [] : regime.limits;
      const isSaid = regime.forLife || rows.length > 0 || model.eachUse !== "";
      if (!isSaid) this.wrong(`${field}.name`, "school-empty");
      return [name, rows.map((row, at) => this.limit(row, `${field}.limits.${at}`))];
    });
    return Object.fromEntries(regimes);
  }

  tie(model: TaskModel): Partial<Task> {
    const none = { nth: null, follows: null };
    if (model.tie === "own") return { ...none, regimes: this.regimes(model) };
    if (model.tie === "nth") {
      if (model.nthOf === "") this.wrong("nthOf", "task-missing");
      const nth = { of: model.nthOf as TaskId, every: this.whole(model.nthEvery, "nthEvery") };
      return { ...none, nth, regimes: null };
    }
    if (model.followsTask === "") this.wrong("followsTask", "task-missing");
    const { followsAmount: amount, followsBy: by } = model;
    const task = model.followsTask as TaskId;
    const follows =
      by === "days"
        ? { task, days: this.whole(amount, "followsAmount") }
        : { task, meter: by as MeterId, amount: this.above(amount, by, "followsAmount") };
    return { ...none, follows, regimes: null };
  }

  use({ fluid, condition, quantity }: UseRow, index: number): TaskUse {
    if (fluid === "") this.wrong(`uses.${index}.fluid`, "fluid-missing");
    const read = isEmpty(quantity) ? null : readQuantity(quantity, { unit: "L", also: ["mass"] });
    if (read !== null && !read.ok) this.wrong(`uses.${index}.quantity`, "not-an-amount");
    return {
      fluid: fluid as FluidId,
      ...(condition === "" ? {} : { condition }),
      ...(read?.ok === true ? { quantity: read.value.quantity } : {}),
    };
  }

  task(model: TaskModel, before: Task | null): Task {
    if (isEmpty(model.name)) this.wrong("name", "name-missing");
    const isOverridden = model.tie === "own" && !isEmpty(model.regime);
    if (isOverridden && isEmpty(model.regimeReason)) {
      this.wrong("regimeReason", "school-reason-missing");
    }
    const minutes = isEmpty(model.minutes) ? null : meterFigure(model.minutes, "min");
    if (!isEmpty(model.minutes) && (minutes === null || minutes <= 0)) {
      this.wrong("minutes", "not-above-0");
    }
    const outside =
      model.outside === "" ? null : { because: model.outside, tell: orNull(model.tell) };
    return {
      ...before,
      id: before?.id ?? (newId() as TaskId),
      machine: this.machine.id,
      name: model.name.trim(),
      note: orNull(model.note),
      ...this.tie(model),
      regime: isOverridden ? model.regime.trim() : null,
      regimeReason: isOverridden ? model.regimeReason.trim() : null,
      anchor: model.anchor,
      combine: model.combine,
      eachUse: model.eachUse === "" ? null : model.eachUse,
      access: orNull(model.access),
      minutes,
      ...wordsUnder("needs", model.needs, before),
      uses: model.uses.map((row, index) => this.use(row, index)),
      outside,
      ladder: orNull(model.ladder),
    };
  }
}

/** The task that the form says, or null with what is wrong at its fields. */
export function taskOf(
  model: TaskModel,
  before: Task | null,
  machine: Machine,
): { readonly task: Task | null; readonly problems: readonly TaskProblem[] } {
  const reading = new Reading(machine);
  const task = reading.task(model, before);
  const { problems } = reading;
  return { task: problems.length === 0 ? task : null, problems };
}
