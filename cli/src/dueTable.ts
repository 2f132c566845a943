import {
  formatDay,
  governingLimit,
  type DayNumber,
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

/** What is due, as a table for people. A question mark after the state: doubtful. */
export function dueTable(machines: readonly MachineReckoning[], today: DayNumber): string {
  const rows = machines.flatMap((machine) => machine.tasks.map((task) => rowOf(task, machine)));
  return [`Due on ${formatDay(today)}`, "", ...textTable(TITLES, rows)].join("\n");
}
