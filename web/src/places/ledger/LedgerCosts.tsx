import type { BoardMachine, MachineCost } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { counted } from "../../words/format.js";
import { money } from "../../words/money.js";
import { COST_PARTS, moneyOrDash, runWords } from "../shared/costs/costWords.js";
import { SpendingPage } from "../shared/costs/SpendingPage.js";
import { Unpriced } from "../shared/costs/Unpriced.js";
import type { AskedSpan } from "../shared/costs/useSpan.js";
import { LedgerPage } from "./LedgerPage.js";
import { machinePath } from "../shared/paths.js";
import { ShowMore } from "../../ui/ShowMore.js";

const AT_FIRST = 30;
const MORE = 100;

/** What all machines cost in a span, the dearest first. */
export default function LedgerCosts(): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  return (
    <LedgerPage title="Costs">
      <SpendingPage
        machine={null}
        beside={({ spending, currency, asked }) => (
          <ByMachine costs={spending.costs.machines} {...{ machines, currency, asked }} />
        )}
        below={({ spending }) => <Unpriced lines={spending.unpriced} machines={machines} />}
      />
    </LedgerPage>
  );
}

function ByMachine({
  costs,
  machines,
  currency,
  asked,
}: {
  readonly costs: readonly MachineCost[];
  readonly machines: readonly BoardMachine[];
  readonly currency: string;
  readonly asked: AskedSpan;
}): ReactElement {
  const [shown, setShown] = useState(AT_FIRST);
  const spent = costs.filter(({ total, warranty, missing }) => total + warranty + missing !== 0);
  const dearest = spent.toSorted((one, other) => other.total - one.total);
  const search = new URLSearchParams({
    span: asked.name,
    ...(asked.name === "days" ? asked.typed : {}),
  });
  return (
    <section aria-labelledby="by-machine" className="mt-6">
      <h2 id="by-machine" className="mb-1 text-large font-bold">
        By machine
      </h2>
      <div className="max-w-full overflow-x-auto">
        <table className="w-full text-right tabular-nums">
          <MachineHead />
          <tbody>
            {dearest.slice(0, shown).map((cost) => (
              <MachineRow
                key={cost.id}
                cost={cost}
                machine={machines.find((one) => one.machine.id === cost.id)}
                currency={currency}
                search={search.toString()}
              />
            ))}
          </tbody>
        </table>
      </div>
      {dearest.length === 0 && (
        <p className="py-4 text-quiet">Nothing is logged in these days that cost anything.</p>
      )}
      {dearest.length > 0 && dearest.length < costs.length && (
        <p className="mt-2 text-fine text-quiet">
          {counted(costs.length - dearest.length, "machine")} cost nothing in these days.
        </p>
      )}
      <ShowMore rest={dearest.length - shown} onMore={() => setShown(shown + MORE)} />
    </section>
  );
}

function MachineRow({
  cost,
  machine,
  currency,
  search,
}: {
  readonly cost: MachineCost;
  readonly machine: BoardMachine | undefined;
  readonly currency: string;
  readonly search: string;
}): ReactElement {
  const { tag = "", name = cost.id, meters = [] } = machine?.machine ?? {};
  return (
    <tr className="border-t border-hairline align-baseline">
      <th scope="row" className="py-1.5 pr-5 text-left font-medium">
        <Link to={`${machinePath(cost.id, "/costs")}?${search}`} className="hover:underline">
          <span className="mr-2 font-mono font-bold">{tag}</span> {name}
        </Link>
      </th>
      {COST_PARTS.map(([part]) => (
        <td key={part} className="pr-5">
          {moneyOrDash(cost[part])}
        </td>
      ))}
      <td className="pr-5 font-semibold">{money(cost.total, "")}</td>
      <td className="pr-5">{cost.warranty === 0 ? "" : money(cost.warranty, "")}</td>
      <td className="pr-5">{cost.missing === 0 ? "" : counted(cost.missing, "line")}</td>
      <td className="text-left text-quiet">
        {runWords(cost, meters, currency).map((words) => (
          <span key={words} className="block">
            {words}
          </span>
        ))}
      </td>
    </tr>
  );
}

const OTHER_COLUMNS = ["total", "warranty", "no price"];

function MachineHead(): ReactElement {
  return (
    <thead>
      <tr className="text-fine text-quiet">
        <th scope="col" className="py-1 pr-5 text-left font-medium">
          Machine
        </th>
        {[...COST_PARTS.map(([, label]) => label), ...OTHER_COLUMNS].map((label) => (
          <th key={label} scope="col" className="pr-5 font-medium">
            {label}
          </th>
        ))}
        <th scope="col" className="text-left font-medium">
          by what it ran
        </th>
      </tr>
    </thead>
  );
}
