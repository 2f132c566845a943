import type { ReactElement, ReactNode } from "react";
import { ViewsPage } from "../../ui/ViewsPage.js";

const VIEWS = [
  ["/rounds", "All rounds"],
  ["/rounds/findings", "Findings"],
  ["/rounds/samples", "Samples"],
  ["/rounds/checklists", "Checklists"],
] as const;

/** A view of Rounds, with the way to the others. */
export function RoundsFrame(page: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  return <ViewsPage of="Rounds" views={VIEWS} {...page} />;
}
