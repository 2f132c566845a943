import {
  symbolOf,
  type CompletionFact,
  type LimitReckoning,
  type MeterId,
  type TaskId,
} from "@yonderfell/core";
import { amount, counted, dialFigureWithUnit, fullDate, sentence } from "./format.js";
import { limitName, meterOf, unitOf } from "./limitWords.js";
import { exactFigure, intervalWords } from "./ruleWords.js";
import type { Place } from "./place.js";

/** From so many measurements on a trend is more than a guess. */
const ENOUGH_POINTS = 3;
/** Wear is told by so much of a meter. */
const SPAN_HOURS = 100;
const SPAN_DISTANCE = 1000;

function taskName(id: TaskId, { machine }: Place): string {
  return machine.tasks.find((candidate) => candidate.task.id === id)?.task.name ?? "the other task";
}

/** `20 Jan 2026 at 41 800 km on the old dial`. */
function doneWords(fact: CompletionFact, limit: LimitReckoning, place: Place): string {
  return `${fullDate(fact.day)}${atWords(fact, limit, place)}${fact.assumed ? " (assumed)" : ""}`;
}

/** The figure on the limit's meter when something was done, where it counts on one: ` at about 41 800 km on the old dial`. */
function atWords(fact: CompletionFact, limit: LimitReckoning, { machine }: Place): string {
  switch (limit.kind) {
    case "calendar":
      return "";
    case "meter":
    case "measured": {
      if (fact.dial === null) return "";
      const figureThen = dialFigureWithUnit(fact.dial, unitOf(machine, limit.meter));
      const about = fact.worked ? "about " : "";
      const onOldDial = fact.oldDial ? " on the old dial" : "";
      return ` at ${about}${figureThen}${onOldDial}`;
    }
  }
}

/** Where it is due, in today's dial or as a date. */
function dueWords(limit: LimitReckoning, place: Place): string {
  switch (limit.kind) {
    case "calendar":
      return limit.dueOn === null ? "" : `due on ${fullDate(limit.dueOn)}`;
    case "meter":
    case "measured": {
      if (limit.dialAt === null) return "";
      const meter = meterOf(place.machine, limit.meter);
      const replaced = meter !== undefined && meter.life !== null && meter.dial !== meter.life;
      const shown = dialFigureWithUnit(limit.dialAt, unitOf(place.machine, limit.meter));
      return `due at ${shown}${replaced ? " on this dial" : ""}`;
    }
  }
}

function rule(limit: LimitReckoning, place: Place): string {
  return `${sentence(intervalWords(limit, place.machine))}: ${dueWords(limit, place)}.`;
}

/** What a limit counts from and where that makes it due, in sentences. */
export function basisWords(limit: LimitReckoning, place: Place): string[] {
  const { basis } = limit;
  switch (basis.code) {
    case "completed":
      return [`Last done ${doneWords(basis.last, limit, place)}.`, rule(limit, place)];
    case "never-done":
      return [`Never done; counted from ${startWords(limit)}.`, rule(limit, place)];
    case "grid":
      return gridWords(limit, basis, place);
    case "history-unknown":
      return [
        "No record of it, and the machine came without its history: no date can be given. Log it once it is done, or enter what the papers say.",
      ];
    case "life-unknown-then":
      return [
        `Done ${fullDate(basis.last.day)}, but what the ${limitName(limit, place.machine).replace(" limit", "")} showed then is not known.`,
      ];
    case "date-missing":
      return [
        "The day the machine went into service is not recorded, so there is nothing to count from.",
      ];
    case "milestones-passed":
      return [
        `Last done ${doneWords(basis.last, limit, place)}. It was wanted ${intervalWords(limit, place.machine)} and never after.`,
      ];
    case "nth":
      return nthWords(limit, basis, place);
    case "nth-unknown":
      return [`Goes with ${taskName(basis.of, place)}, for which no date can be given.`];
    case "tested-sound":
      return testedWords(basis, limit, place);
    case "wanted":
      return [wantedWords(basis)];
    case "measured":
      return measuredWords(basis, limit, place);
    case "not-measured":
      return [
        `By what rounds measure of ${basis.check}: not measured since it was last done, so no date can be given.`,
      ];
    case "no-trend":
      return [
        `By what rounds measure of ${basis.check}: measured too seldom, or not coming nearer to its limit, so no date can be given.`,
      ];
    case "follows-waiting":
      return [`Comes after ${taskName(basis.task, place)}, which has not been done yet.`];
    case "follows-armed":
      return [
        `Comes once after ${taskName(basis.task, place)}, done ${doneWords(basis.by, limit, place)}.`,
        `${sentence(intervalWords(limit, place.machine).replace("every ", "after "))}: ${dueWords(limit, place)}.`,
      ];
    case "follows-done":
      return [
        `${taskName(basis.task, place)} was done ${fullDate(basis.by.day)} and this after it, ${doneWords(basis.last, limit, place)}. Nothing is due until it is done again.`,
      ];
  }
}

function gridWords(
  limit: LimitReckoning,
  { last, first }: Extract<LimitReckoning["basis"], { code: "grid" }>,
  place: Place,
): string[] {
  const done =
    last === null
      ? "Never done."
      : `Last done ${doneWords(last, limit, place)}, which counts for ${gridPointWords(limit, place)}.`;
  const from =
    first === undefined
      ? []
      : [
          `Nothing else fixes its points, so they are counted from the first time it was done, ${doneWords(first, limit, place)}.`,
        ];
  const rule = `On fixed points, ${intervalWords(limit, place.machine)}: ${dueWords(limit, place)}.`;
  return [done, ...from, rule];
}

/** What was measured and where its trend meets the limit. */
function measuredWords(
  basis: Extract<LimitReckoning["basis"], { code: "measured" }>,
  limit: LimitReckoning,
  place: Place,
): string[] {
  const what = basis.point === null ? basis.check : `${basis.check}, ${basis.point}`;
  const rough =
    limit.status !== "unknown" && basis.points < ENOUGH_POINTS ? ", which is rough" : "";
  const line = limit.kind === "measured" ? `, ${lineWords(basis, limit.meter, place)}` : "";
  return [
    `${sentence(what)}, measured ${counted(basis.points, "time")}${line}${rough}.`,
    rule(limit, place),
  ];
}

/** How fast it wears, by its line through what was measured: `wearing 0.72 mm in 1 000 km`. */
function lineWords(
  { slope, unit }: Extract<LimitReckoning["basis"], { code: "measured" }>,
  meter: MeterId,
  { machine }: Place,
): string {
  const by = unitOf(machine, meter);
  const span = by === "h" ? SPAN_HOURS : SPAN_DISTANCE;
  const rate = exactFigure(Number(Math.abs(slope * span).toPrecision(2)));
  const symbol = symbolOf(unit);
  return `wearing ${rate}${symbol === "" ? "" : ` ${symbol}`} in ${amount(span, by)}`;
}

function testedWords(
  basis: Extract<LimitReckoning["basis"], { code: "tested-sound" }>,
  limit: LimitReckoning,
  place: Place,
): string[] {
  const found = (basis.found ?? "") === "" ? "" : `: ${basis.found}`;
  const after = intervalWords(limit, place.machine).replace("every ", "after ");
  return [
    `Tested sound ${doneWords(basis.test, limit, place)}${found}.`,
    `Look again ${after}: ${dueWords(limit, place)}. It was not done by that; doing it ends this.`,
  ];
}

function wantedWords({
  by,
  reminder,
}: Extract<LimitReckoning["basis"], { code: "wanted" }>): string {
  const end = "until it is done or tested sound.";
  return reminder === null
    ? `Wanted at once since ${fullDate(by.day)}, ${end}`
    : `The machine's own reminder ${reminder} asked for it on ${fullDate(by.day)}: due at once, ${end}`;
}

function startWords(limit: LimitReckoning): string {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return "0";
    case "calendar":
      return limit.from === null ? "its start" : `the day in service, ${fullDate(limit.from)}`;
  }
}

function gridPointWords(limit: LimitReckoning, { machine }: Place): string {
  if (limit.from === null) return "the start";
  switch (limit.kind) {
    case "meter":
    case "measured":
      return amount(limit.from, unitOf(machine, limit.meter));
    case "calendar":
      return fullDate(limit.from);
  }
}

function nthWords(
  limit: LimitReckoning,
  basis: Extract<LimitReckoning["basis"], { code: "nth" }>,
  place: Place,
): string[] {
  const other = taskName(basis.of, place);
  const own =
    basis.last === null ? "Never done" : `Last done ${doneWords(basis.last, limit, place)}`;
  const turns = `${counted(basis.turns, "turn")} of ${other} since`;
  const every = basis.every === 1 ? "every" : `every ${ordinal(basis.every)}`;
  const due =
    basis.skippedAt === null
      ? `With ${every} ${other}: ${dueWords(limit, place)}.`
      : `It was passed over on ${fullDate(basis.skippedAt.day)}: ${dueWords(limit, place)}.`;
  const held = basis.heldBack ? ["Never sooner than one interval after its own last time."] : [];
  return [`${own}; ${turns}.`, due, ...held];
}

function ordinal(count: number): string {
  const names = ["", "first", "second", "third", "fourth", "fifth", "sixth"];
  return names[count] ?? `${count}th`;
}
