import { dayOf, formatDay, type WasteOfSpan } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useBeside } from "../../../session/useBeside.js";
import { SelectField } from "../../../ui/fields.js";
import { Page } from "../../../ui/Page.js";
import { fullDate } from "../../../words/format.js";
import { shelvesReckoned } from "../../../work/shelvesClient.js";
import { PrintActions } from "../../shared/PrintActions.js";
import { moveAmount, wasteAmount } from "./wasteWords.js";

/** So many years are offered. */
const YEARS = 6;

/** What came together of each kind in a year, and where it was handed in: a sheet to show. */
export default function WasteYear(): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { entry } = useBook();
  const [search, setSearch] = useSearchParams();
  const thisYear = Number(formatDay(today).slice(0, 4));
  const years = Array.from({ length: YEARS }, (_, ago) => String(thisYear - ago));
  const year = search.get("year") ?? String(thisYear);
  const ask = useMemo(
    () =>
      (database: string): Promise<readonly WasteOfSpan[]> =>
        shelvesReckoned().wasteBetween(database, dayOf(`${year}-01-01`), dayOf(`${year}-12-31`)),
    [year],
  );
  const { answer, failure } = useBeside(ask);
  return (
    <Page
      title={`Waste in ${year}`}
      aside={
        <PrintActions back="/stores/waste" backWords="The containers">
          <SelectField
            label="Year"
            value={year}
            choices={years.map((one) => [one, one] as const)}
            onChange={(one) => setSearch({ year: one }, { replace: true })}
          />
        </PrintActions>
      }
    >
      {failure !== "" && <p role="alert">The sheet was not reckoned: {failure}</p>}
      <p className="mb-3">
        {entry.name}, as of {fullDate(today)}.
      </p>
      {answer?.length === 0 && <p className="text-quiet">No waste is on the record up to then.</p>}
      {(answer ?? []).map((waste) => (
        <Kind key={waste.kind} waste={waste} />
      ))}
    </Page>
  );
}

function Kind({ waste }: { readonly waste: WasteOfSpan }): ReactElement {
  const { kind, before, drained, filled, handedIn, after, papers } = waste;
  const sums = [
    ["There at the beginning", before],
    ["Drained by jobs", drained],
    ["Put in otherwise", filled],
    ["Handed in", handedIn],
    ["There at the end", after],
  ] as const;
  return (
    <section className="mb-5 max-w-4xl break-inside-avoid">
      <h2 className="text-large font-bold first-letter:uppercase">{kind}</h2>
      <dl className="grid grid-cols-2 gap-x-6 sm:grid-cols-5 print:grid-cols-5">
        {sums.map(([name, amount]) => (
          <div key={name}>
            <dt className="text-fine text-quiet">{name}</dt>
            <dd className="font-semibold tabular-nums">{wasteAmount(amount)}</dd>
          </div>
        ))}
      </dl>
      {papers.length > 0 && (
        <table className="mt-2 w-full">
          <thead>
            <tr className="text-left text-fine text-quiet">
              <th scope="col">Handed in on</th>
              <th scope="col">How much</th>
              <th scope="col">Where</th>
              <th scope="col">Receipt</th>
            </tr>
          </thead>
          <tbody>
            {papers.map((move) => (
              <tr key={move.id} className="border-t border-hairline">
                <td>{fullDate(dayOf(move.date))}</td>
                <td className="tabular-nums">{moveAmount(move)}</td>
                <td>{move.where ?? ""}</td>
                <td className="font-mono">{move.paper ?? "none"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
