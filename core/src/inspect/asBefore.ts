import type { Check, Checklist } from "../book/records/checklist.js";
import type { Round } from "../book/records/round.js";
import { byDate, currentRecords } from "../book/slice/currentRecords.js";
import { isRead } from "./checkLimits.js";
import { openPlaces, resultAt, stationOf, type CheckPlace, type CheckResult } from "./places.js";

/** A place that is open and was sound in the round before, with what would be told of it. */
export interface AsBefore {
  readonly place: CheckPlace;
  readonly result: CheckResult;
  /** The day of that round, `YYYY-MM-DD`. */
  readonly date: string;
}

const LOOKS: readonly Check["how"][] = ["look", "feel", "listen", "smell"];

/** Whether a check may be told as it was before: a look without a caution that nothing could stop the machine by; never what is read. */
function mayBeAsBefore(check: Check): boolean {
  const isMild =
    check.severity !== "stop" && (check.picks ?? []).every(({ verdict }) => verdict !== "stop");
  const isBare = !check.caution && !check.sum && !isRead(check);
  return LOOKS.includes(check.how) && isMild && isBare;
}

/**
 * What is open at a station of a round and may be told as it was in the machine's latest earlier finished round by the same list:
 * only looks that were sound then, without a caution and without anything that says stop. Each says of which day it was.
 */
export function asBefore(
  rounds: readonly Round[],
  round: Round,
  checklist: Checklist,
  station: string,
): AsBefore[] {
  const [last] = currentRecords(rounds)
    .filter(
      ({ record }) =>
        record.id !== round.id &&
        record.machine === round.machine &&
        record.checklist === round.checklist &&
        record.finished === true &&
        record.date <= round.date,
    )
    .toSorted((one, other) => byDate(other, one));
  if (last === undefined) return [];
  const { date } = last.record;
  return openPlaces(round, checklist).flatMap((place): AsBefore[] => {
    const { check, point } = place;
    const before = resultAt(last.record, place);
    const isSame = stationOf(check) === station && before?.verdict === "sound";
    if (!isSame || !mayBeAsBefore(check)) return [];
    const told = resultAt(round, place);
    const words = `as on ${date}, not looked at more closely`;
    const result: CheckResult = {
      ...told,
      ...{ check: check.id, ...(point === null ? {} : { point }), verdict: "sound" },
      ...(before.picked ? { picked: before.picked } : {}),
      note: [told?.note, words].filter(Boolean).join("; "),
    };
    return [{ place, result, date }];
  });
}
