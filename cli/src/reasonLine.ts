import {
  formatDay,
  type CompletionFact,
  type LimitReckoning,
  type MachineReckoning,
  type TaskReckoning,
} from "@yonderfell/core";

const rounded = (value: number): string => String(Math.round(value * 10) / 10);

/** The unit of a meter of a machine. */
function unitOf(machine: MachineReckoning, meter: string): string {
  return machine.meters.find((candidate) => candidate.meter.id === meter)?.meter.unit ?? "";
}

/** The unit a limit is counted in. */
export function unitOfLimit(limit: LimitReckoning, machine: MachineReckoning): string {
  switch (limit.kind) {
    case "calendar":
      return "days";
    case "meter":
    case "measured":
      return unitOf(machine, limit.meter);
  }
}

/** The interval of a limit: `every 12000 km`, `at 50 then every 250 h`, `every 12 months`. */
function intervalWords({ limit }: LimitReckoning, machine: MachineReckoning): string {
  switch (limit.kind) {
    case "calendar": {
      const { months, days } = limit.interval;
      return months === undefined ? `every ${days} days` : `every ${months} months`;
    }
    case "meter": {
      const unit = unitOf(machine, limit.meter);
      const at = limit.at.length === 0 ? "" : `at ${limit.at.join(", ")}`;
      const every = limit.every === null ? "" : `every ${limit.every}`;
      return `${[at, every].filter((part) => part !== "").join(" then ")} ${unit}`;
    }
    case "measured":
      return `measured, at ${limit.limit}`;
  }
}

function doneWords(fact: CompletionFact, limit: LimitReckoning, machine: MachineReckoning): string {
  const assumed = fact.assumed ? " (assumed)" : "";
  return `last ${formatDay(fact.day)}${atWords(fact, limit, machine)}${assumed}`;
}

/** The figure on the limit's meter when something was done, where it counts on one. */
function atWords(fact: CompletionFact, limit: LimitReckoning, machine: MachineReckoning): string {
  switch (limit.kind) {
    case "calendar":
      return "";
    case "meter":
    case "measured": {
      if (fact.dial === null) return "";
      const old = fact.oldDial ? " on the old dial" : "";
      return ` at ${rounded(fact.dial)} ${unitOf(machine, limit.meter)}${old}`;
    }
  }
}

function basisWords(limit: LimitReckoning, machine: MachineReckoning): string {
  const { basis } = limit;
  switch (basis.code) {
    case "completed":
    case "milestones-passed":
      return doneWords(basis.last, limit, machine);
    case "grid":
      return basis.last === null
        ? "never done, on fixed points"
        : `${doneWords(basis.last, limit, machine)}, on fixed points`;
    case "never-done":
      return "never done";
    case "history-unknown":
      return "no record and history unknown";
    case "life-unknown-then":
      return `done ${formatDay(basis.last.day)} at an unknown figure`;
    case "date-missing":
      return "day in service not recorded";
    case "nth":
      return `with every ${basis.every}. turn of ${basis.of}, ${basis.turns} since`;
    case "nth-unknown":
      return `goes with ${basis.of}, which has no date`;
    case "tested-sound":
      return `tested sound ${formatDay(basis.test.day)}`;
    case "wanted":
      return basis.reminder === null
        ? `wanted since ${formatDay(basis.by.day)}`
        : `reminder ${basis.reminder} of ${formatDay(basis.by.day)}`;
    case "measured":
      return `${basis.check} measured ${basis.points} times`;
    case "not-measured":
      return `${basis.check} not measured since it was done`;
    case "no-trend":
      return `${basis.check} measured, no trend to its limit`;
    case "follows-waiting":
      return `after ${basis.task}, not done yet`;
    case "follows-armed":
      return `after ${basis.task} of ${formatDay(basis.by.day)}`;
    case "follows-done":
      return `done after ${basis.task}`;
  }
}

/** Where a limit falls due, in figures of today's dial. */
function dueWords(limit: LimitReckoning, machine: MachineReckoning): string {
  switch (limit.kind) {
    case "calendar":
      return limit.dueOn === null ? "" : `due ${formatDay(limit.dueOn)}`;
    case "meter":
    case "measured": {
      const unit = unitOf(machine, limit.meter);
      return limit.dialAt === null ? "" : `due at ${rounded(limit.dialAt)} ${unit}`;
    }
  }
}

/** Why a task is due when it is, in one line: the governing limit, else the first. */
export function reasonLine(task: TaskReckoning, machine: MachineReckoning): string {
  const limit = task.limits[task.governs ?? 0];
  if (limit === undefined) return "no limits in its regime";
  const parts = [
    intervalWords(limit, machine),
    basisWords(limit, machine),
    dueWords(limit, machine),
  ];
  const hard = limit.limit.hard ? ["hard"] : [];
  return [...parts, ...hard].filter((part) => part !== "").join("; ");
}
