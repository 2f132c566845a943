import {
  currentRecords,
  dayOf,
  inTheEnd,
  quoteTotal,
  type Entry,
  type Visit,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { StoresFrame } from "../StoresFrame.js";

/** The quotes that are kept with visits, with what each was in the end. */
export default function QuotesPage(): ReactElement | null {
  const { storage } = useBook();
  const machines = useAppSelector((state) => state.board.machines);
  const read = async (): Promise<{ visits: readonly Visit[]; entries: readonly Entry[] }> => {
    const quoted = (await storage.list("visits")).filter(({ quote }) => quote);
    const own = quoted.length === 0 ? [] : await storage.list("entries");
    return { visits: quoted, entries: currentRecords(own).map(({ record }) => record) };
  };
  const found = useLiveOf("quotes", read, [storage]);
  const currency = useCurrency();
  if (found === undefined) return null;
  const tagOf = (visit: Visit): string => {
    const machine = machines.find((one) => one.machine.id === visit.machine)?.machine;
    return machine === undefined ? "" : `${machine.tag} ${machine.name}`;
  };
  const visits = found.visits.toSorted((one, other) => other.date.localeCompare(one.date));
  return (
    <StoresFrame title="Quotes">
      {visits.length === 0 && (
        <p className="max-w-[68ch] py-4 text-quiet">
          No quote is kept yet. Open a visit under <Link to="/ahead/visits">Visits</Link> and press
          <em> Beside a quote</em>: it lays what a workshop asks beside your own work.
        </p>
      )}
      <ul className="max-w-4xl">
        {visits.map((visit) => {
          const total = visit.quote ? quoteTotal(visit.quote) : null;
          const end = inTheEnd(visit, found.entries);
          return (
            <li key={visit.id} className="border-t border-hairline">
              <Link
                to={`/stores/quote/${encodeURIComponent(visit.machine)}/${encodeURIComponent(visit.id)}`}
                className="grid gap-x-6 py-2.5 hover:bg-wash lg:grid-cols-[1fr_14rem_10rem_10rem]"
              >
                <span>
                  <strong>{tagOf(visit)}</strong>
                  <span className="block text-quiet">{fullDate(dayOf(visit.date))}</span>
                </span>
                <span>{visit.quote?.workshop ?? ""}</span>
                <span className="tabular-nums">
                  {total === null ? "no figure" : `quote ${money(total, currency)}`}
                </span>
                <span className="tabular-nums">
                  {end === null ? (
                    <span className="text-quiet">not done yet</span>
                  ) : (
                    `in the end ${money(end.total, currency)}`
                  )}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </StoresFrame>
  );
}
