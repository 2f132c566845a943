import type { DayNumber, YearAhead } from "@yonderfell/core";
import { useCallback, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useBeside } from "../../../session/useBeside.js";
import { figure } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { costsReckoned } from "../../../work/costsClient.js";
import { moneyOrDash, monthWords } from "../../shared/costs/costWords.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { MonthBars } from "../../shared/MonthBars.js";
import { machinePath } from "../../shared/paths.js";
import { PrintButton, TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { LedgerPage } from "../LedgerPage.js";
import { aheadRows, incompleteWords, sumWords, waitingWords } from "./aheadWords.js";
import { Budget } from "./Budget.js";

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
          <TableButton
            isReady={answer !== null}
            onPress={() => answer !== null && hand("spending ahead", aheadRows(answer))}
          />
          <PrintButton />
        </>
      }
    >
      {failure !== "" && <p role="alert">It could not be reckoned: {failure}</p>}
      {answer === null && failure === "" && <p className="py-6 text-quiet">Reckoning.</p>}
      {answer !== null && <Told told={answer} />}
    </LedgerPage>
  );
}

function Told({ told }: { readonly told: YearAhead }): ReactElement {
  const currency = useCurrency();
  const { overdue, toDo, watched, declined } = told.waiting;
  return (
    <>
      <p className="mt-3 text-title font-bold">{sumWords(told, currency)}</p>
      <p className="max-w-[60rem] text-quiet">
        Each turn on the day it falls due, the machines running on as they do now: parts at their
        cheapest source, fluids by the plate, minutes at the mean rate. This month counts from today
        on, with what is due already; a year before, each month is whole.{" "}
        {incompleteWords(told.sum)}
      </p>
      <Budget told={told} currency={currency} />
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
  readonly told: YearAhead;
  readonly currency: string;
}): ReactElement {
  const { months } = told;
  const said = months.map(({ month, total }) => `${monthWords(month)} ${money(total, currency)}`);
  return (
    <section aria-labelledby="months" className="mt-6">
      <h2 id="months" className="mb-2 text-large font-bold">
        By month
      </h2>
      <div className="flex flex-wrap items-start gap-x-8">
        <div className="min-w-[min(100%,24rem)] flex-1">
          <MonthBars
            {...{ months, currency }}
            parts={PARTS}
            words={`Spending ahead by month: ${said.join(", ")}`}
          />
        </div>
        <MonthTable months={months} />
      </div>
    </section>
  );
}

function MonthTable({ months }: Pick<YearAhead, "months">): ReactElement {
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
          {months.map((month) => (
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
              <td className="pl-5 text-quiet">{moneyOrDash(month.yearBefore)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const DEAREST = 12;

/** The machines that will cost the most. */
function ByMachine({ told }: { readonly told: YearAhead }): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const nameOf = (id: string) => machines.find((one) => one.machine.id === id)?.machine;
  return (
    <section aria-labelledby="dearest" className="mt-6">
      <h2 id="dearest" className="mb-1 text-large font-bold">
        The dearest machines
      </h2>
      <ul className="grid max-w-[52rem] gap-x-10 sm:grid-cols-2">
        {told.machines.slice(0, DEAREST).map(({ machine, total, turns }) => (
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
