import type { ReactElement, ReactNode } from "react";
import { Page } from "../../ui/Page.js";
import { Views } from "../../ui/Views.js";

const VIEWS = [
  ["/rounds", "All rounds"],
  ["/rounds/findings", "Findings"],
  ["/rounds/checklists", "Checklists"],
] as const;

/** A view of Rounds, with the way to the others. */
export function RoundsFrame({
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
          <Views of="Rounds" views={VIEWS} />
        </div>
      }
    >
      {children}
    </Page>
  );
}
