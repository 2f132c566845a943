import type { CapacityCondition } from "../../book/records/fluid.js";
import type { FluidId, MachineId, MeterId, TaskId } from "../../book/records/ids.js";
import type { Lesson, LessonKind } from "../../book/records/lesson.js";
import type { Task } from "../../book/records/task.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { CapacityBeside } from "./capacities.js";
import type { ConsumptionTrend } from "./consumption.js";
import type { EstimateBeside } from "./estimates.js";
import type { IntervalSeen } from "./intervals.js";

/** What a proposal is about; what was answered to the same thing goes with it. */
export interface LessonSubject {
  readonly machine: MachineId;
  readonly about: LessonKind;
  readonly task?: TaskId;
  readonly meter?: MeterId;
  readonly fluid?: FluidId;
  readonly condition?: CapacityCondition;
}

/** What the records of a machine speak for; nothing follows unless a person says so. */
export type Proposal = {
  readonly subject: LessonSubject;
  /** The last day of what it stands on. */
  readonly newest: DayNumber;
} & (
  | { readonly about: "interval"; readonly seen: IntervalSeen }
  | { readonly about: "consumption"; readonly trend: ConsumptionTrend }
  | { readonly about: "capacity"; readonly beside: CapacityBeside }
  | { readonly about: "minutes"; readonly beside: EstimateBeside }
);

/** A proposal, and what was answered to it where that still holds. */
export interface ProposalStanding {
  readonly proposal: Proposal;
  readonly lesson: Lesson | null;
}

/** What is put off comes again after so many days, or with new evidence. */
export const NOT_NOW_DAYS = 90;

/** Whether an answer was given to the same thing. */
const isOf =
  (subject: LessonSubject) =>
  (lesson: Lesson): boolean =>
    lesson.machine === subject.machine &&
    lesson.about === subject.about &&
    (["task", "meter", "fluid", "condition"] as const).every(
      (field) => (lesson[field] ?? null) === (subject[field] ?? null),
    );

/** What an interval of a task is about. */
export const intervalSubject = (
  machine: MachineId,
  { task, meter }: { readonly task: Pick<Task, "id">; readonly meter: MeterId },
): LessonSubject => ({ machine, about: "interval", task: task.id, meter });

/** The last answer to something; of one day the later in the book. */
export function lastAnswer(lessons: readonly Lesson[], subject: LessonSubject): Lesson | null {
  return lessons
    .filter(isOf(subject))
    .reduce<Lesson | null>((last, one) => (last === null || one.on >= last.on ? one : last), null);
}

/** Whether an answer still holds for a proposal: *never* always, others until there is new evidence, and *not now* for {@link NOT_NOW_DAYS} days at most. */
function holds({ answer, on }: Lesson, newest: DayNumber, today: DayNumber): boolean {
  if (answer === "never") return true;
  if (newest > dayOf(on)) return false;
  return answer === "done" || today < addDays(dayOf(on), NOT_NOW_DAYS);
}

/** What a machine's records speak for, as far as they do. */
export interface SpeaksFor {
  readonly intervals: readonly IntervalSeen[];
  readonly consumption: readonly ConsumptionTrend[];
  readonly capacities: readonly CapacityBeside[];
  readonly estimates: readonly EstimateBeside[];
}

/** To work by what the fills have taught, whether they speak for it of themselves or not. */
export const capacityProposal = (machine: MachineId, beside: CapacityBeside): Proposal => ({
  ...{ about: "capacity", beside, newest: beside.newest },
  subject: {
    ...{ machine, about: "capacity" },
    ...{ fluid: beside.fluid.id, condition: beside.condition },
  },
});

/** To take over the minutes that the work took, whether they speak for it of themselves or not. */
export const minutesProposal = (machine: MachineId, beside: EstimateBeside): Proposal => ({
  ...{ about: "minutes", beside, newest: beside.newest },
  subject: { machine, about: "minutes", task: beside.task.id },
});

/** The proposals of a machine, each with the answer that holds, the newest evidence first. */
export function proposalsOf(
  machine: MachineId,
  { intervals, consumption, capacities, estimates }: SpeaksFor,
  lessons: readonly Lesson[],
  today: DayNumber,
): ProposalStanding[] {
  const all: Proposal[] = [
    ...intervals
      .filter(({ advice }) => advice.advice !== "keep")
      .map((seen): Proposal => ({
        ...{ about: "interval", seen, newest: seen.turns.at(-1)?.day ?? today },
        subject: intervalSubject(machine, seen),
      })),
    ...consumption
      .filter(({ isDoubled }) => isDoubled)
      .map((trend): Proposal => ({
        ...{ about: "consumption", trend, newest: trend.spans.at(-1)?.toDay ?? today },
        subject: { machine, about: "consumption", fluid: trend.fluid },
      })),
    ...capacities.filter(({ speaks }) => speaks).map((beside) => capacityProposal(machine, beside)),
    ...estimates.filter(({ speaks }) => speaks).map((beside) => minutesProposal(machine, beside)),
  ];
  return all
    .toSorted((one, other) => other.newest - one.newest)
    .map((proposal) => {
      const last = lastAnswer(lessons, proposal.subject);
      const stands = last !== null && holds(last, proposal.newest, today);
      return { proposal, lesson: stands ? last : null };
    });
}
