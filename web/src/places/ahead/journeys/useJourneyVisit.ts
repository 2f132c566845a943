import { type DayNumber, type JourneyPlan, type Machine, type TaskId } from "@yonderfell/core";
import { surroundings } from "../../../session/openBook.js";
import { useAcceptVisits } from "../visits/useAcceptVisits.js";
import { weekdayDate } from "../../../words/visitWords.js";

/** The way to put a visit before a journey into the book, work for others apart from one's own; answers whether it is saved. */
export function useJourneyVisit(
  machine: Machine,
  since: number | null,
  plan: JourneyPlan,
): {
  readonly keep: (tasks: readonly TaskId[], day: DayNumber) => Promise<boolean>;
  readonly failure: string;
} {
  const { accept, failure } = useAcceptVisits();
  const keep = (tasks: readonly TaskId[], day: DayNumber): Promise<boolean> => {
    const { today } = surroundings();
    const isOutside = (task: TaskId): boolean =>
      plan.tasks.some((one) => one.task === task && one.isOutside);
    const parted = [tasks.filter((task) => !isOutside(task)), tasks.filter(isOutside)].filter(
      (some) => some.length > 0,
    );
    const visits = parted.map((some) => ({ day, tasks: some }));
    return accept(
      { machine, since },
      visits,
      `${machine.tag} on ${weekdayDate(day, today)} is in the book.`,
    );
  };
  return { keep, failure };
}
