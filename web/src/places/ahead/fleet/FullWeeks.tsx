import type { DayNumber, FleetTold, FullFleetWeek, MachineId, TaskId } from "@yonderfell/core";
import { useMemo, useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { ShowMore } from "../../../ui/ShowMore.js";
import { counted } from "../../../words/format.js";
import { weekdayDate } from "../../../words/visitWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { useTaskNames } from "../visits/useTaskNames.js";
import { freeingWords, overWords, unmetWords, type NameOf } from "./fleetWords.js";
import { useHandNames } from "./useHandNames.js";

/** So many weeks are shown at once. */
const MOST_WEEKS = 4;
/** So many machines of a week are named. */
const MOST_NAMED = 8;

/** The weeks that cannot hold all that must be in them, with what would free them; and work that nobody there can do. */
export function FullWeeks({
  told,
  today,
  week,
}: {
  readonly told: FleetTold;
  readonly today: DayNumber;
  readonly week: DayNumber | null;
}): ReactElement | null {
  const { full, unmet } = told;
  const nameOf = useTaskNames();
  const tagOf = useTags();
  const handOf = useHandNames();
  const [most, setMost] = useState(MOST_WEEKS);
  const shown = full.filter(({ monday }) => week === null || monday === week);
  if (shown.length + unmet.length === 0) return null;
  return (
    <section aria-labelledby="full" className="mt-4 border-l-4 border-overdue pl-4">
      <h2 id="full" className="text-large font-bold">
        What cannot be held
      </h2>
      <ul>
        {unmet.map((one) => (
          <li key={`${one.machine} ${one.tasks.join(" ")} ${one.of}`} className="py-1">
            {`${unmetWords(one, tagOf(one.machine), nameOf)} `}
            <Link to="/workshop" className="text-clear underline">
              Say who can
            </Link>
          </li>
        ))}
      </ul>
      <ul>
        {shown.slice(0, most).map((one) => (
          <FullWeek key={one.monday} {...{ one, told, today, nameOf, tagOf, handOf }} />
        ))}
      </ul>
      <ShowMore
        rest={shown.length - most}
        words="Show the other weeks:"
        onMore={() => setMost(Infinity)}
      />
    </section>
  );
}

function useTags(): (machine: MachineId) => string {
  const board = useAppSelector((state) => state.board.machines);
  return useMemo(() => {
    const tags = new Map(board.map(({ machine }) => [machine.id, machine.tag]));
    return (id) => tags.get(id) ?? "a machine";
  }, [board]);
}

function FullWeek({
  one,
  told,
  today,
  nameOf,
  tagOf,
  handOf,
}: {
  readonly nameOf: (task: TaskId) => string;
  readonly tagOf: (machine: MachineId) => string;
  readonly handOf: NameOf;
  readonly one: FullFleetWeek;
  readonly told: FleetTold;
  readonly today: DayNumber;
}): ReactElement {
  const currency = useCurrency();
  const tags = one.machines.map(tagOf);
  const more = tags.length - MOST_NAMED;
  const names = { hand: handOf, task: nameOf };
  return (
    <li className="border-t border-hairline py-2">
      <p>
        <strong>{`Week of ${weekdayDate(one.monday, today)}: `}</strong>
        {`${overWords(one, told.pools, handOf)}.`}
        <span className="text-quiet">
          {` In it: ${tags.slice(0, MOST_NAMED).join(", ")}${more > 0 ? ` and ${counted(more, "more machine")}` : ""}.`}
        </span>
      </p>
      <ul className="list-disc pl-5">
        {one.frees.map((free) => {
          const words = freeingWords(free, told.pools, names, today, currency);
          return <li key={words}>{words}</li>;
        })}
      </ul>
    </li>
  );
}
