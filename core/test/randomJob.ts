import type { CardStep, JobCard, StepKind, ToldEvent } from "../src/job/card.js";
import { drawing, type Draw } from "./drawnFrom.js";

const pick = <T>(draw: Draw, list: readonly T[]): T => list[Math.floor(draw() * list.length)] as T;

const KINDS: readonly StepKind[] = [
  ...(["do", "caution", "open", "drain", "close", "fill", "passes"] as const),
  ...(["measure", "look", "torque", "fit", "wait", "run", "reset"] as const),
];
const SYSTEMS = ["engine", "gearbox"];
const TASKS = ["oil", "gear"];

function stepOf(kind: StepKind, index: number, draw: Draw): CardStep {
  const isOfSystem = ["open", "drain", "close", "fill", "passes"].includes(kind);
  return {
    id: `s${index}`,
    kind,
    ...(isOfSystem || draw() < 0.4 ? { system: pick(draw, SYSTEMS) } : {}),
    ...(draw() < 0.6 ? { tasks: [pick(draw, TASKS)] } : {}),
    ...(draw() < 0.3 ? { points: ["left", "right"] } : {}),
    ...(draw() < 0.15 ? { after: [`s${Math.floor(draw() * index)}`] } : {}),
    ...(draw() < 0.3 ? { meanwhile: true } : {}),
    ...(draw() < 0.15 ? { mayNotApply: true } : {}),
    ...(draw() < 0.3 ? { again: true } : {}),
    of: draw() < 0.5 ? "drain" : "fill",
    by: draw() < 0.8 ? "mark" : "amount",
    inFirst: draw() < 0.3,
    expected: draw() < 0.7 ? 8 : null,
    ...{ vessel: 9, pass: 3, wanted: 0.9, minutes: 2 },
    ...{ least: 3, watchLeast: 4, resolution: 0.5, severity: draw() < 0.5 ? "stop" : "attend" },
  };
}

/** A card of any steps, or the usual one of two systems that are drained and filled again. */
function cardOf(draw: Draw): JobCard {
  const usual: readonly StepKind[] = ["caution", "open", "drain", "fit", "close", "fill", "close"];
  const isUsual = draw() < 0.5;
  const count = 3 + Math.floor(draw() * 12);
  const kinds: readonly StepKind[] = isUsual
    ? [...usual, ...usual, "measure", "look", "torque", "run"]
    : Array.from({ length: count }, () => pick(draw, KINDS));
  const steps = kinds.map((kind, index): CardStep => {
    const step = stepOf(kind, index, draw);
    if (!isUsual || index >= 2 * usual.length) return step;
    const of = index % usual.length === 4 ? "drain" : "fill";
    const system = SYSTEMS[Math.floor(index / usual.length)];
    // No points, so that a tick closes; nothing that may be left out.
    return { ...step, system, of, after: [], points: [], mayNotApply: false };
  });
  return { tasks: [...TASKS, "none"], steps };
}

function eventOf(index: number, card: JobCard, draw: Draw): ToldEvent {
  const step = draw() < 0.04 ? "gone" : pick(draw, card.steps ?? []).id;
  const event = { id: `e${String(index).padStart(3, "0")}`, at: Math.floor(draw() * 90) * 10_000 };
  const what = draw();
  const point = draw() < 0.5 ? pick(draw, ["left", "right", "under"]) : null;
  const amount = draw() < 0.06 ? -1 : Math.round(draw() * 60) / 10;
  const reason = draw() < 0.7 ? "not there" : " ";
  if (what < 0.34) return { ...event, step, do: "tick", point };
  if (what < 0.46) return { ...event, step, do: "out", amount, late: draw() < 0.25 };
  if (what < 0.58) return { ...event, step, do: "in", amount };
  if (what < 0.66)
    return { ...event, step, do: "level", level: pick(draw, ["below", "mark", "x"]) };
  if (what < 0.72) return { ...event, step, do: "reading", point, value: 2 + draw() * 3 };
  if (what < 0.77) {
    return { ...event, step, do: "judge", point, verdict: pick(draw, ["sound", "stop", "odd"]) };
  }
  if (what < 0.79) return { ...event, step, do: "start" };
  if (what < 0.83) return { ...event, step, do: "skip", reason };
  if (what < 0.87) return { ...event, step, do: "reopen" };
  if (what < 0.89) return { ...event, step, do: "release", reason };
  if (what < 0.91) return { ...event, do: "take", by: "someone" };
  if (what < 0.93) return { ...event, step, do: pick(draw, ["note", "toString"]) };
  const undoes = `e${String(Math.floor(draw() * (index + 2))).padStart(3, "0")}`;
  return { ...event, do: "undo", undoes };
}

/** A job and what was told of it, in any order. */
export function randomJob(seed: number): { readonly card: JobCard; readonly events: ToldEvent[] } {
  const draw = drawing(seed);
  for (let spun = 0; spun < 3; spun += 1) draw();
  const card = cardOf(draw);
  const count = Math.floor(draw() * 60);
  return { card, events: Array.from({ length: count }, (_, index) => eventOf(index, card, draw)) };
}
