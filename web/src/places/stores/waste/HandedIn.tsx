import { currentRecords, dayOf } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { fullDate } from "../../../words/format.js";
import { useWaste } from "./useWaste.js";
import { moveAmount } from "./wasteWords.js";

/** So many of the latest moves are listed. */
const LATEST = 12;

/** What was handed in and put in, the latest first, with where and its paper; what was mistaken is struck out. */
export function HandedIn(): ReactElement | null {
  const { storage } = useBook();
  const moves = useLiveOf("handed in", () => storage.list("wasteMoves"), [storage]);
  const { strike, failure } = useWaste();
  const latest = currentRecords(moves ?? [])
    .toSorted((one, other) => other.day - one.day)
    .slice(0, LATEST);
  if (latest.length === 0) return null;
  return (
    <section aria-labelledby="handed-in" className="mt-6 max-w-4xl">
      <h2 id="handed-in" className="text-large font-bold">
        Handed in and put in
      </h2>
      <p role="alert" className="text-due empty:hidden">
        {failure}
      </p>
      <ul>
        {latest.map(({ record }) => (
          <li
            key={record.id}
            className="flex flex-wrap gap-x-5 border-t border-hairline py-1.5 items-center lg:grid lg:grid-cols-[8rem_7rem_6rem_6rem_1fr_8rem_auto]"
          >
            <span>{fullDate(dayOf(record.date))}</span>
            <span>{record.why === "handed-in" ? "handed in" : "put in"}</span>
            <span>{record.kind}</span>
            <span className="tabular-nums">{moveAmount(record)}</span>
            <span>{record.where ?? ""}</span>
            <span className="font-mono">
              {record.paper ??
                (record.why === "handed-in" && <span className="text-due">no receipt</span>)}
            </span>
            <button
              type="button"
              aria-label={`Strike out ${moveAmount(record)} of ${record.kind} on ${fullDate(dayOf(record.date))}`}
              className="ml-auto min-h-9 text-clear hover:underline"
              onClick={() => void strike(record.id)}
            >
              Strike out
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
