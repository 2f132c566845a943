import type { BoardMachine, MachineId, OnTime } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { ShowMore } from "../../../ui/ShowMore.js";
import { counted, fullDate } from "../../../words/format.js";
import { machinePath } from "../../shared/paths.js";
import { outWords } from "./onTimeWords.js";

const AT_FIRST = 10;
const MORE = 50;

function MachineLink({
  id,
  of,
  machines,
}: {
  readonly id: MachineId;
  /** What of it the line tells, for those who hear its name more than once. */
  readonly of: string;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const machine = machines.find((one) => one.machine.id === id)?.machine;
  return (
    <Link to={machinePath(id)} className="hover:underline">
      <span className="mr-1 font-mono font-bold">{machine?.tag}</span> {machine?.name ?? id}
      <span className="sr-only">: {of}</span>
    </Link>
  );
}

/** Tasks past their limit and grace, the longest first. */
export function OverdueNow({
  onTime: { overdue },
  machines,
}: {
  readonly onTime: OnTime;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const [shown, setShown] = useState(AT_FIRST);
  const today = useAppSelector((state) => state.session.today);
  if (overdue.length === 0) return <p>Nothing is overdue.</p>;
  return (
    <>
      <h3 className="font-semibold">
        {counted(overdue.length, "task")} overdue, the longest first
      </h3>
      <ul className="mt-1">
        {overdue.slice(0, shown).map(({ machine, task, name, since }) => (
          <li
            key={`${machine} ${task}`}
            className="grid grid-cols-[minmax(0,12rem)_minmax(0,1fr)_auto] max-sm:grid-cols-1 gap-x-4 border-t border-hairline py-1 print:py-0"
          >
            <MachineLink id={machine} of={name} machines={machines} />
            <span>{name}</span>
            <span className="text-right text-due tabular-nums max-sm:text-left">
              {since === null
                ? "since nobody knows when"
                : `${counted(today - since, "day")}, since ${fullDate(since)}`}
            </span>
          </li>
        ))}
      </ul>
      <ShowMore rest={overdue.length - shown} onMore={() => setShown(shown + MORE)} />
    </>
  );
}

/** Machines out of service in the days asked for, how long and why. */
export function OutOfServiceList({
  onTime: { outOfService },
  machines,
}: {
  readonly onTime: OnTime;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  return (
    <section aria-labelledby="out" className="min-w-0 [grid-area:out]">
      <h2 id="out" className="mb-1 text-large font-bold">
        Out of service
      </h2>
      {outOfService.length === 0 && <p>No machine was out of service in these days.</p>}
      <ul>
        {outOfService.map((one) => (
          <li
            key={`${one.machine} ${one.since} ${one.reason}`}
            className="border-t border-hairline py-1 print:py-0"
          >
            <MachineLink
              id={one.machine}
              of={`out of service since ${one.since}`}
              machines={machines}
            />
            :{" "}
            <span className={one.released === null ? "font-semibold text-due" : ""}>
              {one.reason}
            </span>
            , {outWords(one)}
          </li>
        ))}
      </ul>
    </section>
  );
}
