import type { BoardMachine, DayNumber } from "@yonderfell/core";
import { lazy, Suspense, useMemo, type ReactElement } from "react";
import { mostPressing } from "../../ui/boardOrder.js";
import { AheadRow } from "./AheadRow.js";

const WindowedRows = lazy(() => import("./WindowedRows.js"));

/** Up to so many rows all are drawn. */
const ALL_UP_TO = 200;

const TITLES = ["State", "Machine", "Task", "Likely", "Left", "Because", ""];

/** The same as the reach, as a table: the most pressing first. */
export default function AheadTable({
  machines,
  today,
}: {
  readonly machines: readonly BoardMachine[];
  readonly today: DayNumber;
}): ReactElement {
  const rows = useMemo(() => mostPressing(machines), [machines]);
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="What is ahead, as a table"
    >
      <table
        aria-rowcount={rows.length + 1}
        className="w-full min-w-[60rem] border-collapse text-left"
      >
        <thead>
          <tr className="text-fine text-quiet">
            {TITLES.map((title, index) => (
              <th key={index} scope="col" className="border-b border-rule py-2 pr-4 font-medium">
                {title === "" ? <span className="sr-only">Log</span> : title}
              </th>
            ))}
          </tr>
        </thead>
        {rows.length <= ALL_UP_TO ? (
          <tbody>
            {rows.map((row) => (
              <AheadRow key={row.task.task.id} row={row} today={today} />
            ))}
          </tbody>
        ) : (
          <Suspense>
            <WindowedRows rows={rows} today={today} columns={TITLES.length} />
          </Suspense>
        )}
      </table>
    </div>
  );
}
