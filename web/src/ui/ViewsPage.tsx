import type { ReactElement, ReactNode } from "react";
import { Page } from "./Page.js";
import { Views } from "./Views.js";

/** A page of a place with several views: its title, what stands beside it, and the way to the other views. */
export function ViewsPage({
  of,
  views,
  title,
  aside,
  children,
}: {
  readonly of: string;
  readonly views: readonly (readonly [string, string])[];
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
          <Views of={of} views={views} />
        </div>
      }
    >
      {children}
    </Page>
  );
}
