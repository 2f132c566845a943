import {
  formatDay,
  parseDay,
  releaseForService,
  takeOutOfService,
  type CommandContext,
  type CommandResult,
  type DayNumber,
  type Machine,
  type ServiceIssue,
  type Slice,
} from "@yonderfell/core";
import { lookingAhead } from "../../../data/lookingAhead.js";

/** Why a machine may not be used, or what was done, as it stands in the form. */
export interface StandingModel {
  readonly words: string;
  readonly by: string;
  readonly date: string;
}

/** What the form begins with. */
export function freshStanding(today: DayNumber): StandingModel {
  return { words: "", by: "", date: formatDay(today) };
}

/** The command of the form: takes a machine out of service, or releases it. */
export function standingCommand(
  { words, by, date }: StandingModel,
  isRelease: boolean,
  today: DayNumber,
): (slice: Slice, context: CommandContext) => CommandResult<ServiceIssue> {
  const day = parseDay(date) ?? today;
  return (slice, context) =>
    isRelease
      ? releaseForService(slice, { on: day, by, done: words }, context)
      : takeOutOfService(slice, { since: day, reason: words, by }, context);
}

/** What stands in the way, at its field. */
export interface StandingProblem {
  readonly field: keyof StandingModel | "";
  readonly code: ServiceIssue["code"];
  readonly issue: ServiceIssue;
}

const FIELDS: Readonly<Record<ServiceIssue["code"], StandingProblem["field"]>> = {
  "reason-missing": "words",
  "done-missing": "words",
  "name-missing": "by",
  "day-in-future": "date",
  "before-it-stopped": "date",
  "out-of-service-already": "",
  "in-service-already": "",
};

/** What is still wrong with it, as the command would refuse it. */
export function standingProblems(
  model: StandingModel,
  machine: Machine,
  isRelease: boolean,
  today: DayNumber,
): readonly StandingProblem[] {
  const command = standingCommand(model, isRelease, today);
  const tried = command({ machines: [machine] }, lookingAhead(today));
  if (tried.ok) return [];
  return tried.issues.map((issue) => ({ field: FIELDS[issue.code], code: issue.code, issue }));
}
