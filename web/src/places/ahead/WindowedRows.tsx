import type { DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import type { BoardTask } from "../../ui/boardOrder.js";
import { useWindowed } from "../../ui/useWindowed.js";
import { AheadRow } from "./AheadRow.js";

const ROW_HEIGHT = 58;
const keyOf = ({ task }: BoardTask): string => task.task.id;
const heightOf = (): number => ROW_HEIGHT;

/** The rows of a long table, of which only those in sight are drawn. */
export default function WindowedRows({
  rows,
  today,
  columns,
}: {
  readonly rows: readonly BoardTask[];
  readonly today: DayNumber;
  readonly columns: number;
}): ReactElement {
  const { list, shown, before, after, measure } = useWindowed<BoardTask, HTMLTableSectionElement>(
    rows,
    keyOf,
    heightOf,
  );
  return (
    <tbody ref={list}>
      <Gap height={before} columns={columns} />
      {shown.map(({ index, key }) => (
        <AheadRow
          key={key as string}
          row={rows[index] as BoardTask}
          today={today}
          index={index}
          measure={measure}
        />
      ))}
      <Gap height={after} columns={columns} />
    </tbody>
  );
}

/** The room of the rows that are not drawn. */
function Gap({
  height,
  columns,
}: {
  readonly height: number;
  readonly columns: number;
}): ReactElement | null {
  return height <= 0 ? null : (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height }} />
    </tr>
  );
}
