import { put, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import { failure, success, type Result } from "../book/change/result.js";
import type { Checklist } from "../book/records/checklist.js";
import type { MeterId } from "../book/records/ids.js";
import type { Round } from "../book/records/round.js";
import type { Slice } from "../book/slice/slice.js";
import { supersededIds, currentRecords } from "../book/slice/currentRecords.js";
import { formatDay } from "../calendar/dayNumber.js";
import { currentStop } from "../machine/outOfService.js";
import { findingAgain, findingAt, findingAtPlace } from "./foundAt.js";
import { asBefore } from "./asBefore.js";
import { checkLimits } from "./checkLimits.js";
import { judgeReadings } from "./judgeCheck.js";
import { judgeSum, sumOfCheck, type Figures } from "./judgeSum.js";
import {
  isFound,
  openPlaces,
  placesOf,
  resultAt,
  type CheckPlace,
  type CheckResult,
} from "./places.js";
import { WITHOUT_A_LOOK } from "../book/records/verdicts.js";

/** What stands in the way of going on with a round. */
export type RoundIssue =
  | { readonly code: "round-missing" }
  /** One that is finished is corrected, not overwritten. */
  | { readonly code: "round-finished" }
  | { readonly code: "no-such-check" }
  /** Could not be measured, does not apply, left closed: why? */
  | { readonly code: "reason-missing" }
  /** The sum of the check has no answer to such figures. */
  | { readonly code: "no-answer" }
  /** Nothing is said of so many places yet. */
  | { readonly code: "still-open"; readonly count: number };

type RoundSlice = Slice<"rounds" | "findings" | "specifications" | "entries">;

const NEEDS_A_REASON: readonly string[] = WITHOUT_A_LOOK;

/** The rounds of a machine that are under way, the latest first. */
export function roundsUnderWay(rounds: readonly Round[]): Round[] {
  return currentRecords(rounds)
    .filter(({ record }) => record.finished !== true)
    .toSorted((one, other) => other.day - one.day)
    .map(({ record }) => record);
}

/**
 * Begins a round of a machine by a checklist, today. A checklist that the book does not have yet, such as one of the library, comes into it
 * with the round: what was looked at stays readable whatever becomes of the library.
 */
export function beginRound(
  { machines: [machine] }: Slice<"rounds">,
  {
    checklist,
    isKnown,
    by,
  }: { readonly checklist: Checklist; readonly isKnown: boolean; readonly by: string },
  context: CommandContext,
): CommandResult<RoundIssue> {
  const round: Round = {
    ...{ id: context.newId() as Round["id"], machine: machine.id, checklist: checklist.id },
    ...{ seq: context.nextSeq(), date: formatDay(context.today), results: [] },
    ...(by.trim() === "" ? {} : { by: by.trim() }),
  };
  const records: RecordChange[] = [put("rounds", round)];
  if (!isKnown) records.unshift(put("checklists", checklist));
  return success({ command: "begin-round", records });
}

/** A round under way, or why it cannot be gone on with. */
function underWay({ rounds }: Pick<RoundSlice, "rounds">, id: string): Result<Round, RoundIssue> {
  const round = rounds.find((one) => one.id === id);
  if (round === undefined || supersededIds(rounds).has(id)) {
    return failure([{ code: "round-missing" }]);
  }
  return round.finished === true ? failure([{ code: "round-finished" }]) : success(round);
}

const isAt = (place: CheckPlace, { check, point }: Pick<CheckResult, "check" | "point">): boolean =>
  check === place.check.id && (point ?? null) === place.point;

/** The results of a round with one told anew; they stand in the order of the walk. */
function withResult(round: Round, checklist: Checklist, result: CheckResult): CheckResult[] {
  const told = {
    ...round,
    results: [...(round.results ?? []).filter((one) => !isSame(one, result)), result],
  };
  const places = placesOf(checklist);
  const known = places.flatMap((place) => resultAt(told, place) ?? []);
  const others = told.results.filter((one) => !places.some((place) => isAt(place, one)));
  return [...known, ...others];
}

const isSame = (one: CheckResult, other: CheckResult): boolean =>
  one.check === other.check && (one.point ?? null) === (other.point ?? null);

/** What a result does to the findings of a machine: makes one, changes that of this round, or closes it where it is sound after all. */
function findingRecords(
  slice: RoundSlice,
  round: Round,
  place: CheckPlace,
  result: CheckResult,
  context: CommandContext,
): RecordChange[] {
  const limits = checkLimits(place.check, slice.specifications);
  const standing = findingAtPlace(slice, place);
  const { verdict } = result;
  if (isFound(verdict)) {
    const found = { ...result, verdict };
    if (standing === null) {
      return [put("findings", findingAt(round, place, found, limits, context.newId()))];
    }
    const after = findingAgain(standing, round, place, found, limits, context.today);
    return [{ section: "findings", id: standing.id, before: standing, after }];
  }
  if (standing === null || standing.round !== round.id) return [];
  // Found in this round and judged again: it was none.
  const by = round.by ?? "whoever walked the round";
  const closed = {
    on: formatDay(context.today),
    by,
    how: `judged again in the round: ${verdict ?? "not judged"}`,
  };
  return [
    { section: "findings", id: standing.id, before: standing, after: { ...standing, closed } },
  ];
}

/** The machine taken out of service by a result that says stop, unless it is already. */
function stopRecords(
  { machines: [machine] }: RoundSlice,
  round: Round,
  { check, point }: CheckPlace,
  { verdict }: CheckResult,
  context: CommandContext,
): RecordChange[] {
  if (verdict !== "stop" || currentStop(machine) !== null) return [];
  const reason = [check.name, point ?? check.where].filter(Boolean).join(", ");
  const stop = {
    id: context.newId(),
    since: round.date,
    reason,
    ...(round.by ? { by: round.by } : {}),
  };
  const after = { ...machine, stops: [...(machine.stops ?? []), stop] };
  return [{ section: "machines", id: machine.id, before: machine, after }];
}

/**
 * Tells something of a place of a round under way (records §3), beside what was told of it before: it keeps the limits it was
 * judged by. A verdict that is not sound makes a finding at once, or changes the open one of that check and point, so that
 * nothing found is lost with the round; one that says stop also takes the machine out of service. Refused: a round that is
 * finished or not there, a check that is not on its list, and a verdict without a look that has no reason.
 */
export function tellResult(
  slice: RoundSlice,
  id: string,
  checklist: Checklist,
  told: CheckResult,
  context: CommandContext,
): CommandResult<RoundIssue> {
  const found = underWay(slice, id);
  if (!found.ok) return found;
  const round = found.value;
  const place = placesOf(checklist).find((one) => isAt(one, told));
  if (place === undefined) return failure([{ code: "no-such-check" }]);
  const whole = { ...resultAt(round, place), ...told };
  const isBlank = (whole.reason ?? "").trim() === "";
  if (NEEDS_A_REASON.includes(whole.verdict ?? "") && isBlank) {
    return failure([{ code: "reason-missing" }]);
  }
  const limits = checkLimits(place.check, slice.specifications);
  const { isOfPlate: _, ...judgedBy } = limits ?? { isOfPlate: false };
  const result = { ...whole, ...(limits === null ? {} : { judgedBy }) } as CheckResult;
  const results = withResult(round, checklist, result);
  const records: RecordChange[] = [
    { section: "rounds", id: round.id, before: round, after: { ...round, results } },
    ...findingRecords(slice, round, place, result, context),
    ...stopRecords(slice, round, place, result, context),
  ];
  return success({ command: "tell-result", records });
}

/** Tells one reading more of a place, in the unit of its check; what all of them say is its verdict until a person says otherwise. Refused as {@link tellResult}, and for a check that is not read. */
export function tellReading(
  slice: RoundSlice,
  id: string,
  checklist: Checklist,
  at: Pick<CheckResult, "check" | "point">,
  value: number,
  context: CommandContext,
): CommandResult<RoundIssue> {
  const found = underWay(slice, id);
  if (!found.ok) return found;
  const place = placesOf(checklist).find((one) => isAt(one, at));
  const limits = place === undefined ? null : checkLimits(place.check, slice.specifications);
  if (place === undefined || limits === null) return failure([{ code: "no-such-check" }]);
  const before = resultAt(found.value, place);
  const readings = [...(before?.readings ?? []), { value, unit: limits.unit }];
  const wasNotLookedAt = NEEDS_A_REASON.includes(before?.verdict ?? "");
  const said = wasNotLookedAt ? null : (before?.verdict ?? null);
  const verdict = judgeReadings(limits, readings)?.verdict ?? said;
  const told = { ...at, readings, reason: null, verdict };
  return tellResult(slice, id, checklist, told, context);
}

/** Tells the figures of a place whose check is judged by a sum: the answer is its verdict until a person says otherwise. Refused as {@link tellResult}, for a check without a sum, and where the sum has no answer. */
export function tellFigures(
  slice: RoundSlice,
  id: string,
  checklist: Checklist,
  at: Pick<CheckResult, "check" | "point">,
  figures: Figures,
  context: CommandContext,
): CommandResult<RoundIssue> {
  const place = placesOf(checklist).find((one) => isAt(one, at));
  if (place === undefined || sumOfCheck(place.check) === null) {
    return failure([{ code: "no-such-check" }]);
  }
  const judged = judgeSum(place.check, figures);
  if (judged === null) return failure([{ code: "no-answer" }]);
  const readings = judged.reading === null ? [] : [judged.reading];
  const told = { ...at, figures, readings, reason: null, verdict: judged.verdict };
  return tellResult(slice, id, checklist, told, context);
}

/** Tells that what is still open at a station is as it was in the round before, of checks that may be told so ({@link asBefore}). Refused as {@link tellResult}, and where there is none. */
export function tellAsBefore(
  slice: RoundSlice,
  id: string,
  checklist: Checklist,
  station: string,
  context: CommandContext,
): CommandResult<RoundIssue> {
  const found = underWay(slice, id);
  if (!found.ok) return found;
  const before = asBefore(slice.rounds, found.value, checklist, station);
  if (before.length === 0) return failure([{ code: "no-such-check" }]);
  let round = found.value;
  const records: RecordChange[] = [];
  for (const { place, result } of before) {
    round = { ...round, results: withResult(round, checklist, result) };
    records.push(...findingRecords(slice, round, place, result, context));
  }
  records.unshift({ section: "rounds", id: round.id, before: found.value, after: round });
  return success({ command: "tell-as-before", records });
}

/**
 * Finishes a round: from then on it is corrected, not overwritten. `meters` are what the dials show, in each meter's own unit, of
 * those that were read. Refused: a round that is finished or not there, and one of which something
 * is still open: what is not looked at is left closed with a reason.
 */
export function finishRound(
  slice: Pick<RoundSlice, "rounds" | "machines">,
  id: string,
  checklist: Checklist,
  { meters, note }: { readonly meters: Readonly<Record<MeterId, number>>; readonly note: string },
): CommandResult<RoundIssue> {
  const found = underWay(slice, id);
  if (!found.ok) return found;
  const round = found.value;
  const { length: count } = openPlaces(round, checklist);
  if (count > 0) return failure([{ code: "still-open", count }]);
  const after: Round = {
    ...{ ...round, finished: true },
    ...(Object.keys(meters).length === 0 ? {} : { meters: { ...meters } }),
    ...(note.trim() === "" ? {} : { note: note.trim() }),
  };
  return success({
    command: "finish-round",
    records: [{ section: "rounds", id: round.id, before: round, after }],
  });
}

/** Leaves what is not looked at closed, all with one reason, so that the round can be finished. Refused as {@link tellResult}. */
export function leaveTheRest(
  slice: RoundSlice,
  id: string,
  checklist: Checklist,
  reason: string,
): CommandResult<RoundIssue> {
  const found = underWay(slice, id);
  if (!found.ok) return found;
  const round = found.value;
  if (reason.trim() === "") return failure([{ code: "reason-missing" }]);
  const left = openPlaces(round, checklist).map(({ check, point }): CheckResult => {
    const before = resultAt(round, { check, point });
    const at = { check: check.id, ...(point === null ? {} : { point }) };
    return { ...at, ...before, verdict: "left closed", reason: reason.trim() };
  });
  let results = round;
  for (const one of left) results = { ...results, results: withResult(results, checklist, one) };
  return success({
    command: "leave-the-rest",
    records: [{ section: "rounds", id: round.id, before: round, after: results }],
  });
}

/** Throws a round away of which nothing was told. Refused: one that is finished, not there, or has results. */
export function dropRound(
  slice: Pick<RoundSlice, "rounds" | "machines">,
  id: string,
): CommandResult<RoundIssue> {
  const found = underWay(slice, id);
  if (!found.ok) return found;
  const round = found.value;
  const { length: count } = round.results ?? [];
  if (count > 0) return failure([{ code: "still-open", count }]);
  return success({
    command: "drop-round",
    records: [{ section: "rounds", id: round.id, before: round, after: null }],
  });
}
