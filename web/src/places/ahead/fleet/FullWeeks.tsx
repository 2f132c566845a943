import type { DayNumber, FleetTold, FullFleetWeek, TaskId } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { ShowMore } from "../../../ui/ShowMore.js";
import { weekdayDate } from "../../../words/visitWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { useTaskNames } from "../visits/useTaskNames.js";
import { freeingWords, inItWords, overWords, unmetWords, type NameOf } from "./fleetWords.js";
import { useHandNames } from "./useHandNames.js";

/** So many weeks are shown at once. */
const MOST_WEEKS = 4;

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
          <li key={`${one.machine.id} ${one.tasks.join(" ")} ${one.of}`} className="py-1">
            {`${unmetWords(one, nameOf)} `}
            <Link to="/workshop" className="text-clear underline">
              Say who can
            </Link>
          </li>
        ))}
      </ul>
      <ul>
        {shown.slice(0, most).map((one) => (
          <FullWeek key={one.monday} {...{ one, told, today, nameOf, handOf }} />
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

function FullWeek({
  one,
  told,
  today,
  nameOf,
  handOf,
}: {
  readonly nameOf: (task: TaskId) => string;
  readonly handOf: NameOf;
  readonly one: FullFleetWeek;
  readonly told: FleetTold;
  readonly today: DayNumber;
}): ReactElement {
  const currency = useCurrency();
  const names = { hand: handOf, task: nameOf };
  return (
    <li className="border-t border-hairline py-2">
      <p>
        <strong>{`Week of ${weekdayDate(one.monday, today)}: `}</strong>
        {`${overWords(one, told.pools, handOf)}.`}
        <span className="text-quiet">{` ${inItWords(one)}`}</span>
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
