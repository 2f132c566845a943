import type { BoardColumn, BoardMachine, DayNumber } from "@yonderfell/core";
import { ArrowDown, ArrowUp } from "lucide-react";
import { lazy, Suspense, useMemo, type ReactElement } from "react";
import { boardLookedAt, type TableOrder } from "../../session/boardLook.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { AheadRow } from "./AheadRow.js";
import { shownOf } from "./board/boardGroups.js";
import { COLUMN_WORDS } from "./board/boardWords.js";
import { FoundList } from "./FoundList.js";
import { NothingHere } from "./board/GroupedBoard.js";
import { tableRows } from "./board/tableOrder.js";
import { TABLE_ROW } from "./tableLook.js";
import { again } from "../../ui/again.js";

const WindowedRows = lazy(again(() => import("./WindowedRows.js")));

/** Up to so many rows all are drawn. */
const ALL_UP_TO = 200;
/** The same as the reach, as a table in the order asked for. */
export default function AheadTable({
  machines,
  today,
}: {
  readonly machines: readonly BoardMachine[];
  readonly today: DayNumber;
}): ReactElement {
  const { show, of, order } = useAppSelector((state) => state.boardLook);
  const shown = useMemo(() => shownOf(machines, { show, of }), [machines, show, of]);
  const rows = useMemo(() => tableRows(shown, order), [shown, order]);
  if (shown.length === 0 && machines.length > 0) return <NothingHere />;
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="What is ahead, as a table"
    >
      <table role="table" aria-rowcount={rows.length + 1} className="block w-full text-left">
        <thead role="rowgroup" className="block">
          <tr
            role="row"
            className={`${TABLE_ROW} items-center border-rule text-fine text-quiet max-xl:flex max-xl:flex-wrap`}
          >
            {COLUMN_WORDS.map(([column, title]) => (
              <SortedTitle key={column} {...{ column, title, order }} />
            ))}
            <th role="columnheader" scope="col" className="py-2 pr-4 font-medium max-xl:sr-only">
              Because
            </th>
            <th role="columnheader" scope="col" className="py-2 font-medium print:hidden">
              <span className="sr-only">Log</span>
            </th>
          </tr>
        </thead>
        {rows.length <= ALL_UP_TO ? (
          <tbody role="rowgroup" className="block">
            {rows.map((row) => (
              <AheadRow key={row.task.task.id} row={row} today={today} />
            ))}
          </tbody>
        ) : (
          <Suspense>
            <WindowedRows rows={rows} today={today} />
          </Suspense>
        )}
      </table>
      <FoundList machines={shown} today={today} />
    </div>
  );
}

/** The title of a column, which puts the table in order by it; pressed again from the last to the first. */
function SortedTitle({
  column,
  title,
  order,
}: {
  readonly column: BoardColumn;
  readonly title: string;
  readonly order: TableOrder;
}): ReactElement {
  const dispatch = useAppDispatch();
  const isSorted = order.column === column;
  const Arrow = isSorted && order.isDown ? ArrowUp : ArrowDown;
  const sort = (): void => {
    dispatch(boardLookedAt({ order: { column, isDown: isSorted && !order.isDown } }));
  };
  return (
    <th
      role="columnheader"
      scope="col"
      aria-sort={isSorted ? (order.isDown ? "descending" : "ascending") : undefined}
      className={`pr-4 font-medium ${column === "left" ? "xl:text-right" : ""}`}
    >
      <button
        type="button"
        className={`inline-flex min-h-9 items-center gap-1 hover:text-ink max-sm:min-h-12 ${column === "left" ? "flex-row-reverse" : ""}`}
        title={column === "left" ? "In order by the share of its interval that is left" : undefined}
        onClick={sort}
      >
        {title}
        <Arrow size={14} aria-hidden="true" className={isSorted ? "text-ink" : "invisible"} />
      </button>
    </th>
  );
}
