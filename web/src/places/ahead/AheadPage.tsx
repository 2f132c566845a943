import type { ReactElement, ReactNode } from "react";
import { NavLink } from "react-router";
import { useAppDispatch } from "../../session/store.js";
import { visits } from "../../session/visits.js";
import { Page } from "../../ui/Page.js";

const VIEWS = [
  ["/ahead", "Board"],
  ["/ahead/today", "Today"],
  ["/ahead/visits", "Visits"],
  ["/ahead/journeys", "Journeys"],
] as const;
/** The views that show visits. */
const WITH_VISITS: ReadonlySet<string> = new Set(["/ahead/today", "/ahead/visits"]);

/** A page of what is ahead, with the way to the others. */
export function AheadPage({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  const dispatch = useAppDispatch();
  return (
    <Page
      title={title}
      aside={
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2 print:hidden">
          {aside}
          <nav aria-label="Ahead" className="flex flex-wrap gap-x-1">
            {VIEWS.map(([path, words]) => (
              <NavLink
                key={path}
                end
                to={path}
                // They are planned while the page that shows them is still being fetched.
                onClick={() => WITH_VISITS.has(path) && dispatch(visits.wanted())}
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
