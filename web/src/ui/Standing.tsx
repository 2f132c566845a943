import { currentStop, type BoardMachine, type DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { standingOf } from "../words/standingWords.js";

/** That a machine is out of service, with the reason, or laid up; nothing of one that runs. */
export function Standing({
  machine,
  today,
}: {
  readonly machine: BoardMachine;
  readonly today: DayNumber;
}): ReactElement | null {
  const standing = standingOf(machine, today);
  if (standing === "") return null;
  if (standing === "laid up") return <span className="block text-fine font-bold">laid up</span>;
  return (
    <span className="block text-fine leading-tight">
      <strong className="text-overdue">out of service</strong>
      {`: ${currentStop(machine.machine)?.reason ?? ""}`}
    </span>
  );
}
