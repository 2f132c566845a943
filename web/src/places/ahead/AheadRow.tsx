import type { DayNumber, Forecast } from "@yonderfell/core";
import { memo, type ReactElement } from "react";
import { Link } from "react-router";
import type { BoardTask } from "../../ui/boardOrder.js";
import { Cairn } from "../../ui/Cairn.js";
import { Standing } from "../../ui/Standing.js";
import { because } from "../../words/because.js";
import { dateRange, fullDate } from "../../words/format.js";
import { governing, leftWords } from "../../words/limitWords.js";
import { STATUS_WORD } from "../../words/statusWords.js";

const CELL = "border-b border-hairline py-2 pr-4 align-top";

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
  const limit = governing(task);
  const forecast = limit?.forecast ?? null;
  const reasons = because(task, { machine, today });
  return (
    <tr
      ref={measure}
      data-index={index}
      aria-rowindex={index === undefined ? undefined : index + 2}
    >
      <td className={`${CELL} whitespace-nowrap`}>
        <span className="flex items-center gap-2">
          <Cairn status={task.status} />
          {STATUS_WORD[task.status]}
          {task.doubtful && (
            <span className="text-fine font-semibold text-soon-text">doubtful</span>
          )}
        </span>
      </td>
      <td className={`${CELL} whitespace-nowrap`}>
        <Link to={`/yard/${encodeURIComponent(machine.machine.id)}`} className="hover:underline">
          <span className="mr-2 font-mono font-bold">{machine.machine.tag}</span>
          {machine.machine.name}
        </Link>
        <Standing machine={machine} today={today} />
      </td>
      <th scope="row" className={`${CELL} font-semibold`}>
        {task.task.name}
      </th>
      <Likely forecast={forecast} today={today} />
      <td className={`${CELL} text-right whitespace-nowrap tabular-nums`}>
        {limit === null ? "" : leftWords(limit, machine)}
      </td>
      <td className={`${CELL} text-fine text-quiet`}>{reasons.limits[0]?.sentences.join(" ")}</td>
      <td className={CELL}>
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

function Likely({
  forecast,
  today,
}: {
  readonly forecast: Forecast | null;
  readonly today: DayNumber;
}): ReactElement {
  const isRange = forecast !== null && forecast.early !== forecast.late;
  return (
    <td className={`${CELL} whitespace-nowrap tabular-nums`}>
      {forecast === null ? "no date" : fullDate(forecast.likely)}
      {isRange && <span className="block text-fine text-quiet">{dateRange(forecast, today)}</span>}
    </td>
  );
}
