import {
  formatDay,
  governingLimit,
  type DayNumber,
  type FindingReckoning,
  type MachineReckoning,
  type TaskReckoning,
} from "@yonderfell/core";
import { reasonLine, unitOfLimit } from "./reasonLine.js";
import { textTable } from "./textTable.js";

const TITLES = ["machine", "task", "state", "likely", "between", "left", "because"];

function leftWords(task: TaskReckoning, machine: MachineReckoning): string {
  const limit = governingLimit(task);
  if (limit === null || limit.remaining === null) return "";
  const unit = unitOfLimit(limit, machine);
  const amount = Math.round(Math.abs(limit.remaining) * 10) / 10;
  return `${amount} ${unit}${limit.remaining < 0 ? " over" : ""}`;
}

function rowOf(task: TaskReckoning, machine: MachineReckoning): string[] {
  const limit = governingLimit(task);
  const forecast = limit?.forecast ?? null;
  const isRange = forecast !== null && forecast.early !== forecast.late;
  return [
    machine.machine.tag,
    task.task.name,
    `${task.status}${task.doubtful ? " ?" : ""}`,
    forecast === null ? "no date" : formatDay(forecast.likely),
    isRange ? `${formatDay(forecast.early)}..${formatDay(forecast.late)}` : "",
    leftWords(task, machine),
    reasonLine(task, machine),
  ].map((cell) => cell.replaceAll(/\s+/g, " "));
}

const FINDING_TITLES = ["machine", "finding", "verdict", "decision", "state", "likely", "found"];

/** An open finding with the limit that governs it. */
function findingRow(
  { finding, status, governs, limits }: FindingReckoning,
  { machine }: MachineReckoning,
): string[] {
  const likely = limits[governs ?? 0]?.forecast?.likely;
  return [
    machine.tag,
    [finding.what, finding.where].filter(Boolean).join(", ") || finding.id,
    ...[finding.verdict ?? "", finding.decision, status],
    likely === undefined ? "no date" : formatDay(likely),
    finding.found,
  ].map((cell) => cell.replaceAll(/\s+/g, " "));
}

/** What is due, as a table for people. A question mark after the state: doubtful. */
export function dueTable(machines: readonly MachineReckoning[], today: DayNumber): string {
  const rows = machines.flatMap((machine) => machine.tasks.map((task) => rowOf(task, machine)));
  const found = machines.flatMap((machine) =>
    machine.findings.map((finding) => findingRow(finding, machine)),
  );
  const findings =
    found.length === 0 ? [] : ["", "Open findings", "", ...textTable(FINDING_TITLES, found)];
  const due = textTable(TITLES, rows);
  return [`Due on ${formatDay(today)}`, "", ...due, ...findings].join("\n");
}
