import {
  governingLimit,
  type BoardMachine,
  type BoardTask,
  type DayNumber,
  type Forecast,
  type LimitReckoning,
} from "@yonderfell/core";
import { memo, type ReactElement } from "react";
import { Link } from "react-router";

import { Cairn } from "../../ui/board/Cairn.js";
import { Standing } from "../../ui/Standing.js";
import { because } from "../../words/because.js";
import { dateRange, fullDate } from "../../words/format.js";
import { TABLE_ROW } from "./tableLook.js";
import { figureLeft, leftWords } from "../../words/limitWords.js";
import { STATUS_WORD } from "../../words/statusWords.js";

const CELL = "py-2 pr-4";

/** A task as a row of the table; `index` and `measure` only in a long one. */
export const AheadRow = memo(function AheadRow({
  row,
  today,
  index,
  measure,
}: {
  readonly row: BoardTask;
  readonly today: DayNumber;
  readonly index?: number;
  readonly measure?: (element: Element | null) => void;
}): ReactElement {
  const { machine, task } = row;
  return (
    <tr
      ref={measure}
      role="row"
      className={TABLE_ROW}
      data-index={index}
      aria-rowindex={index === undefined ? undefined : index + 2}
    >
      <AheadCells row={row} today={today} />
      <td role="cell" className={CELL}>
        <Link
          to={`/log/${encodeURIComponent(machine.machine.id)}?task=${encodeURIComponent(task.task.id)}`}
          aria-label={`Log ${task.task.name} on ${machine.machine.tag}`}
          className="text-clear underline"
        >
          Log
        </Link>
      </td>
    </tr>
  );
});

/** What the table says of a task, on screen and on paper. */
export function AheadCells({
  row: { machine, task },
  today,
}: {
  readonly row: BoardTask;
  readonly today: DayNumber;
}): ReactElement {
  const limit = governingLimit(task);
  const reasons = because(task, { machine, today });
  return (
    <>
      <State task={task} />
      <td role="cell" className={`${CELL} xl:whitespace-nowrap`}>
        <Link to={`/yard/${encodeURIComponent(machine.machine.id)}`} className="hover:underline">
          <span className="mr-2 font-mono font-bold">{machine.machine.tag}</span>
          {machine.machine.name}
        </Link>
        <Standing machine={machine} today={today} />
      </td>
      <th role="rowheader" scope="row" className={`${CELL} text-left font-semibold`}>
        {task.task.name}
      </th>
      <Likely forecast={limit?.forecast ?? null} today={today} />
      <td role="cell" className={`${CELL} tabular-nums xl:text-right xl:whitespace-nowrap`}>
        {limit === null ? "" : figureLeft(limit, machine)}
        {limit !== null && <LimitBelow limit={limit} machine={machine} />}
      </td>
      <td role="cell" className={`${CELL} text-fine text-quiet max-xl:col-span-2`}>
        {reasons.limits[0]?.sentences.join(" ")}
      </td>
    </>
  );
}

/** What a limit is called below what is left of it, where that figure does not say it. */
function LimitBelow({
  limit,
  machine,
}: {
  readonly limit: LimitReckoning;
  readonly machine: BoardMachine;
}): ReactElement | null {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return null;
    case "calendar":
      return <span className="block text-fine text-quiet">{leftWords(limit, machine)}</span>;
  }
}

function State({ task }: Pick<BoardTask, "task">): ReactElement {
  return (
    <td role="cell" className={`${CELL} whitespace-nowrap`}>
      <span className="flex items-center gap-2">
        <Cairn status={task.status} />
        {STATUS_WORD[task.status]}
      </span>
      {task.doubtful && (
        <span className="block pl-6.5 text-fine font-semibold text-soon-text">doubtful</span>
      )}
    </td>
  );
}

function Likely({
  forecast,
  today,
}: {
  readonly forecast: Forecast | null;
  readonly today: DayNumber;
}): ReactElement {
  const isRange = forecast !== null && forecast.early !== forecast.late;
  return (
    <td role="cell" className={`${CELL} whitespace-nowrap tabular-nums`}>
      {forecast === null ? "no date" : fullDate(forecast.likely)}
      {isRange && <span className="block text-fine text-quiet">{dateRange(forecast, today)}</span>}
    </td>
  );
}
