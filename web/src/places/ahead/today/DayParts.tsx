import {
  dayOf,
  daysBetween,
  type BoardMachine,
  type BoardTask,
  type DayNumber,
} from "@yonderfell/core";
import { Gauge, NotebookPen } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { Link } from "react-router";
import { meterReadingOpened } from "../../../session/session.js";
import { useAppDispatch } from "../../../session/store.js";
import type { VisitsState } from "../../../session/visits.js";

import { Cairn } from "../../../ui/board/Cairn.js";
import { because } from "../../../words/because.js";
import { dialFigureWithUnit, sentence, shortDate, spanOfDays } from "../../../words/format.js";
import { meterName } from "../../../words/limitWords.js";
import { STATUS_WORD, stripWords } from "../../../words/statusWords.js";
import type { ListedVisit } from "../visits/visitModel.js";
import { logPath } from "../visits/VisitPanel.js";
import { useTaskNames } from "../visits/useTaskNames.js";
import type { StaleMeter, StoppedMachine } from "./todayModel.js";

/** A part of the day under its heading. */
export function Part({
  title,
  note,
  children,
}: {
  readonly title: string;
  readonly note?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  const id = title.toLowerCase().replaceAll(" ", "-");
  return (
    <section aria-labelledby={id} className="mb-6 break-inside-avoid-page">
      <h2 id={id} className="text-large font-bold">
        {title}
      </h2>
      {note !== undefined && <p className="text-quiet">{note}</p>}
      <ul>{children}</ul>
    </section>
  );
}

/** A line of the day: the machine, what it asks for, and the way to do it; on paper with a box to tick. */
export function Line({
  machine,
  forWhat,
  what,
  state,
  children,
}: {
  readonly machine: BoardMachine["machine"];
  /** What it asks for, as the link to the machine is read out: no two links of one name. */
  readonly forWhat: string;
  readonly what: ReactNode;
  readonly state?: ReactNode;
  readonly children?: ReactNode;
}): ReactElement {
  return (
    <li className="day-line grid min-h-11 grid-cols-[13rem_1fr_auto] items-center gap-x-4 border-t border-hairline py-1 max-sm:grid-cols-[1fr_auto]">
      <Link
        to={`/yard/${encodeURIComponent(machine.id)}`}
        className="flex min-h-9 items-center hover:underline max-sm:col-span-2"
      >
        <span className="mr-2 font-mono font-bold">{machine.tag}</span> {machine.name}
        <span className="sr-only">, {forWhat}</span>
      </Link>
      <span>
        {what}
        {state !== undefined && <span className="block text-fine text-quiet">{state}</span>}
      </span>
      <span className="print:hidden">{children}</span>
    </li>
  );
}

const ACTION = "inline-flex min-h-10 items-center gap-1.5 text-clear max-sm:min-h-12";

/** The way to log what a line asks for. */
export function LogLink({
  to,
  label,
}: {
  readonly to: string;
  readonly label: string;
}): ReactElement {
  return (
    <Link to={to} aria-label={label} className={ACTION}>
      <NotebookPen size={16} aria-hidden="true" />
      Log
    </Link>
  );
}

/** The tasks under one heading, each with its reason and the way to log it. */
export function Tasks({
  title,
  note,
  tasks,
  today,
}: {
  readonly title: string;
  readonly note?: ReactNode;
  readonly tasks: readonly BoardTask[];
  readonly today: DayNumber;
}): ReactElement | null {
  if (tasks.length === 0) return null;
  return (
    <Part title={title} note={note}>
      {tasks.map(({ machine, task }) => {
        const words = stripWords(task, machine, today);
        const tell = task.task.outside?.tell ?? "";
        const [why] = because(task, { machine, today }).limits;
        return (
          <Line
            key={task.task.id}
            machine={machine.machine}
            forWhat={task.task.name}
            what={
              <span className="flex flex-wrap items-center gap-x-2.5">
                <Cairn status={task.status} />
                <span className="text-fine">{STATUS_WORD[task.status]}</span>
                <strong>{task.task.name}</strong>
                <span className="text-quiet">{`${words.strong}, ${words.rest}`}</span>
              </span>
            }
            state={tell === "" ? why?.sentences[0] : `For others: ${tell}`}
          >
            <LogLink
              to={`/log/${encodeURIComponent(machine.machine.id)}?task=${encodeURIComponent(task.task.id)}`}
              label={`Log ${task.task.name} on ${machine.machine.tag}`}
            />
          </Line>
        );
      })}
    </Part>
  );
}

/** The machines out of service. */
export function Stopped({
  stopped,
  today,
}: {
  readonly stopped: readonly StoppedMachine[];
  readonly today: DayNumber;
}): ReactElement | null {
  if (stopped.length === 0) return null;
  return (
    <Part title="Out of service" note="Until a named person releases it.">
      {stopped.map(({ machine, stop }) => (
        <Line
          key={machine.machine.id}
          machine={machine.machine}
          forWhat="out of service"
          what={<strong className="text-overdue">{sentence(stop.reason)}</strong>}
          state={`Since ${shortDate(dayOf(stop.since), today)}${stop.by ? `, by ${stop.by}` : ""}`}
        />
      ))}
    </Part>
  );
}

/** Why the visits of the day are not all there; undefined where they are. */
function planNote({ phase, reason, machines }: VisitsState): string | undefined {
  if (phase === "failed")
    return `They could not be planned: ${reason}. Reload the page to try again.`;
  return phase === "ready" || machines.length > 0 ? undefined : "Being put together…";
}

/** The visits of the day, and those missed before it. */
export function VisitsToday({
  visits,
  today,
  plan,
}: {
  readonly visits: readonly ListedVisit[];
  readonly today: DayNumber;
  readonly plan: VisitsState;
}): ReactElement | null {
  const nameOf = useTaskNames();
  const note = planNote(plan);
  if (visits.length === 0 && note === undefined) return null;
  const namesOf = ({ turns, planned }: ListedVisit): string =>
    [...turns.map(({ task }) => task), ...planned.others].map(nameOf).join(" · ");
  return (
    <Part title="Visits" note={note}>
      {visits.map((visit) => (
        <Line
          key={visit.key}
          machine={visit.of.machine}
          forWhat={`visit of ${shortDate(visit.day, today)}`}
          what={<strong>{namesOf(visit)}</strong>}
          state={
            visit.day < today
              ? `Was for ${shortDate(visit.day, today)} and is not logged`
              : (visit.planned.visit?.note ?? "")
          }
        >
          <LogLink to={logPath(visit)} label={`Log the visit of ${visit.of.machine.tag}`} />
        </Line>
      ))}
    </Part>
  );
}

/** The meters that are to be read. */
export function Meters({
  meters,
  today,
}: {
  readonly meters: readonly StaleMeter[];
  readonly today: DayNumber;
}): ReactElement | null {
  const dispatch = useAppDispatch();
  if (meters.length === 0) return null;
  return (
    <Part
      title="Meters to read"
      note="Unread for so long that what is reckoned from them is in doubt."
    >
      {meters.map(({ machine, meter }) => (
        <Line
          key={`${machine.machine.id} ${meter.meter.id}`}
          machine={machine.machine}
          forWhat={`${meterName(meter)} to read`}
          what={
            <>
              <strong>{meterName(meter)}</strong>
              <span className="hidden print:inline">{`: __________ ${meter.meter.unit}`}</span>
            </>
          }
          state={
            meter.lastOn === null
              ? "Never read"
              : `Last read ${spanOfDays(daysBetween(meter.lastOn, today))} ago${meter.lastDial === null ? "" : `, ${dialFigureWithUnit(meter.lastDial, meter.meter.unit)}`}`
          }
        >
          <button
            type="button"
            aria-label={`Read ${meterName(meter)} of ${machine.machine.tag}`}
            className={ACTION}
            onClick={() => dispatch(meterReadingOpened(`${machine.machine.tag} `))}
          >
            <Gauge size={16} aria-hidden="true" />
            Read
          </button>
        </Line>
      ))}
    </Part>
  );
}
