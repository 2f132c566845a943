import type { Check, Checklist } from "../book/records/checklist.js";
import type { Round } from "../book/records/round.js";
import type { Verdict } from "./verdict.js";

/** What a check of a round found at one of its points, or as a whole. */
export type CheckResult = NonNullable<Round["results"]>[number];

/** Verdicts that make a finding. */
export type FoundVerdict = Exclude<Verdict, "sound">;

/** Whether a verdict makes a finding. */
export const isFound = (verdict: CheckResult["verdict"]): verdict is FoundVerdict =>
  verdict === "watch" || verdict === "attend" || verdict === "stop";

/** A check at one of its points, or as a whole: where one stands in a round. */
export interface CheckPlace {
  readonly check: Check;
  readonly point: string | null;
}

/** The points of a check one by one; null alone where it has none. */
const pointsOfCheck = ({ points }: Check): readonly (string | null)[] =>
  (points ?? []).length === 0 ? [null] : (points ?? []);

/** All there is to look at in a round, in the order in which one walks. */
export function placesOf({ checks }: Checklist): CheckPlace[] {
  return (checks ?? []).flatMap((check) => pointsOfCheck(check).map((point) => ({ check, point })));
}

/** What was found at a place; null where nothing is told of it yet. */
export function resultAt(
  { results }: Pick<Round, "results">,
  { check, point }: { readonly check: Pick<Check, "id">; readonly point: string | null },
): CheckResult | null {
  const found = (results ?? []).find(
    (one) => one.check === check.id && (one.point ?? null) === point,
  );
  return found ?? null;
}

/** The places that nothing is said of: no verdict, and where it has no limit no reading either. */
export function openPlaces(round: Pick<Round, "results">, checklist: Checklist): CheckPlace[] {
  return placesOf(checklist).filter((place) => (resultAt(round, place)?.verdict ?? null) === null);
}

/** Where a check stands in the walk, as its stations are called: where it is done, else the round as a whole. */
export const stationOf = ({ where }: Check): string => where?.trim() || "all round";
