import {
  dayOf,
  sampleFigure,
  symbolOf,
  type AnswerDoubt,
  type JudgedFigure,
  type JudgedSample,
  type Machine,
  type Sample,
  type SampleIssue,
} from "@yonderfell/core";
import { counted, figure, fullDate } from "../../../words/format.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import { exactFigure } from "../../../words/ruleWords.js";

/** What the parts of a report are called. */
export const PART_WORDS = { wear: "Worn off", dirt: "Come in", state: "The oil itself" } as const;

/** A figure of a laboratory with three figures that count. */
export const labFigure = (value: number): string => exactFigure(Number(value.toPrecision(3)));

/** The unit a figure is kept in, as it is written. */
export function labUnit(name: string): string {
  const unit = sampleFigure(name)?.unit ?? "";
  return unit === "percent" ? symbolOf("percent") : unit.replace("mm2/s", "mm²/s");
}

/** By what the figures of wear are counted: 100 h, or 10 000 km. */
export function lifeStep({ meters }: Machine, { meter }: Pick<Sample, "meter">): string {
  const unit = ((meters ?? []).find(({ id }) => id === meter) ?? meters?.[0])?.unit ?? "h";
  return unit === "h" ? "100 h" : `${figure(10_000)} km`;
}

/** The unit of the meter that the lives of a sample count on. */
export const lifeUnit = (
  { meters }: Machine,
  { meter }: Pick<Sample, "meter">,
): "km" | "mi" | "h" => ((meters ?? []).find(({ id }) => id === meter) ?? meters?.[0])?.unit ?? "h";

/** What is usual of a figure on this machine; empty where too few samples say. */
export function usualWords({ median, sigma }: JudgedFigure): string {
  if (median === null || sigma === null) return "";
  const low = Math.max(0, median - 3 * sigma);
  return `${labFigure(low)} to ${labFigure(median + 3 * sigma)}`;
}

/** From where on a figure is watched, or stopped at, by the laboratory. */
export function limitOfFigure(name: string, { result }: Sample): string {
  const most = result?.limits?.[name];
  const least = result?.lowest?.[name];
  const words = [
    most?.watch === null || most?.watch === undefined ? "" : `watch ${labFigure(most.watch)}`,
    most?.stop === null || most?.stop === undefined ? "" : `stop ${labFigure(most.stop)}`,
    least?.watch === null || least?.watch === undefined
      ? ""
      : `watch under ${labFigure(least.watch)}`,
    least?.stop === null || least?.stop === undefined ? "" : `stop under ${labFigure(least.stop)}`,
  ];
  return words.filter((one) => one !== "").join(", ");
}

/** What the advice stands on. */
export function standsOnWords({ each, earlier }: JudgedSample): string {
  const out = each.filter(({ verdict }) => verdict !== "sound").map(({ name }) => name);
  const found =
    out.length === 0
      ? "Nothing stands out"
      : `${out.join(", ")} stand${out.length === 1 ? "s" : ""} out`;
  const before =
    earlier === 0
      ? "the first of this system: only the laboratory’s limits say anything"
      : `against ${counted(earlier, "earlier sample")} of this machine and the laboratory’s limits`;
  return `${found.charAt(0).toUpperCase()}${found.slice(1)}, ${before}.${earlier > 0 && earlier < 5 ? " What is usual is told from five earlier ones on." : ""}`;
}

/** Where a sample is. */
export function whereWords({ sent, result, lab }: Sample): string {
  if (result) return `answered ${fullDate(dayOf(result.on))}`;
  if (!sent) return "not sent yet";
  return `sent ${fullDate(dayOf(sent))}${lab ? ` to ${lab}` : ""}, awaited`;
}

/** What must be looked at before an answer is taken. */
export function doubtWords(doubt: AnswerDoubt): string {
  switch (doubt.code) {
    case "other-unit":
      return `${doubt.name} is written as ${exactFigure(doubt.told.value)} ${doubt.told.unit}, usually in ${labUnit(doubt.name)}: it would be kept as ${labFigure(doubt.value)} ${labUnit(doubt.name)}.`;
    case "unknown-unit":
      return `${doubt.name} is written in ${doubt.told.unit}, which is no unit of it: it would be left out.`;
    case "other-label":
      return `The answer bears the label ${doubt.label}, which is not this sample’s.`;
    case "answered-before":
      return `An answer of ${fullDate(dayOf(doubt.on))} is kept already. This one would take its place; that one stays among what was corrected.`;
  }
}

/** What stands in the way of a sample, and what to do. */
export function sampleIssueWords(issue: SampleIssue): string {
  if ("path" in issue) return keepIssueWords(issue);
  switch (issue.code) {
    case "sample-missing":
      return "This sample is not in the book any more: it was struck out, or corrected elsewhere.";
    case "fluid-missing":
      return "Choose which fluid was sampled.";
    case "label-missing":
      return "Give the bottle a label: by it the answer finds its way back.";
    case "label-taken":
      return `The sample of ${fullDate(dayOf(issue.date))} bears this label: give it another.`;
    case "taken-later":
      return "A sample is taken today or earlier.";
    case "nothing-found":
      return "Nothing in this sample stands out: there is nothing to note.";
    case "answered-before":
      return `An answer of ${fullDate(dayOf(issue.on))} is kept already.`;
    case "changed-elsewhere":
      return "It was changed elsewhere meanwhile: look at it again.";
  }
}
