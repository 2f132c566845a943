import type { BaselineIssue, BoardMachine, DayNumber, FinishJobIssue } from "@yonderfell/core";
import type { LogIssue } from "./logModel.js";
import { tookIssueWords } from "./tookWords.js";
import { fullDate, sentence } from "../../../words/format.js";
import { meterName, meterOf } from "../../../words/limitWords.js";
import { figureIssueWords } from "../../../words/readingWords.js";

const taskName = (machine: BoardMachine, id: string): string =>
  machine.tasks.find(({ task }) => task.id === id)?.task.name ?? "One of the tasks";

/** What stands in the way of logging work, and what to do. */
export function logIssueWords(
  issue: LogIssue | BaselineIssue | FinishJobIssue,
  machine: BoardMachine,
  today: DayNumber,
): string {
  const named = (id: Parameters<typeof meterOf>[1]): string => {
    const meter = meterOf(machine, id);
    return meter === undefined ? "meter" : meterName(meter);
  };
  switch (issue.code) {
    case "nothing-done":
      return "Tick what was done, or write a note.";
    case "task-not-found":
      return "One of the tasks is no longer in the book; tick again what was done.";
    case "done-and-tested":
      return `${taskName(machine, issue.task)}: it was either done or tested sound; choose one.`;
    case "look-again-missing":
      return `${taskName(machine, issue.task)}: say after how much to look again, a whole number of months or days, or a figure of a meter.`;
    case "in-service-missing":
      return "It is not recorded when the machine went into service; write that among its facts first.";
    case "valid-until-early":
      return `${taskName(machine, issue.task)}: it is valid until a day after the one it was done on; look at the year.`;
    case "follow-ups-unsaid":
      return "Say whether what followed the work was done too.";
    case "needs-a-word":
      return `The amount in ${issue.system} is over 5 % off what it takes: say why in the note.`;
    case "wrong-product":
      return `The product is not for the ${issue.system}: choose another, or say in the note why it went in.`;
    case "took-wrong":
      return tookIssueWords(issue);
    case "date-missing":
      return "Choose the day it was done.";
    case "day-in-future":
      return `The day is after today, ${fullDate(today)}; choose the day it was done.`;
    case "figure-unreadable":
      return `The ${named(issue.meter)}: type a figure of 0 or more, or leave it empty.`;
    case "figure-refused": {
      const meter = meterOf(machine, issue.meter);
      if (meter === undefined) return "One of the meters is no longer in the book.";
      const words = figureIssueWords(issue.issue, meter.meter, today);
      const ask = issue.issue.code === "figure-in-doubt" ? " Say which it is." : "";
      return `${sentence(meterName(meter))}: ${words}${ask}`;
    }
    case "unfinished":
      return "Something of the job is left open: go back and see what keeps it from being finished.";
    case "job-missing":
      return "The job is not in the book any more.";
    case "job-finished":
      return "The job is finished already: its entry stands in the history.";
    case "record-not-found":
      return "The record is no longer in the book.";
    case "already-corrected":
      return "It has been corrected already; correct the record that took its place.";
  }
}
