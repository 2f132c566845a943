import {
  currentStop,
  daysBetween,
  forbidsUse,
  isRequired,
  mostPressing,
  presses,
  type BoardMachine,
  type BoardMeter,
  type BoardTask,
  type DayNumber,
  type FindingReckoning,
  type Stop,
  type TaskReckoning,
} from "@yonderfell/core";

import { standingOf } from "../../../words/standingWords.js";

/** A machine out of service, and since when and why. */
export interface StoppedMachine {
  readonly machine: BoardMachine;
  readonly stop: Stop;
}

/** A meter that is to be read. */
export interface StaleMeter {
  readonly machine: BoardMachine;
  readonly meter: BoardMeter;
}

/** What a day asks for, each thing once, under the first heading it belongs to. */
export interface Today {
  /** Out of service until released. */
  readonly stopped: readonly StoppedMachine[];
  /** Past a hard limit: not to be used until it is done. */
  readonly forbidden: readonly BoardTask[];
  /** Hard limits that are due or come soon. */
  readonly byLaw: readonly BoardTask[];
  /** Work that follows other work, such as wheel nuts after so many kilometres. */
  readonly followUps: readonly BoardTask[];
  /** Everything else that is overdue or due. */
  readonly due: readonly BoardTask[];
  /** Done before or after each use of a machine that runs. */
  readonly eachUse: readonly BoardTask[];
  readonly meters: readonly StaleMeter[];
  /** Open findings whose day has come or comes soon. */
  readonly findings: readonly FoundOn[];
}

/** An open finding with its machine. */
export interface FoundOn {
  readonly machine: BoardMachine;
  readonly found: FindingReckoning;
}

type Heading = "forbidden" | "byLaw" | "followUps" | "due" | "eachUse";

/** Under which heading a task belongs today; null where it asks for nothing. */
function headingOf(task: TaskReckoning): Heading | null {
  const { status } = task;
  const comesUp = presses(status) || status === "soon";
  if (forbidsUse(task)) return "forbidden";
  if (isRequired(task) && comesUp) return "byLaw";
  if (task.task.follows && comesUp) return "followUps";
  if (presses(status)) return "due";
  return task.task.eachUse ? "eachUse" : null;
}

/** What a day asks for over all machines. A laid-up machine asks for no checks with use and no readings; one out of service for no checks with use. */
export function todayOf(machines: readonly BoardMachine[], today: DayNumber): Today {
  const tasks: Record<Heading, BoardTask[]> = {
    ...{ forbidden: [], byLaw: [], followUps: [], due: [], eachUse: [] },
  };
  for (const entry of mostPressing(machines)) {
    const heading = headingOf(entry.task);
    if (heading === null) continue;
    if (heading === "eachUse" && standingOf(entry.machine, today) !== "") continue;
    tasks[heading].push(entry);
  }
  const findings = foundOf(machines);
  return { ...tasks, findings, stopped: stoppedOf(machines), meters: staleOf(machines, today) };
}

const COMES_UP: readonly FindingReckoning["status"][] = ["overdue", "due", "soon"];

/** The findings that ask for something, the most pressing first. */
function foundOf(machines: readonly BoardMachine[]): FoundOn[] {
  const rank = ({ found }: FoundOn): number => COMES_UP.indexOf(found.status);
  return machines
    .flatMap((machine) => machine.findings.map((found) => ({ machine, found })))
    .filter(({ found }) => COMES_UP.includes(found.status))
    .sort((one, other) => rank(one) - rank(other));
}

function stoppedOf(machines: readonly BoardMachine[]): StoppedMachine[] {
  return machines.flatMap((machine) => {
    const stop = currentStop(machine.machine);
    return stop === null ? [] : [{ machine, stop }];
  });
}

/** Stale meters, the longest unread first. */
function staleOf(machines: readonly BoardMachine[], today: DayNumber): StaleMeter[] {
  const unread = ({ meter }: StaleMeter): number =>
    meter.lastOn === null ? Number.MAX_SAFE_INTEGER : daysBetween(meter.lastOn, today);
  return machines
    .filter((machine) => standingOf(machine, today) !== "laid up")
    .flatMap((machine) =>
      machine.meters
        .filter(({ stale, stoppedOn }) => stale && stoppedOn === null)
        .map((meter) => ({ machine, meter })),
    )
    .sort((one, other) => unread(other) - unread(one));
}
