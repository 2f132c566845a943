import { partsFromDay, type DayNumber, type FleetWeek } from "@yonderfell/core";
import type { ReactElement } from "react";
import { figure, MONTHS } from "../../../words/format.js";
import { ridgeWords } from "./fleetWords.js";

const HEIGHT = 128;
/** What the machines by themselves would put into a week, over so many times what there is, is cut off at the top and said. */
const MOST_TIMES = 2.2;
const HEADROOM = 1.15;

/** The weeks of a fleet plan: what it puts into each as a solid block, what the machines by themselves would as an outline, and a line for the hours there are. */
export function FleetRidge({
  weeks,
  today,
  chosen,
  onChoose,
}: {
  readonly weeks: readonly FleetWeek[];
  readonly today: DayNumber;
  readonly chosen: DayNumber | null;
  readonly onChoose: (monday: DayNumber | null) => void;
}): ReactElement {
  const line = Math.max(...weeks.map(({ there }) => there ?? 0), 1);
  const alone = Math.max(...weeks.map((week) => week.alone));
  const planned = Math.max(...weeks.map((week) => week.planned));
  const most = Math.max(line, planned, Math.min(alone, line * MOST_TIMES)) * HEADROOM;
  const heightOf = (hours: number): number => Math.min(HEIGHT, (HEIGHT * hours) / most);
  return (
    <div className="overflow-x-auto pt-6" role="group" aria-label="Hours of work by week">
      <div className="relative flex min-w-[42rem]">
        {weeks.map((week, index) => (
          <Column
            key={week.monday}
            {...{ week, today, heightOf }}
            isFirst={index === 0}
            isChosen={week.monday === chosen}
            onChoose={() => onChoose(week.monday === chosen ? null : week.monday)}
          />
        ))}
      </div>
      <p className="flex flex-wrap gap-x-5 text-fine text-quiet" aria-hidden="true">
        <Sign className="bg-clear">by the plan</Sign>
        <Sign className="bg-overdue">of it more than there are</Sign>
        <Sign className="border border-dashed border-ink">each machine by itself</Sign>
        <Sign className="h-0 self-center border-t-2 border-ink">hours there are</Sign>
        hours of work in the week that begins on the day named
      </p>
    </div>
  );
}

function Sign({
  className,
  children,
}: {
  readonly className: string;
  readonly children: string;
}): ReactElement {
  return (
    <span className="flex items-center gap-1.5">
      <span className={`inline-block h-3 w-5 ${className}`} />
      {children}
    </span>
  );
}

interface ColumnProps {
  readonly week: FleetWeek;
  readonly today: DayNumber;
  readonly isFirst: boolean;
  readonly isChosen: boolean;
  readonly heightOf: (hours: number) => number;
  readonly onChoose: () => void;
}

function Column(props: ColumnProps): ReactElement {
  const { week, today, isFirst, isChosen, onChoose } = props;
  const { month, dayOfMonth } = partsFromDay(week.monday);
  return (
    <button
      type="button"
      data-prints=""
      aria-pressed={isChosen}
      onClick={onChoose}
      className="group flex min-w-6 flex-1 flex-col"
    >
      <span className="sr-only">{ridgeWords(week, today)}</span>
      <Blocks {...props} />
      <span
        aria-hidden="true"
        className={`w-full pt-0.5 text-center text-fine tabular-nums ${isChosen ? "font-bold" : "text-quiet"}`}
      >
        {dayOfMonth}
        <span className="block h-5">{isFirst || dayOfMonth <= 7 ? MONTHS[month - 1] : ""}</span>
      </span>
    </button>
  );
}

/** A figure of a week stands in its block where that is high enough. */
const ROOM_FOR_FIGURE = 18;

function Blocks({
  week: { there, alone, planned },
  isChosen,
  heightOf,
}: Pick<ColumnProps, "week" | "isChosen" | "heightOf">): ReactElement {
  const over = there === null ? 0 : Math.max(0, planned - there);
  const isCut = heightOf(alone) >= HEIGHT;
  const high = heightOf(planned);
  const isInside = high > ROOM_FOR_FIGURE;
  return (
    <span
      aria-hidden="true"
      className={`relative block w-full border-b-2 ${isChosen ? "border-ink bg-wash" : "border-rule group-hover:bg-wash"}`}
      style={{ height: HEIGHT }}
    >
      {alone > 0 && (
        <span
          className={`absolute inset-x-0.5 bottom-0 border border-b-0 border-dashed border-ink ${isCut ? "border-t-0" : ""}`}
          style={{ height: heightOf(alone) }}
        />
      )}
      {isCut && (
        <span className="absolute inset-x-0 top-0 z-20 text-center text-fine leading-none text-quiet tabular-nums">
          {`↑${figure(alone)}`}
        </span>
      )}
      <span className="absolute inset-x-1.5 bottom-0 bg-clear" style={{ height: high }} />
      {over > 0.01 && (
        <span
          className="absolute inset-x-1.5 bg-overdue"
          style={{ bottom: heightOf(planned - over), height: high - heightOf(planned - over) }}
        />
      )}
      {there !== null && (
        <span
          className="absolute inset-x-0 z-10 border-t-2 border-ink"
          style={{ bottom: heightOf(there) }}
        />
      )}
      {planned > 0 && (
        <span
          className={`absolute inset-x-0 z-10 text-center text-fine leading-none tabular-nums ${isInside ? "text-on-body" : "text-ink"} ${over > 0.01 ? "font-bold" : ""}`}
          style={{ bottom: isInside ? high - 14 : high + 3 }}
        >
          {figure(planned, planned < 9.95 ? 1 : 0)}
        </span>
      )}
    </span>
  );
}
