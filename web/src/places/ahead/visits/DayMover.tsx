import { addDays, otherWeeks, type DayNumber } from "@yonderfell/core";
import { ArrowLeft, ArrowRight, Check, Undo2 } from "lucide-react";
import { useRef, type KeyboardEvent, type ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { moreCost, weekdayDate } from "../../../words/visitWords.js";
import { costOn, daysFor, nextSpare, pastHardLimits } from "./visitModel.js";
import type { VisitPanelProps } from "./visitPanelProps.js";

/** So many other weeks are offered. */
const OTHER_WEEKS = 4;
const DAYS_A_WEEK = 7;

/** Moves a visit by days and weeks, with what each move costs; nothing is kept until it is said so. */
export function DayMover(props: VisitPanelProps): ReactElement {
  const { visit, today, planning, changes, onMove } = props;
  const stands = visit.planned.day;
  const go = (day: DayNumber | null): void => {
    if (day !== null) onMove(day === stands ? null : day);
  };
  const step = (by: -1 | 1, from = visit.day): void =>
    go(nextSpare(visit, from, by, today, planning));
  const keys: Readonly<Record<string, () => void>> = {
    ArrowLeft: () => step(-1),
    ArrowRight: () => step(1),
    PageUp: () => step(1, addDays(visit.day, -DAYS_A_WEEK - 1)),
    PageDown: () => step(-1, addDays(visit.day, DAYS_A_WEEK + 1)),
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const act = keys[event.key];
    if (act === undefined) return;
    event.preventDefault();
    act();
  };
  const group = useRef<HTMLDivElement>(null);
  /** Ends the moving; the button that did it goes, so the first one takes the focus. */
  const end = (): void => {
    onMove(null);
    group.current?.querySelector("button")?.focus();
  };
  const keep = async (): Promise<void> => {
    if (await changes.move(visit, visit.day)) end();
  };
  return (
    <div className="space-y-2">
      <div
        ref={group}
        role="group"
        aria-label="Move it: arrow keys by a day, Page Up and Page Down by a week"
        onKeyDown={onKeyDown}
        className="flex flex-wrap items-center gap-3"
      >
        <button type="button" className={QUIET_BUTTON} onClick={() => step(-1)}>
          <ArrowLeft size={18} aria-hidden="true" />
          Earlier
        </button>
        <DayInHand {...props} />
        <button type="button" className={QUIET_BUTTON} onClick={() => step(1)}>
          Later
          <ArrowRight size={18} aria-hidden="true" />
        </button>
        {visit.day !== stands && (
          <MoveButtons day={weekdayDate(visit.day, today)} onKeep={keep} onLeave={end} />
        )}
      </div>
      <p role="alert" className="font-semibold text-overdue empty:hidden">
        {brokenWords(props)}
      </p>
      <OtherWeeks {...props} onGo={go} />
    </div>
  );
}

function MoveButtons({
  day,
  onKeep,
  onLeave,
}: {
  readonly day: string;
  readonly onKeep: () => Promise<void>;
  readonly onLeave: () => void;
}): ReactElement {
  return (
    <>
      <button type="button" className={PRIMARY_BUTTON} onClick={() => void onKeep()}>
        <Check size={18} aria-hidden="true" />
        {`Move to ${day}`}
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={onLeave}>
        <Undo2 size={18} aria-hidden="true" />
        Leave it
      </button>
    </>
  );
}

/** Which hard limits the day of a visit is past; empty where none is. */
function brokenWords({ visit, nameOf }: VisitPanelProps): string {
  const names = pastHardLimits(visit).map((task) => nameOf(task).toLowerCase());
  return names.length === 0 ? "" : `Past the hard limit of ${names.join(", ")}.`;
}

/** How much more than where it stands a visit costs on another day: `+3.20 cr`. */
function moreWords({ visit, planning, currency }: VisitPanelProps, total: number): string {
  const more = total - costOn(visit, visit.planned.day, planning).total;
  return moreCost(more, currency);
}

function DayInHand(props: VisitPanelProps): ReactElement {
  const { visit, today, planning } = props;
  return (
    <strong role="status" className="min-w-24 text-center tabular-nums">
      {weekdayDate(visit.day, today)}
      {visit.day !== visit.planned.day && (
        <span className="block text-fine font-normal text-quiet">
          {moreWords(props, costOn(visit, visit.day, planning).total)}
        </span>
      )}
    </strong>
  );
}

function OtherWeeks(
  props: VisitPanelProps & { readonly onGo: (day: DayNumber) => void },
): ReactElement | null {
  const { visit, today, planning, weekWords, onGo } = props;
  const weeks = otherWeeks(daysFor(visit, today, planning), visit.day, OTHER_WEEKS);
  if (weeks.length === 0) return null;
  return (
    <ul aria-label="Cheapest in other weeks" className="flex flex-wrap items-center gap-x-5">
      <li className="text-quiet">Other weeks, cheapest first:</li>
      {weeks.map(({ day, cost }) => (
        <li key={day}>
          <button
            type="button"
            className="min-h-9 text-left text-clear underline max-sm:min-h-12"
            onClick={() => onGo(day)}
          >
            {weekdayDate(day, today)}
          </button>{" "}
          <span className="text-quiet">{`${moreWords(props, cost.total)}, ${weekWords(day)}`}</span>
        </li>
      ))}
    </ul>
  );
}
