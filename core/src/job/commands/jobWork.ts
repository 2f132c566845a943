import type { Entry } from "../../book/records/entry.js";
import type { FluidUsed } from "../../book/records/entryWork.js";
import type { Job, JobEvent } from "../../book/records/job.js";
import type { JobStep } from "../../book/records/step.js";
import type { Person } from "../../book/records/workshop.js";
import type { LogWorkInput, WorkTook } from "../../ledger/logWork.js";
import { plannedFilling, suppliedPart } from "../../ledger/plannedWork.js";
import { isAbove } from "../../sums/nearly.js";
import { pointsOf, systemOf, type CardStep } from "../card.js";
import { stateOf } from "../jobState.js";
import type { CardFrom } from "../make/cardFrom.js";
import type { Replay } from "../replay.js";
import { replayed } from "../replayed.js";
import { verdictOfReadings, type StepState } from "../stepState.js";
import { standingEvents } from "../told.js";

/** Longer than this between two events of a person and they were at something else, minutes. */
const LONGEST_GAP = 30;
const MS_IN_MINUTE = 60_000;

/** What a job took and found, as its entry is proposed; a person looks at it and may change each figure before it is written. */
export type JobWork = Pick<LogWorkInput, "tasks" | "note" | "reminders"> & {
  readonly took: WorkTook;
};

/** Minutes by person, in the order in which they came to it: from the first to the last event of each, without gaps over 30 minutes; whole ones, at least one. */
function minutesByPerson(events: readonly JobEvent[]): Map<string, number> {
  const last = new Map<string, number>();
  const spent = new Map<string, number>();
  for (const { by, at } of events) {
    if (!by) continue;
    const gap = at - (last.get(by) ?? at);
    const counted = isAbove(gap, LONGEST_GAP * MS_IN_MINUTE) ? 0 : gap;
    spent.set(by, (spent.get(by) ?? 0) + counted);
    last.set(by, at);
  }
  return new Map([...spent].map(([by, ms]) => [by, Math.max(1, Math.round(ms / MS_IN_MINUTE))]));
}

/** What went out of a system and into it, and whether the level ended on the mark of a first count. */
function fluidsOf(replay: Replay, { plate, ...stores }: CardFrom): FluidUsed[] {
  const systems = new Set(
    replay.states.flatMap(({ step }) =>
      ["drain", "fill", "passes"].includes(step.kind) ? (systemOf(step) ?? []) : [],
    ),
  );
  return [...systems].flatMap((system): FluidUsed[] => {
    const own = replay.states.filter(({ step }) => systemOf(step) === system);
    const fluid = plate.fluids.find(({ id }) => id === system);
    if (fluid === undefined) return [];
    const sum = (amounts: readonly number[]): number => amounts.reduce((all, one) => all + one, 0);
    const fills = own.filter(({ step }) => step.kind === "fill");
    const passes = own.filter(({ step }) => step.kind === "passes");
    const drains = own.filter(({ step }) => step.kind === "drain");
    const out = sum([...drains.map((one) => one.out), ...passes.map(({ passes: all }) => all.out)]);
    const filled = sum([
      ...fills.map((one) => one.in - one.out),
      ...passes.map(({ passes: all }) => all.in),
    ]);
    const [isOut, isIn] = [isAbove(out, 0), isAbove(filled, 0)];
    if (!isOut && !isIn) return [];
    const last = fills.at(-1);
    const isFirstCount = passes.length === 0 && fills.every(({ count }) => count.number === 1);
    const condition = fills[0]?.step as JobStep | undefined;
    const { product, price, from } = plannedFilling(fluid, stores);
    return [
      {
        fluid: fluid.id,
        ...(condition?.condition ? { condition: condition.condition } : {}),
        ...(isIn && product !== null ? { product: product.id } : {}),
        ...(isOut ? { out: { value: rounded(out), unit: "L" as const } } : {}),
        ...(isIn ? { in: { value: rounded(filled), unit: "L" as const } } : {}),
        ...(isFirstCount && last?.closed === "done" && last.level === "mark"
          ? { onMark: true }
          : {}),
        ...(isIn && price !== null ? { price: price.price } : {}),
        ...(isIn ? { from } : {}),
      },
    ];
  });
}

/** Sums of litres as they were told, without the dust of binary fractions. */
const rounded = (litres: number): number => Number(litres.toFixed(6));

/** How many of its parts a step has fitted. */
function fittedAt({ closed, ticked, step }: StepState): number {
  const count = (step.count ?? 1) * 1;
  if (closed === "done") return count;
  const points = pointsOf(step).length;
  return points === 0 ? 0 : Math.round((count * ticked.size) / points);
}

function partsOf(replay: Replay, from: CardFrom): NonNullable<WorkTook["parts"]> {
  const counts = new Map<string, number>();
  for (const state of replay.states) {
    const { kind, part } = state.step;
    const count = kind === "fit" ? fittedAt(state) : 0;
    if (part && count > 0) counts.set(part, (counts.get(part) ?? 0) + count);
  }
  return [...counts].flatMap(([id, count]) => {
    const part = from.parts.find((one) => one.id === id);
    if (part === undefined) return [];
    const { price, from: source } = suppliedPart(part, from.stockMoves);
    return [
      { part: part.id, count, ...(price === null ? {} : { price: price.price }), from: source },
    ];
  });
}

const pointName = (name: string, point: string | null): string =>
  point === null ? name : `${name}, ${point}`;

/** What was measured or judged since a step was last begun, point by point. */
function measuresOf(replay: Replay): NonNullable<WorkTook["measures"]> {
  return replay.states.flatMap(({ step, points }) => {
    if (step.kind !== "measure" && step.kind !== "look") return [];
    const { unit, name } = step as JobStep;
    return [...points].flatMap(([point, { readings, verdict, isJudged }]) => {
      if (!isJudged) return [];
      const found = step.kind === "measure" ? verdictOfReadings(step, readings).verdict : verdict;
      const quantities = unit ? readings.map((value) => ({ value, unit })) : [];
      const plain = unit || readings.length === 0 ? "" : `: ${readings.join(", ")}`;
      return [
        {
          name: `${pointName(name ?? step.id, point)}${plain}`,
          ...(quantities.length === 0 ? {} : { readings: quantities }),
          ...(found === null ? {} : { verdict: found }),
        },
      ];
    });
  });
}

/** How warm each system was when its level was read, as told last. */
function temperaturesOf(
  replay: Replay,
  events: readonly JobEvent[],
  { plate }: CardFrom,
): NonNullable<WorkTook["measures"]> {
  const told = replay.states.flatMap(({ step }) => {
    const last = events.findLast((event) => event.step === step.id && isWarmth(event));
    const fluid = plate.fluids.find(({ id }) => id === systemOf(step));
    return last && fluid ? [{ system: fluid.system, value: last.temperature ?? 0 }] : [];
  });
  return [...new Map(told.map((one) => [one.system, one.value]))].map(([system, value]) => ({
    name: `${system}, temperature at its level`,
    readings: [{ value, unit: "degC" as const }],
  }));
}

const isWarmth = ({ temperature }: JobEvent): boolean => (temperature ?? null) !== null;

/** The last who ticked a step, or a point of it. */
type TickedBy = (step: CardStep, point?: string) => { readonly by?: string };

function tickedBy(events: readonly JobEvent[]): TickedBy {
  return ({ id }, point) => {
    const tick = events.findLast(
      (event) =>
        event.do === "tick" && event.step === id && (point === undefined || event.point === point),
    );
    return tick?.by ? { by: tick.by } : {};
  };
}

function torquesOf(replay: Replay, by: TickedBy): NonNullable<WorkTook["torques"]> {
  return replay.states.flatMap(({ step, closed, ticked }) => {
    const { torque, name } = step as JobStep;
    const isTightened = step.kind === "torque" || (step.kind === "close" && torque);
    if (!isTightened || (closed !== "done" && ticked.size === 0)) return [];
    const points = pointsOf(step).filter((point) => ticked.has(point));
    const to = torque ? { torque } : {};
    return (points.length === 0 ? [undefined] : points).map((point) => ({
      ...{ name: pointName(name ?? step.id, point ?? null), ...to, ...by(step, point) },
    }));
  });
}

/** Why a task stays due: what of it was left out, or not come to. */
function stillDue(job: Job, replay: Replay, nameOf: (task: string) => string): string[] {
  return stateOf(job, replay, 0).tasks.flatMap(({ task, state }) => {
    if (state !== "partly" && state !== "given up") return [];
    const own = replay.states.filter(({ step }) => (step.tasks ?? []).includes(task));
    const rest = own.filter(
      ({ closed, step }) => closed === null || (closed === "skipped" && step.mayNotApply !== true),
    );
    const named = rest.map(({ step }) => step.name ?? step.id).slice(0, 3);
    return [`${nameOf(task)} is ${state}: ${named.join("; ")}.`];
  });
}

/**
 * What a job took and found, as its entry is proposed (job rules §5): the tasks that are done and only these, fluids, parts,
 * minutes, measures and looks, torques and cautions with who, what was skipped and why, findings it puts right, reminder codes
 * reset, pictures, and in the note what stays due and what was noted.
 */
export function jobWork(
  job: Job,
  events: readonly JobEvent[],
  from: CardFrom,
  {
    people,
    taskName,
  }: { readonly people: readonly Person[]; readonly taskName: (id: string) => string },
): JobWork {
  const standing = standingEvents(events).events as readonly JobEvent[];
  const replay = replayed(job, events);
  const rejected = new Set(replay.rejected.map(({ event }) => event));
  const counted = standing.filter(({ id }) => !rejected.has(id));
  const by = tickedBy(counted);
  const done = stateOf(job, replay, 0).tasks.filter(({ state }) => state === "done");
  const loose = replay.states.filter(({ step }) => (step.tasks ?? []).length === 0);
  const areFoundDone = loose.length > 0 && loose.every(({ closed }) => closed === "done");
  const codes = replay.states.flatMap(({ step, closed }) => {
    const { code } = step as JobStep;
    return step.kind === "reset" && closed === "done" && code ? [code] : [];
  });
  const skips = counted.filter((event) => event.do === "skip");
  const notes = counted.flatMap(({ do: what, text }) => (what === "note" && text ? [text] : []));
  const took: WorkTook = {
    fluids: fluidsOf(replay, from),
    parts: partsOf(replay, from),
    work: [...minutesByPerson(counted)].map(([person, minutes]) => {
      const rate = people.find(({ id }) => id === person)?.rate ?? null;
      return { person, minutes, ...(rate === null ? {} : { rate }) };
    }),
    measures: [...measuresOf(replay), ...temperaturesOf(replay, counted, from)],
    torques: torquesOf(replay, by),
    met: replay.states.flatMap(({ step, closed }) =>
      step.kind === "caution" && closed === "done"
        ? [{ caution: step.name ?? step.id, ...by(step) }]
        : [],
    ),
    left: replay.states.flatMap(({ step, closed }) => {
      const reason = skips.findLast((event) => event.step === step.id)?.reason;
      return closed === "skipped" ? [{ step: step.name ?? step.id, reason: reason ?? "" }] : [];
    }),
    closes: areFoundDone ? [...(job.findings ?? [])] : [],
    pictures: picturesOf(counted),
    job: job.id,
  };
  return {
    tasks: done.flatMap(({ task }) => (job.tasks ?? []).filter((id) => id === task)),
    note: [...stillDue(job, replay, taskName), ...notes].join(" "),
    reminders: [...new Set(codes)].flatMap((code) => [
      { code, fact: "done" as const },
      { code, fact: "reset" as const },
    ]),
    took,
  };
}

function picturesOf(events: readonly JobEvent[]): NonNullable<Entry["pictures"]> {
  const all = events.flatMap(({ pictures }) => pictures ?? []);
  return [...new Map(all.map((picture) => [picture.hash, picture])).values()];
}
