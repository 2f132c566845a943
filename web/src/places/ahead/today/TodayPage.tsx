import { dayOf, daysBetween, type BoardMachine, type DayNumber } from "@yonderfell/core";
import { Gauge, NotebookPen, Printer } from "lucide-react";
import { useMemo, type ReactElement, type ReactNode } from "react";
import { Link } from "react-router";
import { useBook } from "../../../app/openBook.js";
import { meterReadingOpened } from "../../../app/session.js";
import { useAppDispatch, useAppSelector } from "../../../app/store.js";
import { useVisits } from "../../../app/useVisits.js";
import type { VisitsState } from "../../../app/visits.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import type { BoardTask } from "../../../ui/boardOrder.js";
import { because } from "../../../words/because.js";
import {
  dateWithWeekday,
  dialFigureWithUnit,
  sentence,
  shortDate,
  spanOfDays,
} from "../../../words/format.js";
import { meterName } from "../../../words/limitWords.js";
import { STATUS_WORD, stripWords } from "../../../words/statusWords.js";
import { EmptyPlace } from "../../../ui/EmptyPlace.js";
import { Cairn } from "../../../ui/Cairn.js";
import { AheadPage } from "../AheadPage.js";
import { visitsOn, type ListedVisit } from "../visits/visitModel.js";
import { logPath } from "../visits/VisitPanel.js";
import { useTaskNames } from "../visits/useTaskNames.js";
import { todayOf, type StaleMeter, type StoppedMachine, type Today } from "./todayModel.js";

/** What today asks for, over all machines; printed, it is the day sheet. */
export default function TodayPage(): ReactElement {
  const { entry } = useBook();
  const board = useAppSelector((state) => state.board.machines);
  const phase = useAppSelector((state) => state.board.phase);
  const today = useAppSelector((state) => state.session.today);
  const asks = useMemo(() => todayOf(board, today), [board, today]);
  const plan = useVisits();
  const visits = useMemo(() => visitsOn(plan.machines, today), [plan.machines, today]);
  const isWhole = phase === "ready" && plan.phase === "ready";
  return (
    <AheadPage
      title="Today"
      aside={
        <button type="button" className={QUIET_BUTTON} onClick={() => window.print()}>
          <Printer size={18} aria-hidden="true" />
          Print the day sheet
        </button>
      }
    >
      <div className="day-sheet">
        <p className="mb-4 text-quiet">
          {dateWithWeekday(today)}
          <span className="hidden print:inline">{` · ${entry.name} · Done by: ____________`}</span>
        </p>
        <Stopped stopped={asks.stopped} today={today} />
        <Tasks
          title="Not to be used until done"
          note="Past a hard limit: by law, by a licence or by the maker's warranty."
          tasks={asks.forbidden}
          today={today}
        />
        <VisitsToday visits={visits} today={today} plan={plan} />
        <Tasks title="Due by law or warranty" tasks={asks.byLaw} today={today} />
        <Tasks title="To follow up" tasks={asks.followUps} today={today} />
        <Tasks title="Overdue and due" tasks={asks.due} today={today} />
        <Tasks title="With each use" tasks={asks.eachUse} today={today} />
        <Meters meters={asks.meters} today={today} />
        {phase === "ready" && board.length === 0 && (
          <EmptyPlace words="What a day asks of you stands here, over all machines: what must not be used, what is due, what to follow up, which meters to read. It needs a machine first." />
        )}
        {isWhole && board.length > 0 && visits.length === 0 && asksNothing(asks) && (
          <p className="py-10 text-quiet">Nothing asks for you today.</p>
        )}
      </div>
    </AheadPage>
  );
}

const asksNothing = (asks: Today): boolean =>
  Object.values(asks).every((list: readonly unknown[]) => list.length === 0);

function Part({
  title,
  note,
  children,
}: {
  readonly title: string;
  readonly note?: string | undefined;
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
function Line({
  machine,
  what,
  state,
  children,
}: {
  readonly machine: BoardMachine["machine"];
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
        <span className="mr-2 font-mono font-bold">{machine.tag}</span>
        {machine.name}
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

function Tasks({
  title,
  note,
  tasks,
  today,
}: {
  readonly title: string;
  readonly note?: string;
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
            <Link
              to={`/log/${encodeURIComponent(machine.machine.id)}?task=${encodeURIComponent(task.task.id)}`}
              aria-label={`Log ${task.task.name} on ${machine.machine.tag}`}
              className={ACTION}
            >
              <NotebookPen size={16} aria-hidden="true" />
              Log
            </Link>
          </Line>
        );
      })}
    </Part>
  );
}

function Stopped({
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

function VisitsToday({
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
          what={<strong>{namesOf(visit)}</strong>}
          state={
            visit.day < today
              ? `Was for ${shortDate(visit.day, today)} and is not logged`
              : (visit.planned.visit?.note ?? "")
          }
        >
          <Link
            to={logPath(visit)}
            aria-label={`Log the visit of ${visit.of.machine.tag}`}
            className={ACTION}
          >
            <NotebookPen size={16} aria-hidden="true" />
            Log
          </Link>
        </Line>
      ))}
    </Part>
  );
}

function Meters({
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
