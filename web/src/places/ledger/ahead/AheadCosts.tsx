import { partsFromDay, type DayNumber } from "@yonderfell/core";
import { Printer, Table2 } from "lucide-react";
import { lazy, Suspense, useCallback, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useBeside } from "../../../session/useBeside.js";
import { again } from "../../../ui/again.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { figure } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import type { AheadTold } from "../../../work/costs.worker.js";
import { costsReckoned } from "../../../work/costsClient.js";
import { moneyOrDash, monthWords } from "../../shared/costs/costWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { machinePath } from "../../shared/paths.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { LedgerPage } from "../LedgerPage.js";
import { aheadRows, incompleteWords, sumWords, waitingWords, yearBefore } from "./aheadWords.js";
import { Budget } from "./Budget.js";

const MoneyBars = lazy(again(() => import("../../../ui/MoneyBars.js")));

/** What the next twelve months will cost by the due rules, beside the year before; what waits; and the budget. */
export default function AheadCosts(): ReactElement {
  const seq = useAppSelector((state) => state.board.seq);
  const ask = useCallback(
    (database: string, today: DayNumber) => costsReckoned().ahead(database, seq, today),
    [seq],
  );
  const { answer, failure } = useBeside(ask);
  const hand = useTableFile();
  return (
    <LedgerPage
      title="Spending ahead"
      aside={
        <>
          <button
            type="button"
            className={QUIET_BUTTON}
            disabled={answer === null}
            onClick={() => answer !== null && hand("spending ahead", aheadRows(answer))}
          >
            <Table2 size={18} aria-hidden="true" />
            As a table
          </button>
          <button type="button" className={QUIET_BUTTON} onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" />
            Print
          </button>
        </>
      }
    >
      {failure !== "" && <p role="alert">It could not be reckoned: {failure}</p>}
      {answer === null && failure === "" && <p className="py-6 text-quiet">Reckoning.</p>}
      {answer !== null && <Told told={answer} />}
    </LedgerPage>
  );
}

function Told({ told }: { readonly told: AheadTold }): ReactElement {
  const currency = useCurrency();
  const today = useAppSelector((state) => state.session.today);
  const { ahead } = told;
  const { overdue, toDo, watched, declined } = ahead.waiting;
  return (
    <>
      <p className="mt-3 text-title font-bold">{sumWords(ahead, currency)}</p>
      <p className="max-w-[60rem] text-quiet">
        Each turn on the day it falls due, the machines running on as they do now: parts at their
        cheapest source, fluids by the plate, minutes at the mean rate. What is due already counts
        in this month. {incompleteWords(ahead.sum)}
      </p>
      <Budget told={told} year={String(partsFromDay(today).year)} currency={currency} />
      <Months told={told} currency={currency} />
      <section aria-labelledby="waits" className="mt-6">
        <h2 id="waits" className="mb-1 text-large font-bold">
          What waits, as a sum
        </h2>
        <dl className="grid max-w-[52rem] grid-cols-[max-content_1fr] gap-x-6 gap-y-1">
          <dt>Overdue by the plan</dt>
          <dd className="font-semibold">{waitingWords(overdue, currency)}</dd>
          <dt>Found, to be put right</dt>
          <dd className="font-semibold">{waitingWords(toDo, currency)}</dd>
          <dt>Found, watched</dt>
          <dd className="font-semibold">{waitingWords(watched, currency)}</dd>
          <dt>Declined</dt>
          <dd className="font-semibold">{waitingWords(declined, currency)}</dd>
        </dl>
      </section>
      <ByMachine told={told} />
    </>
  );
}

/** What turns cost, in its word and its paint. */
const PARTS = [
  ["parts", "parts", "--ink"],
  ["fluids", "fluids", "--clear"],
  ["work", "work", "--rule"],
] as const;

function Months({
  told,
  currency,
}: {
  readonly told: AheadTold;
  readonly currency: string;
}): ReactElement {
  const { months } = told.ahead;
  const said = months.map(({ month, total }) => `${monthWords(month)} ${money(total, currency)}`);
  return (
    <section aria-labelledby="months" className="mt-6">
      <h2 id="months" className="mb-2 text-large font-bold">
        By month
      </h2>
      <div className="flex flex-wrap items-start gap-x-8">
        <div className="min-w-[min(100%,24rem)] flex-1">
          <Suspense fallback={<div className="h-72" />}>
            <MoneyBars
              labels={months.map(({ month }) => monthWords(month))}
              parts={PARTS.map(([part, label, paint]) => ({
                ...{ label, paint, amounts: months.map((month) => month[part]) },
              }))}
              currency={currency}
              height={288}
              words={`Spending ahead by month: ${said.join(", ")}`}
            />
          </Suspense>
        </div>
        <MonthTable told={told} />
      </div>
    </section>
  );
}

function MonthTable({ told: { ahead, spent } }: { readonly told: AheadTold }): ReactElement {
  const was = new Map(spent.months.map(({ month, total }) => [month, total]));
  return (
    <div
      className="max-w-full overflow-x-auto"
      role="group"
      aria-label="Months as a table"
      tabIndex={0}
    >
      <table className="text-right tabular-nums">
        <thead>
          <tr className="text-fine text-quiet">
            {["Month", "turns", "parts", "fluids", "work", "total", "a year before"].map(
              (label, at) => (
                <th
                  key={label}
                  scope="col"
                  className={`py-1 font-medium ${at === 0 ? "pr-5 text-left" : "pl-5"}`}
                >
                  {label}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {ahead.months.map((month) => (
            <tr key={month.month} className="border-t border-hairline">
              <th scope="row" className="py-1 text-left font-medium whitespace-nowrap">
                {monthWords(month.month)}
              </th>
              <td className="pl-5">{figure(month.turns)}</td>
              {PARTS.map(([part]) => (
                <td key={part} className="pl-5">
                  {moneyOrDash(month[part])}
                </td>
              ))}
              <td className="pl-5 font-semibold">{moneyOrDash(month.total)}</td>
              <td className="pl-5 text-quiet">
                {moneyOrDash(was.get(yearBefore(month.month)) ?? 0)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const DEAREST = 12;

/** The machines that will cost the most. */
function ByMachine({ told: { ahead } }: { readonly told: AheadTold }): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const nameOf = (id: string) => machines.find((one) => one.machine.id === id)?.machine;
  return (
    <section aria-labelledby="dearest" className="mt-6">
      <h2 id="dearest" className="mb-1 text-large font-bold">
        The dearest machines
      </h2>
      <ul className="grid max-w-[52rem] gap-x-10 sm:grid-cols-2">
        {ahead.machines.slice(0, DEAREST).map(({ machine, total, turns }) => (
          <li
            key={machine}
            className="flex justify-between gap-x-4 border-t border-hairline py-1 tabular-nums"
          >
            <Link to={machinePath(machine)} className="hover:underline">
              <span className="mr-2 font-mono font-bold">{nameOf(machine)?.tag}</span>{" "}
              {nameOf(machine)?.name ?? machine}
            </Link>
            <span>
              <span className="text-quiet">{figure(turns)} turns</span>{" "}
              <span className="inline-block w-24 text-right font-semibold">{money(total, "")}</span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
