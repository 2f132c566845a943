import { hoursOf, type DayNumber } from "@yonderfell/core";
import { CalendarPlus } from "lucide-react";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { hoursWords, moreCost, weekdayDate } from "../../../words/visitWords.js";
import type { VisitMove } from "./roomModel.js";
import type { WeekRoom } from "./useRoom.js";

/** What makes room in a week that holds more than there are hours for, at least cost, to be done with one press. */
export function MakeRoom({
  room: { over, moves, failure },
  ...props
}: {
  readonly room: WeekRoom;
  readonly today: DayNumber;
  readonly currency: string;
  readonly onMoveAll: (moves: readonly VisitMove[]) => void;
}): ReactElement {
  return (
    <section aria-labelledby="room" className="my-2 border-l-4 border-overdue pl-4">
      <h3 id="room" className="font-bold">
        {`${hoursWords(over)} more than there are`}
      </h3>
      {moves ? <Moves {...props} moves={moves} /> : <p>{noMovesWords(moves, failure)}</p>}
    </section>
  );
}

function noMovesWords(moves: null | undefined, failure: string): string {
  if (failure !== "") return `What makes room could not be worked out: ${failure}.`;
  if (moves === undefined) return "Looking for what makes room at least cost…";
  return "No visits were found that may go to a week with room for them. Split one, leave a task out of it, or have some of the work done by others.";
}

function Moves({
  moves,
  today,
  currency,
  onMoveAll,
}: {
  readonly moves: readonly VisitMove[];
  readonly today: DayNumber;
  readonly currency: string;
  readonly onMoveAll: (moves: readonly VisitMove[]) => void;
}): ReactElement {
  const all = moves.reduce((sum, { more }) => sum + more, 0);
  return (
    <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <div>
        <p className="text-quiet">
          {`What makes room at least cost${moves.length > 1 ? `, ${moreCost(all, currency)} in all` : ""}:`}
        </p>
        <ul>
          {moves.map(({ visit, day, more }) => (
            <li key={visit.key} className="py-0.5">
              <span className="mr-2 font-mono font-bold">{visit.of.machine.tag}</span>
              {visit.of.machine.name}
              <strong>{` to ${weekdayDate(day, today)}`}</strong>
              <span className="text-quiet">
                {`, ${hoursWords(hoursOf(visit))}, ${moreCost(more, currency)}`}
              </span>
            </li>
          ))}
        </ul>
      </div>
      <button type="button" className={QUIET_BUTTON} onClick={() => onMoveAll(moves)}>
        <CalendarPlus size={18} aria-hidden="true" />
        {moves.length === 1 ? "Move it" : `Move all ${moves.length}`}
      </button>
    </div>
  );
}
