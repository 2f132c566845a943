import type { BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";

import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { money } from "../../../words/money.js";
import { apartWords, COST_PARTS, runWords, totalWords } from "../../shared/costs/costWords.js";
import { MonthCosts } from "../../shared/costs/MonthCosts.js";
import { SpanChoice } from "../../shared/costs/SpanChoice.js";
import { Unpriced } from "../../shared/costs/Unpriced.js";
import { useLineNames } from "../../shared/costs/useLineNames.js";
import { useSpan } from "../../shared/costs/useSpan.js";
import { useSpending } from "../../shared/costs/useSpending.js";

/** What a machine cost in a span, what a kilometre or an hour of it did, and what is not known of it. */
export default function MachineCosts(): ReactElement {
  const machine = useMachineOfAddress();
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && <Costs key={machine.machine.id} machine={machine} />}
    </MachineFrame>
  );
}

function Costs({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const asked = useSpan();
  const { spending, isReckoning, failure } = useSpending(asked.span, machine.machine.id);
  const known = useLineNames();
  const cost = spending?.costs.machines[0];
  return (
    <>
      <SpanChoice asked={asked} />
      {failure !== "" && <p role="alert">The costs could not be reckoned: {failure}</p>}
      {spending === null && isReckoning && <p className="py-6 text-quiet">Reckoning.</p>}
      {spending !== null && cost !== undefined && known !== undefined && asked.span !== null && (
        <div aria-busy={isReckoning}>
          <p className="mt-4 text-title font-bold">
            {totalWords(cost.total, known.currency, asked.span)}
          </p>
          <p className="tabular-nums">
            {COST_PARTS.map(([part, label]) => `${label} ${money(cost[part], "")}`).join(" · ")}
          </p>
          {runWords(cost, machine.machine.meters ?? [], known.currency).map((words) => (
            <p key={words} className="font-semibold tabular-nums">
              {words}
            </p>
          ))}
          {apartWords(cost.warranty, cost.missing, known.currency).map((words) => (
            <p key={words} className="text-quiet">
              {words}
            </p>
          ))}
          {spending.months.length === 0 && (
            <p className="py-4 text-quiet">No work is logged in these days.</p>
          )}
          <MonthCosts months={spending.months} currency={known.currency} />
          <Unpriced lines={spending.unpriced} machines={null} nameOf={known.nameOf} />
        </div>
      )}
    </>
  );
}
