import type { ReactElement, ReactNode } from "react";
import { NavLink } from "react-router";
import { Page } from "../../ui/Page.js";

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
          <nav aria-label="Ledger" className="flex flex-wrap gap-x-1">
            {VIEWS.map(([path, words]) => (
              <NavLink
                key={path}
                end
                to={path}
                className={({ isActive }) =>
                  `flex min-h-10 items-center border-b-2 px-2.5 max-sm:min-h-12 ${isActive ? "border-clear font-semibold" : "border-transparent text-quiet hover:text-ink"}`
                }
              >
                {words}
              </NavLink>
            ))}
          </nav>
        </div>
      }
    >
      {children}
    </Page>
  );
}
