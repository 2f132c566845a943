import { isPastHardEnd, type TaskId, type TurnShare, type Visit } from "@yonderfell/core";
import {
  Check,
  ClipboardCheck,
  NotebookPen,
  Pin,
  PinOff,
  Plus,
  Scale,
  Split,
  Wrench,
  X,
} from "lucide-react";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField } from "../../../ui/fields.js";
import { shortDate } from "../../../words/format.js";
import {
  addWords,
  costParts,
  roundMoney,
  shareWords,
  weekdayDate,
} from "../../../words/visitWords.js";
import { beginRoundPath } from "../../../words/beginRoundPath.js";
import { DayMover } from "./DayMover.js";
import { addableTo, costOn, dayForSome, type ListedVisit } from "./visitModel.js";
import type { VisitPanelProps } from "./visitPanelProps.js";
import { VisitNote } from "./VisitNote.js";
import { visitState } from "./VisitRow.js";

/** A visit in hand: what it does, what it costs and why, and all that can be done with it. */
export function VisitPanel(props: VisitPanelProps): ReactElement {
  const { visit, today, planning, currency, changes } = props;
  const [ticked, setTicked] = useState<readonly TaskId[]>([]);
  const cost = costOn(visit, visit.day, planning);
  const state = visitState(visit);
  const isMoved = visit.day !== visit.planned.day;
  return (
    <div
      role="group"
      aria-label={`Visit of ${visit.of.machine.tag} on ${weekdayDate(visit.day, today)}`}
      className="mb-2 ml-5 space-y-3 border-l-4 border-hairline bg-raised px-4 py-3 max-md:ml-0"
    >
      <Work {...props} ticked={ticked} onTick={setTicked} />
      <p>
        <strong>{roundMoney(cost.total, currency)}</strong>{" "}
        <span className="text-quiet">{`for coming together: ${costParts(cost, currency)}. Parts, fluids and labour are paid on any day.`}</span>
      </p>
      <Fitting {...props} />
      <DayMover {...props} />
      {visit.planned.visit !== null && (
        <VisitNote held={visit.planned.visit} visit={visit} changes={props.changes} />
      )}
      <div className="flex flex-wrap items-end gap-3">
        {state === "proposed" && !isMoved && (
          <button
            type="button"
            className={PRIMARY_BUTTON}
            onClick={() => void changes.accept([visit])}
          >
            <Check size={18} aria-hidden="true" />
            Accept
          </button>
        )}
        <PinButton {...props} />
        {ticked.length > 0 && ticked.length < visit.turns.length && (
          <SplitOff {...props} ticked={ticked} onDone={() => setTicked([])} />
        )}
        <AddTask {...props} />
        {state !== "proposed" && (
          <button type="button" className={QUIET_BUTTON} onClick={() => void changes.drop(visit)}>
            <X size={18} aria-hidden="true" />
            Drop the visit
          </button>
        )}
        <WaysOn visit={visit} />
      </div>
      <p role="alert" className="text-overdue empty:hidden">
        {changes.failure}
      </p>
    </div>
  );
}

/** The ways on from a visit: to the Bench, to a round, to the log. */
function WaysOn({ visit }: { readonly visit: ListedVisit }): ReactElement {
  const { planned } = visit;
  return (
    <>
      <Link to={benchPath(visit)} className={QUIET_BUTTON}>
        <Wrench size={18} aria-hidden="true" />
        Begin it
      </Link>
      <Link to={beginRoundPath(visit.of.machine.id)} className={QUIET_BUTTON}>
        <ClipboardCheck size={18} aria-hidden="true" />
        Begin a round
      </Link>
      <Link to={logPath(visit)} className={QUIET_BUTTON}>
        <NotebookPen size={18} aria-hidden="true" />
        Log it
      </Link>
      {planned.visit !== null && (
        <Link to={quotePath(planned.visit)} className={QUIET_BUTTON}>
          <Scale size={18} aria-hidden="true" />
          Beside a quote
        </Link>
      )}
    </>
  );
}

/** Where a visit of the book stands beside a quote. */
const quotePath = ({ machine, id }: Visit): string =>
  `/stores/quote/${encodeURIComponent(machine)}/${encodeURIComponent(id)}`;

/** Where the work of a visit is begun as a job, all of its tasks chosen. */
function benchPath({ of, turns, planned }: ListedVisit): string {
  const tasks = [...turns.map(({ task }) => task), ...planned.others];
  const asked = tasks.map((task) => ["task", task]);
  const decided = planned.visit === null ? [] : [["visit", planned.visit.id]];
  const query = new URLSearchParams([["machine", of.machine.id], ...asked, ...decided]);
  return `/bench/new?${query.toString()}`;
}

/** Where the work of a visit is logged, all of its tasks chosen. */
export function logPath({ of, turns, planned }: ListedVisit): string {
  const tasks = [...turns.map(({ task }) => task), ...planned.others];
  const query = tasks.map((task) => `task=${encodeURIComponent(task)}`).join("&");
  return `/log/${encodeURIComponent(of.machine.id)}?${query}`;
}

/** A task of a visit: its name, date, cost and what can be done with it; on a narrow screen in two lines. */
const ROW =
  "grid grid-cols-[minmax(14rem,22rem)_7rem_1fr_auto] items-center gap-x-4 border-t border-hairline max-md:grid-cols-[1fr_auto]";

type Ticking = VisitPanelProps & {
  readonly ticked: readonly TaskId[];
  readonly onTick: (tasks: readonly TaskId[]) => void;
};

function Work(props: Ticking): ReactElement {
  const { visit, nameOf, planning } = props;
  const cost = costOn(visit, visit.day, planning);
  return (
    <ul>
      {cost.turns.map((share) => (
        <Turn key={share.turn.task} {...props} share={share} />
      ))}
      {visit.planned.others.map((task) => (
        <li key={task} className={ROW}>
          <span className="min-h-9 content-center font-medium">{nameOf(task)}</span>
          <span />
          <span className="text-quiet">added by hand, no turn ahead</span>
          <LeaveOut {...props} task={task} />
        </li>
      ))}
    </ul>
  );
}

const countOf = ({ turns, planned }: ListedVisit): number => turns.length + planned.others.length;

function Turn(props: Ticking & { readonly share: TurnShare }): ReactElement {
  const { visit, nameOf, today, currency, ticked, onTick, share } = props;
  const { task, due, hardEnd, access } = share.turn;
  const isLate = isPastHardEnd(share.turn, visit.day);
  const hard = isLate ? "past its hard limit" : `hard limit ${shortDate(hardEnd ?? due, today)}`;
  const words = [
    shareWords(share, visit.day, currency),
    ...(hardEnd === null ? [] : [hard]),
    ...(access === null ? [] : [access]),
  ];
  return (
    <li className={`${ROW} first:border-t-0`}>
      <label className="flex min-h-9 items-center gap-2.5 font-medium max-md:min-h-12">
        {countOf(visit) > 1 && (
          <input
            type="checkbox"
            aria-label={`Choose ${nameOf(task)}`}
            className="size-4.5 shrink-0 accent-(--clear)"
            checked={ticked.includes(task)}
            onChange={({ target }) =>
              onTick(target.checked ? [...ticked, task] : ticked.filter((one) => one !== task))
            }
          />
        )}
        {nameOf(task)}
      </label>
      <span className="tabular-nums max-md:text-right">{`due ${shortDate(due, today)}`}</span>
      <span className={`flex-1 ${isLate ? "font-semibold text-overdue" : "text-quiet"}`}>
        {words.join("; ")}
      </span>
      <LeaveOut {...props} task={task} />
    </li>
  );
}

function LeaveOut({
  visit,
  nameOf,
  changes,
  task,
}: VisitPanelProps & { readonly task: TaskId }): ReactElement | null {
  if (countOf(visit) < 2) return null;
  return (
    <button
      type="button"
      aria-label={`Leave out ${nameOf(task)}`}
      className="min-h-9 px-2 text-clear underline max-md:min-h-12"
      onClick={() => void changes.leaveOut(visit, task)}
    >
      Leave out
    </button>
  );
}

function Fitting({ visit, nameOf, today, changes }: VisitPanelProps): ReactElement | null {
  if (visit.planned.fitting.length === 0) return null;
  return (
    <ul aria-label="Would be cheapest in this visit too">
      {visit.planned.fitting.map((turn) => {
        const { task, due } = turn;
        return (
          <li key={task} className="flex flex-wrap items-center gap-x-4">
            <span>{`Fits in: ${nameOf(task)}, due ${shortDate(due, today)}`}</span>
            <button
              type="button"
              aria-label={`Add ${nameOf(task)}`}
              className="inline-flex min-h-9 items-center gap-1 px-2 text-clear underline max-md:min-h-12"
              onClick={() => void changes.add(visit, task, turn)}
            >
              <Plus size={15} aria-hidden="true" />
              Add
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function PinButton({ visit, changes }: VisitPanelProps): ReactElement {
  const isPinned = visitState(visit) === "pinned";
  const Icon = isPinned ? PinOff : Pin;
  return (
    <button
      type="button"
      className={QUIET_BUTTON}
      onClick={() => void changes.pin(visit, !isPinned)}
    >
      <Icon size={18} aria-hidden="true" />
      {isPinned ? "Unpin" : "Pin to this day"}
    </button>
  );
}

function SplitOff({
  visit,
  today,
  planning,
  changes,
  ticked,
  onDone,
}: VisitPanelProps & {
  readonly ticked: readonly TaskId[];
  readonly onDone: () => void;
}): ReactElement | null {
  const day = dayForSome(visit, ticked, today, planning);
  if (day === null) return null;
  const split = async (): Promise<void> => {
    if (await changes.split(visit, ticked, day)) onDone();
  };
  return (
    <button type="button" className={QUIET_BUTTON} onClick={() => void split()}>
      <Split size={18} aria-hidden="true" />
      {`Split off to ${weekdayDate(day, today)}`}
    </button>
  );
}

function AddTask(props: VisitPanelProps): ReactElement | null {
  const { visit, nameOf, tasks, planning, currency, changes, today } = props;
  const addable = addableTo(visit, tasks, today, planning);
  if (addable.length === 0) return null;
  return (
    <div className="w-72 max-w-full">
      <SelectField<string>
        label="Add a task, with what it adds to the cost"
        value=""
        choices={[
          ["", "choose"],
          ...addable.map((one) => [one.task, addWords(nameOf(one.task), one, currency)] as const),
        ]}
        onChange={(task) => {
          const chosen = addable.find((one) => one.task === task);
          if (chosen !== undefined) void changes.add(visit, chosen.task, chosen.turn);
        }}
      />
    </div>
  );
}
