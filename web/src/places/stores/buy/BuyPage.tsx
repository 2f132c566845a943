import { formatDay, type MachineId } from "@yonderfell/core";
import { Copy, Printer } from "lucide-react";
import { useMemo, type ReactElement } from "react";
import { Link, useSearchParams } from "react-router";
import { notifySuccess } from "../../../session/notify.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField } from "../../../ui/fields.js";
import { counted, fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import type { Shopping } from "../../../work/shelves.worker.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { StoresFrame } from "../StoresFrame.js";
import { useCatalogue } from "../useCatalogue.js";
import { BuyLines } from "./BuyLines.js";
import { Gaps } from "./Gaps.js";
import { MachineChoice } from "./MachineChoice.js";
import { buyMessage, buyTable, buyWords, SPANS, untilOf, type BuyWords } from "./buyModel.js";
import { sourcesIn } from "./sources.js";
import { useShopping, type Wanted } from "./useShopping.js";

/** What to buy for the work ahead: by when, in which packs, from whom, and for which job. */
export default function BuyPage(): ReactElement {
  const [search, setSearch] = useSearchParams();
  const today = useAppSelector((state) => state.session.today);
  const span = search.get("days") ?? "30";
  const until = untilOf(span, today);
  const named = search.get("machines");
  const source = search.get("from");
  const wanted = useMemo(
    (): Wanted => ({
      ...{ until, source },
      machines: named === null ? null : (named.split(",").filter(Boolean) as MachineId[]),
    }),
    [until, source, named],
  );
  const { shopping, failure, isCurrent } = useShopping(wanted);
  const set = (key: string, value: string | null): void => {
    const next = new URLSearchParams(search);
    if (value === null) next.delete(key);
    else next.set(key, value);
    setSearch(next, { replace: true });
  };
  const sources = sourcesIn(useCatalogue()?.listed);
  return (
    <StoresFrame title="To buy">
      <div className="mb-3 flex flex-wrap items-end gap-x-5 gap-y-2 print:hidden">
        <div className="w-44">
          <SelectField
            label="For work in"
            value={span}
            choices={SPANS}
            onChange={(days) => set("days", days)}
          />
        </div>
        <MachineChoice chosen={wanted.machines} onChange={(ids) => set("machines", ids)} />
        <div className="w-56">
          <SelectField
            label="From"
            value={source ?? ""}
            choices={[
              ["", "whoever is cheapest"] as const,
              ...sources.map((name) => [name, name] as const),
            ]}
            onChange={(name) => set("from", name === "" ? null : name)}
          />
        </div>
      </div>
      {failure !== "" && (
        <p role="alert" className="text-due">
          The list was not made: {failure}
        </p>
      )}
      {shopping === null && failure === "" && (
        <p role="status" className="py-3 text-quiet">
          Planning the visits and adding up what they take…
        </p>
      )}
      {shopping !== null && <List shopping={shopping} wanted={wanted} isCurrent={isCurrent} />}
    </StoresFrame>
  );
}

function List({
  shopping,
  wanted,
  isCurrent,
}: {
  readonly shopping: Shopping;
  readonly wanted: Wanted;
  readonly isCurrent: boolean;
}): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const today = useAppSelector((state) => state.session.today);
  const currency = useCurrency();
  const { list, gaps } = shopping;
  const words = useMemo(
    () => buyWords(shopping, machines, today, currency),
    [shopping, machines, today, currency],
  );
  return (
    <div aria-busy={!isCurrent}>
      <div className="mb-3 flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
        <p className="max-w-[68ch]">
          <strong className="text-large">
            {list.toBuy.length === 0
              ? "Nothing to buy"
              : `${counted(list.toBuy.length, "thing")} to buy`}
          </strong>{" "}
          for work up to {fullDate(wanted.until)}
          {list.toBuy.length > 0 && (
            <>
              , <strong className="tabular-nums">{money(list.cost, currency)}</strong> together
              {list.unpriced > 0 && `, ${counted(list.unpriced, "line")} of unknown cost`}
            </>
          )}
          .
        </p>
        {list.toBuy.length > 0 && <ListActions shopping={shopping} words={words} />}
      </div>
      <Gaps gaps={gaps} words={words} />
      <BuyLines lines={list.toBuy} words={words} />
      <Sources shopping={shopping} wanted={wanted} currency={currency} />
      {list.covered.length > 0 && (
        <details className="mt-6 print:[&:not([open])]:hidden">
          <summary className="min-h-10 cursor-pointer text-large font-bold">
            From the shelf or on order{" "}
            <span className="font-normal text-quiet tabular-nums">{list.covered.length}</span>
          </summary>
          <BuyLines lines={list.covered} words={words} />
        </details>
      )}
    </div>
  );
}

function ListActions({
  shopping,
  words,
}: {
  readonly shopping: Shopping;
  readonly words: BuyWords;
}): ReactElement {
  const giveTable = useTableFile();
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(buyMessage(shopping, words));
    notifySuccess("The list is copied: paste it into a message.");
  };
  return (
    <div className="flex flex-wrap gap-3 print:hidden">
      <button type="button" className={QUIET_BUTTON} onClick={() => void copy()}>
        <Copy size={18} aria-hidden="true" />
        Copy for a message
      </button>
      <TableButton onPress={() => giveTable("to-buy", buyTable(shopping, words))} />
      <button type="button" className={PRIMARY_BUTTON} onClick={() => window.print()}>
        <Printer size={18} aria-hidden="true" />
        Print
      </button>
    </div>
  );
}

/** What is bought of each source, and the way to order it there. */
function Sources({
  shopping: { list },
  wanted,
  currency,
}: {
  readonly shopping: Shopping;
  readonly wanted: Wanted;
  readonly currency: string;
}): ReactElement | null {
  if (list.bySource.length === 0) return null;
  const query = (source: string): string => {
    const asked = new URLSearchParams({ from: source, until: formatDay(wanted.until) });
    if (wanted.machines !== null) asked.set("machines", wanted.machines.join(","));
    if (wanted.source !== null) asked.set("only", wanted.source);
    return `/stores/orders/new?${asked.toString()}`;
  };
  return (
    <section aria-labelledby="by-source" className="mt-6 max-w-2xl break-inside-avoid">
      <h2 id="by-source" className="text-large font-bold">
        By source
      </h2>
      <ul>
        {list.bySource.map(({ source, lines, cost, unpriced }) => (
          <li
            key={source ?? ""}
            className="grid grid-cols-[1fr_auto_auto] items-center gap-x-6 border-t border-hairline py-1"
          >
            <span>
              <strong>{source ?? "Source not known"}</strong>{" "}
              <span className="text-quiet">
                {counted(lines, "line")}
                {unpriced > 0 && `, ${counted(unpriced, "pack")} of unknown cost`}
              </span>
            </span>
            <span className="font-bold tabular-nums">
              {source === null ? "" : money(cost, currency)}
            </span>
            {source === null ? (
              <span />
            ) : (
              <Link
                to={query(source)}
                aria-label={`Order there: ${source}`}
                className={QUIET_BUTTON}
              >
                Order there
              </Link>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
