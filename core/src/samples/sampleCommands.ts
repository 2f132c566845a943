import { put } from "../book/change/change.js";
import type { ChangedElsewhere, CommandContext, CommandResult } from "../book/change/command.js";
import { failure, success } from "../book/change/result.js";
import type { BookIssue } from "../book/file/issue.js";
import { issuesOf } from "../book/file/issuesOf.js";
import { RECORD_SCHEMAS } from "../book/records/recordSchemas.js";
import type { Finding } from "../book/records/finding.js";
import type { Sample } from "../book/records/sample.js";
import { currentRecords, standingFor } from "../book/slice/currentRecords.js";
import type { Slice } from "../book/slice/slice.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { keepFinding } from "../machine/keepFinding.js";
import { findingOfSample } from "./found.js";
import type { JudgedSample } from "./judgeSample.js";

/** What stands in the way of taking a sample, or of what becomes of it. */
export type SampleIssue =
  | BookIssue
  | ChangedElsewhere
  | { readonly code: "sample-missing" }
  | { readonly code: "fluid-missing" }
  | { readonly code: "label-missing" }
  /** Another sample bears it: the laboratory could not tell them apart. */
  | { readonly code: "label-taken"; readonly date: string }
  | { readonly code: "taken-later" }
  | { readonly code: "nothing-found" }
  /** An answer is kept already: it is not overwritten unless somebody says which holds. */
  | { readonly code: "answered-before"; readonly on: string };

/** A sample as it is taken. */
export type SampleTaken = Pick<
  Sample,
  "fluid" | "date" | "label" | "meter" | "life" | "oilLife" | "product" | "lab" | "by" | "note"
>;

type SampleSlice = Slice<"samples">;
type Result = NonNullable<Sample["result"]>;

const kept = (
  command: string,
  sample: Sample,
  before: Sample | null,
): CommandResult<SampleIssue> => {
  const issues = issuesOf(RECORD_SCHEMAS.samples, sample, []);
  if (issues.length > 0) return failure(issues);
  const record = { section: "samples" as const, id: sample.id, before, after: sample };
  return success({ command, records: [record] });
};

/** What is wrong with a sample as it is written; null where nothing is. `other` are the current samples that it is told apart from. */
function wrongWith(
  taken: SampleTaken,
  { fluids }: Slice<"fluids">,
  other: readonly Sample[],
  { today }: CommandContext,
): SampleIssue | null {
  if (fluids.every(({ id }) => id !== taken.fluid)) return { code: "fluid-missing" };
  const label = (taken.label ?? "").trim();
  if (label === "") return { code: "label-missing" };
  if (dayOf(taken.date) > today) return { code: "taken-later" };
  const same = other.find((one) => one.label === label);
  return same === undefined ? null : { code: "label-taken", date: same.date };
}

const standingOf = ({ samples }: SampleSlice): Sample[] =>
  currentRecords(samples).map(({ record }) => record);

/** Writes down that a fluid was sampled. Refused: no fluid, no label, a label that another current sample of the machine bears, a day to come. */
export function takeSample(
  slice: Slice<"samples" | "fluids">,
  taken: SampleTaken,
  context: CommandContext,
): CommandResult<SampleIssue> {
  const wrong = wrongWith(taken, slice, standingOf(slice), context);
  if (wrong !== null) return failure([wrong]);
  const sample: Sample = {
    ...{ ...taken, label: (taken.label ?? "").trim(), id: context.newId() as Sample["id"] },
    ...{ seq: context.nextSeq(), machine: slice.machines[0].id },
  };
  return kept("take-sample", sample, null);
}

/** Corrects what was written of a sample: a new one takes its place and keeps where it is and what was answered. Refused as for a new one, and where it does not stand any more. */
export function correctSample(
  slice: Slice<"samples" | "fluids">,
  id: string,
  taken: SampleTaken,
  context: CommandContext,
): CommandResult<SampleIssue> {
  const sample = standingFor(slice.samples, id);
  if (sample === null) return failure([{ code: "sample-missing" }]);
  const others = standingOf(slice).filter((one) => one.id !== sample.id);
  const wrong = wrongWith(taken, slice, others, context);
  if (wrong !== null) return failure([wrong]);
  const { revision: _, ...rest } = sample;
  const corrected: Sample = {
    ...{ ...rest, ...taken, label: (taken.label ?? "").trim() },
    ...{ id: context.newId() as Sample["id"], seq: context.nextSeq(), replaces: sample.id },
  };
  return kept("correct-sample", corrected, null);
}

/** Changes a sample in place, as long as it stands as it was seen. */
function changed(
  { samples }: SampleSlice,
  id: string,
  command: string,
  change: (sample: Sample) => Sample,
): CommandResult<SampleIssue> {
  const sample = standingFor(samples, id);
  return sample === null
    ? failure([{ code: "sample-missing" }])
    : kept(command, change(sample), sample);
}

/** Writes down that a sample was sent, today, by post or through the program (`online`); one that was lost is sent again so. */
export const sendSample = (
  slice: SampleSlice,
  id: string,
  { lab, online }: { readonly lab: string; readonly online: boolean },
  { today }: CommandContext,
): CommandResult<SampleIssue> =>
  changed(slice, id, "send-sample", (sample) => ({
    ...sample,
    ...{ sent: formatDay(today), lab: lab.trim() || (sample.lab ?? null) },
    online,
  }));

/**
 * Keeps what a laboratory answered. Where an answer is kept already it is refused, unless `isInstead`: a corrected sample with the
 * new answer then takes the place of the one before, which stays among the superseded.
 */
export function keepAnswer(
  slice: SampleSlice,
  id: string,
  result: Result,
  isInstead: boolean,
  context: CommandContext,
): CommandResult<SampleIssue> {
  const sample = standingFor(slice.samples, id);
  if (sample === null) return failure([{ code: "sample-missing" }]);
  const answered = { ...result, seen: Math.max(result.answer ?? 1, sample.result?.seen ?? 1) };
  if (!sample.result) return kept("keep-answer", { ...sample, result: answered }, sample);
  if (!isInstead) return failure([{ code: "answered-before", on: sample.result.on }]);
  const { revision: _, ...rest } = sample;
  const corrected: Sample = {
    ...{ ...rest, id: context.newId() as Sample["id"], seq: context.nextSeq() },
    ...{ replaces: sample.id, result: answered },
  };
  return kept("keep-answer", corrected, null);
}

/** Leaves a further answer of the laboratory aside: the one that is kept holds, and it is not asked about again. */
export const leaveAnswer = (
  slice: SampleSlice,
  id: string,
  number: number,
): CommandResult<SampleIssue> =>
  changed(slice, id, "leave-answer", (sample) =>
    sample.result ? { ...sample, result: { ...sample.result, seen: number } } : sample,
  );

/** Notes what a sample found as a finding of its machine ({@link findingOfSample}). Refused: one that is all sound, and what {@link keepFinding} refuses. */
export function noteSample(
  slice: Slice<"findings">,
  judged: JudgedSample,
  system: string,
  context: CommandContext,
): CommandResult<SampleIssue> {
  const found = findingOfSample(judged, system);
  if (found === null) return failure([{ code: "nothing-found" }]);
  const finding: Finding = { ...found, id: context.newId() as Finding["id"] };
  return keepFinding(slice, null, finding, context);
}

/** Strikes a sample out: it was lost, spilled or mistaken. It stays among the superseded, with why. */
export function strikeSample(
  { samples }: SampleSlice,
  id: string,
  why: string,
  context: CommandContext,
): CommandResult<SampleIssue> {
  const sample = standingFor(samples, id);
  if (sample === null) return failure([{ code: "sample-missing" }]);
  const { revision: _, ...rest } = sample;
  const struck: Sample = {
    ...{ ...rest, id: context.newId() as Sample["id"], seq: context.nextSeq() },
    ...{ replaces: sample.id, void: true, note: why.trim() || (sample.note ?? null) },
  };
  return success({ command: "strike-sample", records: [put("samples", struck)] });
}
