import { addDays, partsFromDay, type DayNumber, type Week } from "@yonderfell/core";
import { useDroppable } from "@dnd-kit/core";
import { countBy, maxBy } from "es-toolkit";
import type { KeyboardEvent, ReactElement } from "react";
import { counted, figure, MONTHS } from "../../../words/format.js";
import { hoursWords } from "../../../words/visitWords.js";
import { heldHours } from "./heldHours.js";
import type { ListedVisit } from "./visitModel.js";

const HEIGHT = 132;
/** So much room over the highest week for its figure. */
const HEADROOM = 1.22;

/** Left and right travel from week to week. */
function travel(event: KeyboardEvent<HTMLDivElement>): void {
  if (event.key !== "ArrowLeft" && event.key !== "ArrowRight") return;
  const weeks = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-week]")];
  const at = weeks.findIndex((week) => week === document.activeElement);
  if (at < 0) return;
  event.preventDefault();
  weeks[at + (event.key === "ArrowRight" ? 1 : -1)]?.focus();
}

/** The Monday of the week at a point of the window, null where there is none. */
export function weekAt({ x, y }: { readonly x: number; readonly y: number }): DayNumber | null {
  const week = document.elementFromPoint(x, y)?.closest("[data-week]")?.getAttribute("data-week");
  return week === null || week === undefined ? null : (Number(week) as DayNumber);
}

/** The ridge: hours of work ahead by week as a skyline against a line for the hours there are. */
export function Ridge({
  weeks,
  chosen,
  onChoose,
}: {
  readonly weeks: readonly Week<ListedVisit>[];
  readonly chosen: DayNumber | null;
  readonly onChoose: (monday: DayNumber) => void;
}): ReactElement {
  const most =
    Math.max(1, ...weeks.map(({ hours, there }) => Math.max(hours, there ?? 0))) * HEADROOM;
  const usual = usualHours(weeks);
  return (
    <div
      className="overflow-x-auto pt-6"
      role="group"
      aria-label="Hours of work by week"
      onKeyDown={travel}
    >
      <div className="relative flex min-w-[42rem]">
        {weeks.map((week, index) => (
          <WeekColumn
            key={week.monday}
            week={week}
            isFirst={index === 0}
            most={most}
            isChosen={week.monday === chosen}
            onChoose={onChoose}
          />
        ))}
        {usual !== null && (
          <span
            aria-hidden="true"
            className="pointer-events-none absolute right-0 bg-ground px-1 text-fine font-semibold"
            style={{ top: `calc(${HEIGHT * (1 - usual / most)}px - 1.5rem)` }}
          >
            {`${hoursWords(usual)} there are`}
          </span>
        )}
      </div>
      <p className="flex gap-x-5 text-fine text-quiet" aria-hidden="true">
        <span className="flex items-center gap-1.5">
          <span className="inline-block h-3 w-5 bg-clear" />
          accepted
        </span>
        <span className="flex items-center gap-1.5">
          <span className="ridge-proposed inline-block h-3 w-5" />
          proposed
        </span>
        hours of work in the week that begins on the day named
      </p>
    </div>
  );
}

/** The hours there are in most weeks; null where they are not known. */
function usualHours(weeks: readonly Week<ListedVisit>[]): number | null {
  const counts = Object.entries(countBy(weeks, ({ there }) => String(there)));
  const [usual] = maxBy(counts, ([, count]) => count) ?? [];
  return usual === undefined || usual === "null" ? null : Number(usual);
}

function WeekColumn({
  week,
  isFirst,
  most,
  isChosen,
  onChoose,
}: {
  readonly week: Week<ListedVisit>;
  readonly isFirst: boolean;
  readonly most: number;
  readonly isChosen: boolean;
  readonly onChoose: (monday: DayNumber) => void;
}): ReactElement {
  const { setNodeRef, isOver } = useDroppable({ id: week.monday });
  const held = heldHours(week);
  const heightOf = (hours: number): number => (HEIGHT * hours) / most;
  const over = week.there === null ? 0 : Math.max(0, week.hours - week.there);
  return (
    <button
      ref={setNodeRef}
      type="button"
      data-prints=""
      data-week={week.monday}
      aria-pressed={isChosen}
      onClick={() => onChoose(week.monday)}
      className={`group flex min-w-6 flex-1 flex-col ${isOver ? "bg-wash" : ""}`}
    >
      <span className="sr-only">{wordsOf(week, held, over)}</span>
      <span
        aria-hidden="true"
        className={`relative flex w-full flex-col justify-end border-b-2 ${isChosen ? "border-ink bg-wash" : "border-rule group-hover:bg-wash"}`}
        style={{ height: HEIGHT }}
      >
        {week.there !== null && (
          <span
            className="pointer-events-none absolute inset-x-0 z-20 border-t-2 border-ink"
            style={{ top: HEIGHT * (1 - week.there / most) }}
          />
        )}
        {week.hours > 0 && (
          <span
            className={`relative z-10 self-center text-center text-fine leading-tight tabular-nums ${isOver || isChosen ? "bg-wash" : "bg-ground group-hover:bg-wash"} ${over > 0 ? "font-bold text-overdue" : "text-quiet"}`}
          >
            {figure(week.hours, week.hours < 99.95 ? 1 : 0)}
          </span>
        )}
        <span
          className={`ridge-proposed block w-full ${over > 0 ? "ridge-over" : ""}`}
          style={{ height: heightOf(week.hours - held) }}
        />
        <span
          className={`block w-full ${over > 0 ? "bg-overdue" : "bg-clear"}`}
          style={{ height: heightOf(held) }}
        />
      </span>
      <WeekDay {...{ week, isFirst, isChosen }} />
    </button>
  );
}

/** The day a week begins on, with its month where that is new. */
function WeekDay({
  week,
  isFirst,
  isChosen,
}: {
  readonly week: Week<ListedVisit>;
  readonly isFirst: boolean;
  readonly isChosen: boolean;
}): ReactElement {
  const { month, dayOfMonth } = partsFromDay(week.monday);
  const namesMonth = isFirst || dayOfMonth <= 7;
  return (
    <span
      aria-hidden="true"
      className={`w-full pt-0.5 text-center text-fine tabular-nums ${isChosen ? "font-bold" : "text-quiet"}`}
    >
      {dayOfMonth}
      <span className="block h-5">{namesMonth ? MONTHS[month - 1] : ""}</span>
    </span>
  );
}

function wordsOf(week: Week<ListedVisit>, held: number, over: number): string {
  const { month, dayOfMonth } = partsFromDay(week.monday);
  const until = partsFromDay(addDays(week.monday, 6));
  const dates = `${dayOfMonth} ${MONTHS[month - 1]} to ${until.dayOfMonth} ${MONTHS[until.month - 1]}`;
  const load = `${hoursWords(week.hours)} of work, ${hoursWords(held)} of it accepted`;
  const more = over > 0 ? `, ${hoursWords(over)} more than there are` : "";
  const there = week.there === null ? "" : `; ${hoursWords(week.there)} there are`;
  return `${dates}: ${counted(week.visits.length, "visit")}, ${load}${more}${there}`;
}
