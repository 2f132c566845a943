import { asBefore, dayOf, stationOf, type CheckPlace } from "@yonderfell/core";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { fullDate } from "../../words/format.js";
import type { CheckProps } from "./checkProps.js";
import { placeWords } from "./roundWords.js";
import { keyOf } from "./useInHand.js";

/** Fewer than this are told one by one as fast. */
const ENOUGH = 2;

/** What at this station may be told as it was last time, each of it in sight; nothing where the check in hand is none of it. */
export function AsLastTime({
  shown: { book, round, checklist },
  inHand: { go, open },
  telling,
  place,
}: CheckProps): ReactElement | null {
  const station = stationOf(place.check);
  const all = asBefore(book.rounds, round, checklist, station);
  const isOfThem = all.some((one) => keyOf(one.place) === keyOf(place));
  const [first] = all;
  if (first === undefined || !isOfThem || all.length < ENOUGH) return null;
  const tell = async (): Promise<void> => {
    if (!(await telling.asBefore(station))) return;
    const isTold = (one: CheckPlace): boolean => all.some((two) => keyOf(two.place) === keyOf(one));
    go(open.find((one) => !isTold(one)) ?? null);
  };
  return (
    <section
      aria-label={`As last time: ${station}`}
      className="max-w-[46rem] border-l-4 border-clear pl-3"
    >
      <p>
        On {fullDate(dayOf(first.date))} all of this was sound at the {station}:
      </p>
      <ul className="list-disc pl-5">
        {all.map((one) => (
          <li key={keyOf(one.place)}>
            {placeWords(one.place)}
            {one.result.picked ? `: ${one.result.picked}` : ""}
          </li>
        ))}
      </ul>
      <button type="button" className={`${QUIET_BUTTON} mt-2 min-h-12`} onClick={() => void tell()}>
        All {all.length} are as last time
      </button>
    </section>
  );
}
