import type { TaskModel, TaskProblem } from "./taskModel.js";

/** What is said of a task. */
export const TASK_LABELS: Readonly<Record<keyof TaskModel, string>> = {
  name: "Task",
  note: "What is done",
  tie: "It is due",
  regimes: "Schools and their limits",
  regime: "On this task another school than the machine’s",
  regimeReason: "Why",
  anchor: "Counted",
  combine: "Of several limits",
  eachUse: "Each use",
  nthOf: "of",
  nthEvery: "With every … turn",
  followsTask: "after",
  followsBy: "Counted in",
  followsAmount: "So much later",
  access: "What is opened or taken off for it",
  minutes: "Minutes of work",
  needs: "Needs of who does it, and where",
  uses: "Fluids it uses",
  outside: "Is it work for others?",
  tell: "What to tell the workshop",
  ladder: "Step of the ladder",
};

/** What a figure of a task is called within a sentence, by the last part of its field. */
const FIGURES: Readonly<Record<string, string>> = {
  every: "Every so much",
  grace: "The grace",
  at: "Each milestone",
  nthEvery: "Every how many turns",
  followsAmount: "So much after",
  minutes: "Minutes of work",
};

/** What is wrong with a task, and what to do. */
export function taskProblemWords({ field, code }: TaskProblem): string {
  const figure = FIGURES[field.split(".").at(-1) ?? ""] ?? "It";
  switch (code) {
    case "name-missing":
      return "Say what is done, such as brake fluid.";
    case "school-reason-missing":
      return "Say why it follows another school than the machine.";
    case "school-name-missing":
      return "Name each school.";
    case "school-names-alike":
      return "Two schools have one name.";
    case "school-empty":
      return "Give the school a limit, or say it is for life.";
    case "not-whole":
      return `${figure} must be a whole number from 1 on.`;
    case "not-above-0":
      return `${figure} must be a figure above 0.`;
    case "milestones-fall":
      return "Milestones must rise, each above the one before.";
    case "limit-empty":
      return "Say every how much, or at which figures.";
    case "measure-missing":
      return "Choose what rounds measure.";
    case "meter-missing":
      return "Choose the meter that the wear is set against; without one no date can be given.";
    case "not-a-figure":
      return "Say at which figure it is due.";
    case "task-missing":
      return field === "nthOf" ? "Choose the task it goes with." : "Choose the task it follows.";
    case "fluid-missing":
      return "Choose each fluid it uses, or take the line out.";
    case "not-an-amount":
      return "That is not an amount of fluid.";
  }
}
