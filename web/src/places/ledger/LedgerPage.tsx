import type { ReactElement, ReactNode } from "react";
import { Page } from "../../ui/Page.js";
import { Views } from "../../ui/Views.js";

const VIEWS = [
  ["/ledger", "Log"],
  ["/ledger/costs", "Costs"],
] as const;

/** A page of the Ledger, with the way to the others. */
export function LedgerPage({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <Page
      title={title}
      aside={
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2 print:hidden">
          {aside}
          <Views of="Ledger" views={VIEWS} />
        </div>
      }
    >
      {children}
    </Page>
  );
}
