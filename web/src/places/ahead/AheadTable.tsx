import type { BoardMachine, DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { mostPressing, type BoardTask } from "../../ui/boardOrder.js";
import { Cairn } from "../../ui/Cairn.js";
import { because } from "../../words/because.js";
import { dateRange, fullDate } from "../../words/format.js";
import { governing, leftWords } from "../../words/limitWords.js";
import { STATUS_WORD } from "../../words/statusWords.js";

const CELL = "border-b border-hairline py-2 pr-4 align-top";

/** The same as the reach, as a table: the most pressing first. */
export function AheadTable({
  machines,
  today,
}: {
  readonly machines: readonly BoardMachine[];
  readonly today: DayNumber;
}): ReactElement {
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="What is ahead, as a table"
    >
      <table className="w-full min-w-[60rem] border-collapse text-left">
        <thead>
          <tr className="text-fine text-quiet">
            {["State", "Machine", "Task", "Likely", "Left", "Because", ""].map((title, index) => (
              <th key={index} scope="col" className="border-b border-rule py-2 pr-4 font-medium">
                {title === "" ? <span className="sr-only">Log</span> : title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {mostPressing(machines).map((row) => (
            <Row key={row.task.task.id} row={row} today={today} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Row({ row, today }: { readonly row: BoardTask; readonly today: DayNumber }): ReactElement {
  const { machine, task } = row;
  const limit = governing(task);
  const forecast = limit?.forecast ?? null;
  const reasons = because(task, { machine, today });
  const isRange = forecast !== null && forecast.early !== forecast.late;
  return (
    <tr>
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
      </td>
      <th scope="row" className={`${CELL} font-semibold`}>
        {task.task.name}
      </th>
      <td className={`${CELL} whitespace-nowrap tabular-nums`}>
        {forecast === null ? "no date" : fullDate(forecast.likely)}
        {isRange && (
          <span className="block text-fine text-quiet">{dateRange(forecast, today)}</span>
        )}
      </td>
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
}
