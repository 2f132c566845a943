import { formatDay, governingLimit, type BoardMachine, type DayNumber } from "@yonderfell/core";
import { because } from "../../../words/because.js";
import { plainText } from "../../../words/format.js";
import { figureLeft } from "../../../words/limitWords.js";
import { STATUS_WORD } from "../../../words/statusWords.js";

/** The due list as a table: a row a task that is not finished, with its date, its range and why. */
export function dueTable(board: readonly BoardMachine[], today: DayNumber): string[][] {
  const rows = board.flatMap((machine) =>
    machine.tasks
      .filter(({ status }) => status !== "finished")
      .map((task) => {
        const limit = governingLimit(task);
        const { early, likely, late } = limit?.forecast ?? {
          early: null,
          likely: null,
          late: null,
        };
        const date = (day: DayNumber | null): string => (day === null ? "" : formatDay(day));
        const reasons = because(task, { machine, today }).limits[0]?.sentences ?? [];
        return [
          machine.machine.tag,
          machine.machine.name,
          task.task.name,
          STATUS_WORD[task.status],
          task.doubtful ? "yes" : "",
          date(likely),
          date(early),
          date(late),
          limit === null ? "" : plainText(figureLeft(limit, machine)),
          limit?.limit.hard ? "yes" : "",
          plainText(reasons.join(" ")),
        ];
      }),
  );
  return [DUE_TITLES, ...rows];
}

const DUE_TITLES = [
  ...["Number", "Machine", "Task", "State", "Doubtful", "Likely", "Early", "Late"],
  ...["Left", "Hard limit", "Because"],
];
