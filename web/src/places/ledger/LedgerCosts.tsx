import type { ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { CostTable } from "../shared/costs/CostTable.js";
import { SpendingPage } from "../shared/costs/SpendingPage.js";
import { PrintButton } from "../shared/TakeAwayButtons.js";
import { Unpriced } from "../shared/costs/Unpriced.js";
import { LedgerPage } from "./LedgerPage.js";

/** What all machines cost in a span, told apart as one likes. */
export default function LedgerCosts(): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  return (
    <LedgerPage title="Costs" aside={<PrintButton />}>
      <SpendingPage
        machine={null}
        beside={({ currency, asked }) =>
          asked.span !== null && <CostTable span={asked.span} machine={null} currency={currency} />
        }
        below={({ spending }) => <Unpriced lines={spending.unpriced} machines={machines} />}
      />
    </LedgerPage>
  );
}
