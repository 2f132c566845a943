import type { ReactElement, ReactNode } from "react";
import { useAppDispatch } from "../../session/store.js";
import { visits } from "../../session/visits.js";
import { Page } from "../../ui/Page.js";
import { Views } from "../../ui/Views.js";

const VIEWS = [
  ["/ahead", "Board"],
  ["/ahead/today", "Today"],
  ["/ahead/visits", "Visits"],
  ["/ahead/fleet", "Fleet plan"],
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
          <Views
            of="Ahead"
            views={VIEWS}
            // They are planned while the page that shows them is still being fetched.
            onGo={(path) => WITH_VISITS.has(path) && dispatch(visits.wanted())}
          />
        </div>
      }
    >
      {children}
    </Page>
  );
}
