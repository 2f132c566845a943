import { put } from "../../book/change/change.js";
import { joined, type CommandContext, type CommandResult } from "../../book/change/command.js";
import { keepRecord, type KeepIssue } from "../../book/change/keepRecord.js";
import { failure, success } from "../../book/change/result.js";
import type { Finding } from "../../book/records/finding.js";
import type { Lesson, LessonAnswer } from "../../book/records/lesson.js";
import type { Machine } from "../../book/records/machine.js";
import type { Slice } from "../../book/slice/slice.js";
import { dayOf, formatDay } from "../../calendar/dayNumber.js";
import { keepFinding } from "../../machine/keepFinding.js";
import type { IntervalChange } from "../../samples/advice.js";
import { withInterval } from "../../schedule/takenInterval.js";
import { intervalSubject, lastAnswer, type LessonSubject, type Proposal } from "./proposals.js";
import { withLearned, type CapacityBeside } from "./capacities.js";
import type { ConsumptionTrend } from "./consumption.js";

/** The schools a task goes by where *measured* says something else already. */
const BY_EXPERIENCE = "by experience";
const BY_SAMPLE = "by sample";
/** What a machine has run is told to a tenth. */
const TENTHS = 10;

/** What a person answers with a proposal. */
interface Answered {
  readonly subject: LessonSubject;
  readonly answer: LessonAnswer;
  /** What was proposed, in the words in which it stood. */
  readonly said: string;
}

/** Keeps what was answered to a proposal, so that it is not made again before there is reason to. */
function answered(
  { subject, answer, said }: Answered,
  { today, newId }: CommandContext,
): CommandResult<KeepIssue> {
  const lesson: Lesson = {
    ...{ id: newId() as Lesson["id"], ...subject },
    ...{ answer, on: formatDay(today), said },
  };
  return success({ command: "answer-proposal", records: [put("lessons", lesson)] });
}

/** Sets a proposal aside: *not now*, or *never* for its machine. Nothing else is changed. */
export function setAside(
  _: Slice<"lessons">,
  asked: { readonly subject: LessonSubject; readonly answer: "not now" | "never"; said: string },
  context: CommandContext,
): CommandResult<KeepIssue> {
  return answered(asked, context);
}

/** What a proposal changes is read in. */
type Changed = Slice<"tasks" | "fluids" | "findings" | "lessons">;

/** The finding that a system takes much more than it used to, to be looked into at the next visit. */
function foundToTake(
  { system, meter, spans, soFar }: ConsumptionTrend,
  { machines: [machine] }: Changed,
  said: string,
  { today, newId }: CommandContext,
): Finding {
  const life = soFar?.to ?? spans.at(-1)?.to;
  return {
    ...{ id: newId() as Finding["id"], machine: machine.id, kind: "consumption" },
    ...(life === undefined ? {} : { life: { [meter.id]: Math.round(life * TENTHS) / TENTHS } }),
    ...{ found: formatDay(today), what: "Takes more than it used to", where: system },
    ...{ verdict: "attend", evidence: said, todo: "find where it goes before it is filled again" },
    also: [
      "a leak: clean it, run it, look from underneath",
      "worn seals or rings",
      "a wrong level",
    ],
    decision: "next visit",
  };
}

/** The figure to work by in place of the printed ones, and why. */
function capacityTaken(
  { fluid, condition, litres }: Pick<CapacityBeside, "fluid" | "condition" | "litres">,
  { fluids }: Pick<Changed, "fluids">,
  said: string,
  newId: () => string,
): CommandResult<KeepIssue> {
  const after = withLearned(fluid, { condition, litres }, said, newId);
  return keepRecord(fluids, "fluids", fluid, after);
}

function changeOf(
  proposal: Proposal,
  slice: Changed,
  said: string,
  context: CommandContext,
): CommandResult<KeepIssue> {
  const [machine]: readonly [Machine] = slice.machines;
  switch (proposal.about) {
    case "interval": {
      const { task, meter, advice } = proposal.seen;
      const after = withInterval({ task, meter, to: advice.to }, machine, said, BY_EXPERIENCE);
      return keepRecord(slice.tasks, "tasks", task, after);
    }
    case "minutes": {
      const { task } = proposal.beside;
      return keepRecord(slice.tasks, "tasks", task, { ...task, minutes: proposal.beside.minutes });
    }
    case "capacity":
      return capacityTaken(proposal.beside, slice, said, context.newId);
    case "consumption": {
      const last = lastAnswer(slice.lessons, proposal.subject);
      if (last?.answer === "done" && dayOf(last.on) >= proposal.newest) {
        // It is a finding already: pressed twice, or elsewhere.
        return failure([{ code: "changed-elsewhere", section: "lessons", id: last.id }]);
      }
      const finding = foundToTake(proposal.trend, slice, said, context);
      return keepFinding(slice, null, finding, context);
    }
  }
}

/**
 * Does what a proposal says, and keeps that it was done: the interval of the task changed in a school of its own with the
 * reason (`said`), its minutes, the working figure of the plate, or a finding to be looked into. Refused: where the task or
 * fluid was changed since the proposal was made, and where the finding was made already.
 */
export function takeProposal(
  slice: Changed,
  { proposal, said }: { readonly proposal: Proposal; readonly said: string },
  context: CommandContext,
): CommandResult<KeepIssue> {
  const { subject } = proposal;
  return joined(
    [
      changeOf(proposal, slice, said, context),
      answered({ subject, answer: "done", said }, context),
    ],
    "take-proposal",
  );
}

/**
 * Takes an interval over that a sample speaks for, and keeps that it was done: what was seen up to today speaks for no further
 * change. Refused: where the task was changed since the sample was looked at.
 */
export function takeSampledInterval(
  { machines: [machine], tasks }: Slice<"tasks" | "lessons">,
  { change, said }: { readonly change: IntervalChange; readonly said: string },
  context: CommandContext,
): CommandResult<KeepIssue> {
  const { task, meter } = change;
  const subject = intervalSubject(machine.id, change);
  return joined(
    [
      keepRecord(
        tasks,
        "tasks",
        task,
        withInterval({ ...change, meter }, machine, said, BY_SAMPLE),
      ),
      answered({ subject, answer: "done", said }, context),
    ],
    "take-sampled-interval",
  );
}

/** Makes a proposal stand again that was set aside. Refused where the answer does not stand any more. */
export function bringBack({ lessons }: Slice<"lessons">, lesson: Lesson): CommandResult<KeepIssue> {
  const standing = lessons.find(({ id }) => id === lesson.id);
  if (standing === undefined) {
    return failure([{ code: "changed-elsewhere", section: "lessons", id: lesson.id }]);
  }
  return keepRecord(lessons, "lessons", standing, null);
}
