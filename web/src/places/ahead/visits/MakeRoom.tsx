import { hoursOf, type DayNumber } from "@yonderfell/core";
import { CalendarPlus } from "lucide-react";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { hoursWords, moreCost, weekdayDate } from "../../../words/visitWords.js";
import type { VisitMove } from "./roomModel.js";
import type { WeekRoom } from "./useRoom.js";

/** What makes room in a week that holds more than there are hours for, at least cost, to be done with one press. */
export function MakeRoom({
  room: { over, moves, remaining, failure },
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
      {moves === undefined || moves.length === 0 ? (
        <p>{noMovesWords(moves, failure)}</p>
      ) : (
        <Moves {...props} moves={moves} remaining={remaining} />
      )}
    </section>
  );
}

function noMovesWords(moves: readonly VisitMove[] | undefined, failure: string): string {
  if (failure !== "") return `What makes room could not be worked out: ${failure}.`;
  if (moves === undefined) return "Looking for what makes room at least cost…";
  return `No visits were found that may go to a week with room for them. ${OTHER_WAYS}`;
}

const OTHER_WAYS = "Split one, leave a task out of it, or have some of the work done by others.";

/** What the moves come to: `What makes room at least cost, 12 cr more in all`. */
function movesWords(moves: readonly VisitMove[], remaining: number, currency: string): string {
  const all = moves.reduce((sum, { more }) => sum + more, 0);
  const what =
    remaining > 0 ? "What can go to a week with room for it" : "What makes room at least cost";
  return `${what}${moves.length > 1 ? `, ${moreCost(all, currency)} in all` : ""}:`;
}

function Moves({
  moves,
  remaining,
  today,
  currency,
  onMoveAll,
}: {
  readonly moves: readonly VisitMove[];
  readonly remaining: number;
  readonly today: DayNumber;
  readonly currency: string;
  readonly onMoveAll: (moves: readonly VisitMove[]) => void;
}): ReactElement {
  return (
    <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <div>
        <p className="text-quiet">{movesWords(moves, remaining, currency)}</p>
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
        {remaining > 0 && (
          <p>{`That leaves ${hoursWords(remaining)} more than there are. ${OTHER_WAYS}`}</p>
        )}
      </div>
      <button type="button" className={QUIET_BUTTON} onClick={() => onMoveAll(moves)}>
        <CalendarPlus size={18} aria-hidden="true" />
        {moves.length === 1 ? "Move it" : `Move all ${moves.length}`}
      </button>
    </div>
  );
}
