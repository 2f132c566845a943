import { currentRecords, dayOf } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { fullDate } from "../../../words/format.js";
import { stockWords } from "../stockWords.js";

/** What was handed in, the latest first, with where and its paper. */
export function HandedIn(): ReactElement | null {
  const { storage } = useBook();
  const moves = useLiveOf("handed in", () => storage.list("wasteMoves"), [storage]);
  const handed = currentRecords(moves ?? [])
    .filter(({ record }) => record.why === "handed-in")
    .toSorted((one, other) => other.day - one.day);
  if (handed.length === 0) return null;
  return (
    <section aria-labelledby="handed-in" className="mt-6 max-w-4xl">
      <h2 id="handed-in" className="text-large font-bold">
        Handed in
      </h2>
      <ul>
        {handed.slice(0, 12).map(({ record }) => (
          <li
            key={record.id}
            className="grid gap-x-5 border-t border-hairline py-1.5 lg:grid-cols-[8rem_8rem_8rem_1fr_8rem]"
          >
            <span>{fullDate(dayOf(record.date))}</span>
            <span>{record.kind}</span>
            <span className="tabular-nums">
              {typeof record.amount === "number"
                ? stockWords(record.amount)
                : `${stockWords(record.amount.value)} ${record.amount.unit}`}
            </span>
            <span>{record.where ?? ""}</span>
            <span className="font-mono">
              {record.paper ?? <span className="text-due">no receipt</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
