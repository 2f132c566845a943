import type { Check, Checklist } from "../book/records/checklist.js";
import type { Fluid } from "../book/records/fluid.js";
import type { Round } from "../book/records/round.js";
import type { Sample } from "../book/records/sample.js";
import type { Task } from "../book/records/task.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { pickOf } from "../inspect/judgeCheck.js";
import { placesOf, resultAt, type CheckPlace, type CheckResult } from "../inspect/places.js";
import { isVerdict, type Verdict } from "../inspect/verdict.js";
import { symbolOf } from "../quantity/unit.js";
import { judgeSamples, samplesOf, type SampleAdvice } from "../samples/judgeSample.js";

/** What is seen of a fluid, the first going before the others where they disagree; papers come last. Source: job, judging a machine without records. */
const RANKS = ["level", "colour", "smell", "particles", "test", "history"] as const;
type EvidenceRank = (typeof RANKS)[number];

/** Something that speaks of what a task starts from. */
interface BaselineEvidence {
  readonly rank: EvidenceRank;
  readonly on: DayNumber;
  /** What was looked at: the name of the check with its point, a sample's label; empty for the log. */
  readonly what: string;
  /** What was found, in the words of whoever looked; empty where nothing was said. */
  readonly found: string;
  readonly verdict: Verdict;
  /** What it says is to be done; null where nothing. */
  readonly todo: string | null;
  /** The round it was found on; null for a sample and the log. */
  readonly round: Round["id"] | null;
}

/** What the evidence speaks for. */
export type BaselineProposal = "leave" | "drain and fill" | "flush" | "do now";

/** What is known of a task of a machine that is taken on, and what that speaks for. */
export interface BaselineFound {
  /** In the order in which it counts. */
  readonly evidence: readonly BaselineEvidence[];
  readonly proposed: BaselineProposal;
  /** Whether some of it says sound and some does not. */
  readonly isConflict: boolean;
}

/** What the sheet reads beside the machine's own book. */
export interface BaselineSources {
  readonly fluids: readonly Fluid[];
  readonly checklists: readonly Checklist[];
  readonly samples: readonly Sample[];
}

/** What a result speaks of: by how it was checked, and by the word picked where a check asks for several things at once. */
function rankOf({ name, how, sum, unit }: Check, picked: string): EvidenceRank {
  const words = name.toLowerCase();
  if (how === "smell") return "smell";
  if (how === "measure" || how === "count" || sum || unit) return "test";
  if (words.includes("particles")) return "particles";
  const isLevel = words.includes("level");
  if (isLevel && words.includes("colour")) {
    return /low|high|mark/.test(picked) && picked !== "" ? "level" : "colour";
  }
  return isLevel ? "level" : "colour";
}

function foundWords(result: CheckResult): string {
  const readings = (result.readings ?? []).map(({ value, unit }) => `${value} ${symbolOf(unit)}`);
  return [...readings, result.picked ?? "", result.note ?? ""].filter(Boolean).join(", ");
}

/** The checks that speak of a task: of the kind of the fluid that it uses, or those its measured limits go by. */
function speaksOf(task: Task, kinds: ReadonlySet<string>): (check: Check) => boolean {
  const measured = new Set(
    Object.values(task.regimes ?? {})
      .flat()
      .flatMap((limit) => ("check" in limit ? [limit.check] : [])),
  );
  return (check) => kinds.has(check.fluid ?? "") || measured.has(check.id);
}

/** The latest results of rounds that speak of a task, one a check and point. */
function seen(
  task: Task,
  book: MachineBook,
  kinds: ReadonlySet<string>,
  checklists: readonly Checklist[],
  today: DayNumber,
): BaselineEvidence[] {
  const isMeant = speaksOf(task, kinds);
  const latest = new Map<string, BaselineEvidence>();
  const rounds = currentRecords(book.rounds)
    .filter(({ day }) => day <= today)
    .toSorted((one, other) => one.day - other.day);
  for (const { record, day } of rounds) {
    const checklist = checklists.find(({ id }) => id === record.checklist);
    for (const place of checklist === undefined ? [] : placesOf(checklist)) {
      if (!isMeant(place.check)) continue;
      const found = evidenceAt(place, record, day);
      if (found !== null) latest.set(`${record.checklist} ${found.what}`, found);
    }
  }
  return [...latest.values()];
}

function evidenceAt(
  { check, point }: CheckPlace,
  round: Round,
  on: DayNumber,
): BaselineEvidence | null {
  const result = resultAt(round, { check, point });
  const verdict = result?.verdict ?? null;
  if (result === null || !isVerdict(verdict)) return null;
  const pick = pickOf(check, result.picked);
  return {
    ...{ rank: rankOf(check, result.picked ?? ""), on, verdict, round: round.id },
    what: point === null ? check.name : `${check.name}, ${point}`,
    found: foundWords(result),
    todo: verdict === "sound" ? null : (pick?.todo ?? null),
  };
}

const OF_ADVICE: Readonly<Record<SampleAdvice, Verdict>> = {
  ...{ "stop and look": "stop", shorten: "attend", keep: "sound", extend: "sound" },
};

/** What the last samples of the fluids say. */
function sampled(
  fluids: readonly Fluid[],
  samples: readonly Sample[],
  { machines: [machine] }: MachineBook,
  today: DayNumber,
): BaselineEvidence[] {
  return fluids.flatMap(({ id }): BaselineEvidence[] => {
    const own = samplesOf(samples, id).filter(({ date }) => dayOf(date) <= today);
    const last = judgeSamples(own, machine).at(-1);
    if (last === undefined) return [];
    const out = last.each.filter(({ verdict }) => verdict !== "sound");
    return [
      {
        ...{ rank: "test", on: dayOf(last.sample.date), round: null },
        what: `sample ${last.sample.label ?? ""}`.trim(),
        found: out.map(({ name, value }) => `${name} ${value}`).join(", "),
        verdict: OF_ADVICE[last.advice],
        todo: OF_ADVICE[last.advice] === "sound" ? null : "drain and fill",
      },
    ];
  });
}

/** What the log and the papers say: when it was last done, not assumed. */
function logged(task: Task, book: MachineBook, today: DayNumber): BaselineEvidence[] {
  const last = currentRecords(book.entries)
    .filter(({ day, record }) => day <= today && record.assumed !== true)
    .filter(({ record }) => (record.tasks ?? []).includes(task.id))
    .toSorted((one, other) => one.day - other.day)
    .at(-1);
  if (last === undefined) return [];
  const found = last.record.note ?? "";
  return [
    {
      ...{ rank: "history", on: last.day, what: "", found },
      ...{ verdict: "sound", todo: null, round: null },
    },
  ];
}

function proposedBy(decider: BaselineEvidence | undefined): BaselineProposal {
  if (decider === undefined) return "leave";
  const todo = decider.todo ?? "";
  if (todo.includes("flush")) return "flush";
  if (decider.verdict === "stop") return "do now";
  return todo.includes("drain") || todo.includes("fill") ? "drain and fill" : "do now";
}

/**
 * What rounds, samples and the log say of what a task of a machine starts from, by `today`: the latest of each check of the kind of fluid that it uses or
 * that its measured limits go by. Where they disagree the first that is not sound decides, in the order level, colour, smell, particles, test, history:
 * what is seen goes before what is written. Null where nothing speaks of it.
 */
export function baselineEvidence(
  task: Task,
  book: MachineBook,
  { fluids, checklists, samples }: BaselineSources,
  today: DayNumber,
): BaselineFound | null {
  const own = fluids.filter(({ id }) => (task.uses ?? []).some(({ fluid }) => fluid === id));
  const kinds = new Set<string>(own.map(({ kind }) => kind));
  const all = [
    ...seen(task, book, kinds, checklists, today),
    ...sampled(own, samples, book, today),
    ...logged(task, book, today),
  ];
  if (all.every(({ rank }) => rank === "history")) return null;
  const evidence = all.toSorted(
    (one, other) => RANKS.indexOf(one.rank) - RANKS.indexOf(other.rank),
  );
  const unsound = evidence.filter(({ verdict }) => verdict !== "sound");
  return {
    evidence,
    proposed: proposedBy(unsound[0]),
    isConflict: unsound.length > 0 && unsound.length < evidence.length,
  };
}
