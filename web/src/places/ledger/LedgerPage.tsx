import type { ReactElement, ReactNode } from "react";
import { ViewsPage } from "../../ui/ViewsPage.js";

const VIEWS = [
  ["/ledger", "Log"],
  ["/ledger/costs", "Costs"],
  ["/ledger/ahead", "To come"],
  ["/ledger/on-time", "On time"],
  ["/ledger/learning", "Learning"],
] as const;

/** A page of the Ledger, with the way to the others. */
export function LedgerPage(page: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  return <ViewsPage of="Ledger" views={VIEWS} {...page} />;
}
