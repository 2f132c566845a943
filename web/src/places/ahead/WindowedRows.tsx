import { type BoardTask, type DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";

import { useWindowed } from "../../ui/useWindowed.js";
import { AheadRow } from "./AheadRow.js";

const ROW_HEIGHT = 58;
const keyOf = ({ task }: BoardTask): string => task.task.id;
const heightOf = (): number => ROW_HEIGHT;

/** The rows of a long table, of which only those in sight are drawn. */
export default function WindowedRows({
  rows,
  today,
}: {
  readonly rows: readonly BoardTask[];
  readonly today: DayNumber;
}): ReactElement {
  const { list, shown, height, before, measure } = useWindowed<BoardTask, HTMLTableSectionElement>(
    rows,
    keyOf,
    heightOf,
  );
  return (
    <tbody
      ref={list}
      role="rowgroup"
      className="block"
      style={{ height, paddingTop: before, boxSizing: "border-box" }}
    >
      {shown.map(({ index, key }) => (
        <AheadRow
          key={key as string}
          row={rows[index] as BoardTask}
          today={today}
          index={index}
          measure={measure}
        />
      ))}
    </tbody>
  );
}
