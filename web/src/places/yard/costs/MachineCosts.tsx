import type { ReactElement } from "react";
import { Link } from "react-router";
import { runWords } from "../../shared/costs/costWords.js";
import { CostTable } from "../../shared/costs/CostTable.js";
import { SpendingPage } from "../../shared/costs/SpendingPage.js";
import { Unpriced } from "../../shared/costs/Unpriced.js";
import { machinePath } from "../../shared/paths.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";

/** What a machine cost in a span, what a kilometre or an hour of it did, and what is not known of it. */
export default function MachineCosts(): ReactElement {
  const machine = useMachineOfAddress();
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && (
        <SpendingPage
          key={machine.machine.id}
          machine={machine.machine.id}
          beside={({ spending, currency }) => (
            <>
              {spending.costs.machines
                .flatMap((cost) => runWords(cost, machine.machine.meters ?? [], currency))
                .map((words) => (
                  <p key={words} className="font-semibold tabular-nums">
                    {words}
                  </p>
                ))}
              {spending.months.length === 0 && (
                <p className="py-4 text-quiet">No work is logged in these days.</p>
              )}
            </>
          )}
          below={({ spending, currency, asked }) => (
            <>
              {asked.span !== null && (
                <CostTable span={asked.span} machine={machine.machine.id} currency={currency} />
              )}
              <Unpriced lines={spending.unpriced} machines={null} />
              <p className="mt-6 print:hidden">
                <Link
                  to={machinePath(machine.machine.id, "/plan/schools?over=back")}
                  className="text-clear underline"
                >
                  What each school would have asked for, beside what was done
                </Link>
              </p>
            </>
          )}
        />
      )}
    </MachineFrame>
  );
}
