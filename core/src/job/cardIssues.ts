import { areOfOne, isByMark, isCloseOf, systemOf, type CardStep } from "./card.js";
import { holdsByPlace } from "./holds.js";

/** What is wrong with a card: it cannot be begun (job rules §1). */
type CardIssueCode =
  | ("same-id" | "no-system" | "no-way-to-refill" | "nothing-to-refill-it")
  | ("no-plug-before-filling" | "no-cap-after" | "no-level-after" | "no-such-step" | "ring");

export interface CardIssue {
  readonly step: string;
  readonly code: CardIssueCode;
}

const NEED_A_SYSTEM: ReadonlySet<CardStep["kind"]> = new Set([
  ...(["open", "drain", "close", "fill", "passes"] as const),
]);

/** The places of the first step of each id. */
export function placesById(steps: readonly CardStep[]): ReadonlyMap<string, number> {
  const places = new Map<string, number>();
  steps.forEach(({ id }, place) => {
    if (!places.has(id)) places.set(id, place);
  });
  return places;
}

/** What is wrong with how a system is opened, drained and shut, at one of its steps. */
function systemIssues(steps: readonly CardStep[], place: number): CardIssueCode[] {
  const step = steps[place] as CardStep;
  if (!NEED_A_SYSTEM.has(step.kind)) return [];
  if (systemOf(step) === null) return ["no-system"];
  const before = steps.slice(0, place).filter((one) => areOfOne(one, step));
  const after = steps.slice(place + 1).filter((one) => areOfOne(one, step));
  const isDrain = step.kind === "drain";
  const isPasses = step.kind === "passes";
  const issues: CardIssueCode[] = [];
  const note = (code: CardIssueCode, isSo: boolean): void => {
    if (isSo) issues.push(code);
  };
  const canRefill = before.some(({ kind }) => kind === "open");
  note("no-way-to-refill", (isDrain || isPasses) && !canRefill);
  const fillAt = after.findIndex(({ kind }) => kind === "fill");
  note("nothing-to-refill-it", isDrain && fillAt < 0);
  const isPlugged = after.slice(0, fillAt).some((one) => isCloseOf(one, "drain"));
  note("no-plug-before-filling", isDrain && fillAt >= 0 && !isPlugged);
  const isCapped = after.some((one) => isCloseOf(one, "fill"));
  note("no-cap-after", step.kind === "open" && !isCapped);
  const isLevelled = after.some((one) => one.kind === "fill" && isByMark(one));
  note("no-level-after", isPasses && !isLevelled);
  return issues;
}

/** The places of the steps that a step waits for by what the card says alone. */
function waitsFor(
  steps: readonly CardStep[],
  place: number,
  placeOf: ReadonlyMap<string, number>,
): number[] {
  const step = steps[place] as CardStep;
  const named = (step.after ?? []).flatMap((id) => placeOf.get(id) ?? []);
  const before = steps.slice(0, place).flatMap((one, at) => (holdsByPlace(one, step) ? [at] : []));
  return [...named, ...before];
}

/** Whether a step waits for itself. */
function isInRing(waits: readonly (readonly number[])[], place: number): boolean {
  const seen = new Set<number>();
  const open = [...(waits[place] ?? [])];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    if (at === place) return true;
    if (seen.has(at)) continue;
    seen.add(at);
    open.push(...(waits[at] ?? []));
  }
  return false;
}

/** What is wrong with a card, in card order of the step, each code once a step (job rules §1). */
export function cardIssues(steps: readonly CardStep[]): CardIssue[] {
  const placeOf = placesById(steps);
  const waits = steps.map((_, place) => waitsFor(steps, place, placeOf));
  return steps.flatMap((step, place) => {
    const codes: CardIssueCode[] = [
      ...(placeOf.get(step.id) === place ? [] : (["same-id"] as const)),
      ...systemIssues(steps, place),
      ...((step.after ?? []).every((id) => placeOf.has(id)) ? [] : (["no-such-step"] as const)),
      ...(isInRing(waits, place) ? (["ring"] as const) : []),
    ];
    return codes.map((code) => ({ step: step.id, code }));
  });
}
