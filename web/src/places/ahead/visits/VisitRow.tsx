import { hoursOf, type DayNumber, type Planning, type TaskId } from "@yonderfell/core";
import { useDraggable } from "@dnd-kit/core";
import { ChevronDown, ChevronRight, GripVertical } from "lucide-react";
import { useEffect, useRef, type ReactElement, type ReactNode } from "react";
import { hoursWords, roundMoney, weekdayDate } from "../../../words/visitWords.js";
import { costOn, type ListedVisit } from "./visitModel.js";

/** What stands over a visit: proposed until it is accepted, then kept, then settled with others. */
export function visitState({ planned }: ListedVisit): "proposed" | "accepted" | "pinned" {
  if (planned.visit === null) return "proposed";
  return planned.visit.pinned === true ? "pinned" : "accepted";
}

interface VisitRowProps {
  readonly visit: ListedVisit;
  readonly nameOf: (task: TaskId) => string;
  readonly today: DayNumber;
  readonly planning: Planning;
  readonly currency: string;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly children: ReactNode;
}

/** A visit as a line of the list; what is opened stands under it as its child. */
export function VisitRow(props: VisitRowProps): ReactElement {
  const { visit, children } = props;
  const { listeners, setNodeRef, isDragging } = useDraggable({ id: visit.key });
  return (
    <li className="border-t border-hairline">
      <div
        className={`grid grid-cols-[1.25rem_1fr] items-start hover:bg-wash ${isDragging ? "bg-wash" : ""}`}
      >
        {/* For the pointer only: the keyboard moves it in its panel. */}
        <span
          ref={setNodeRef}
          {...listeners}
          aria-hidden="true"
          title="Drag to another week"
          className="flex h-11 cursor-grab touch-none items-center text-quiet max-md:invisible"
        >
          <GripVertical size={16} />
        </span>
        <Line {...props} />
      </div>
      {children}
    </li>
  );
}

function Line(props: VisitRowProps): ReactElement {
  const { visit, nameOf, today, planning, currency, isOpen, onOpen } = props;
  const { machine } = visit.of;
  const state = visitState(visit);
  const hours = hoursOf(visit);
  const names = [...visit.turns.map(({ task }) => task), ...visit.planned.others].map(nameOf);
  const line = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    // One that has just come into the book in place of a proposal takes up where that stood.
    if (isOpen && document.activeElement === document.body) line.current?.focus();
  }, [isOpen]);
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <button
      ref={line}
      type="button"
      data-prints=""
      data-visit={visit.key}
      aria-expanded={isOpen}
      onClick={onOpen}
      className="grid min-h-11 grid-cols-[7.5rem_minmax(7rem,12rem)_1fr_auto] items-baseline gap-x-4 py-2 text-left max-md:grid-cols-[1fr_auto]"
    >
      <span className="font-semibold tabular-nums">{weekdayDate(visit.day, today)}</span>
      <span className="max-md:order-3 max-md:col-span-2">
        <span className="mr-2 font-mono font-bold">{machine.tag}</span>
        {machine.name}
      </span>
      <span className="max-md:order-4 max-md:col-span-2">{names.join(" · ")}</span>
      <span className="flex items-baseline justify-end gap-x-4 text-quiet tabular-nums max-md:order-2">
        <span className="w-14 text-right">
          {visit.isOutside ? "outside" : hours > 0 ? hoursWords(hours) : ""}
        </span>
        <span className="w-16 text-right max-md:hidden">
          {roundMoney(costOn(visit, visit.day, planning).total, currency)}
        </span>
        <span
          className={`flex w-24 items-baseline justify-between ${state === "proposed" ? "italic" : "font-semibold text-ink"}`}
        >
          {state}
          <Chevron size={15} aria-hidden="true" className="self-center" />
        </span>
      </span>
    </button>
  );
}
