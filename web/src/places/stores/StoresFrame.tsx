import type { ReactElement, ReactNode } from "react";
import { ViewsPage } from "../../ui/ViewsPage.js";

const VIEWS = [
  ["/stores", "Shelves"],
  ["/stores/buy", "To buy"],
  ["/stores/orders", "Orders"],
  ["/stores/waste", "Waste"],
  ["/stores/quotes", "Quotes"],
  ["/stores/numbers", "Numbers and prices"],
] as const;

/** A view of Stores, with the way to the others. */
export function StoresFrame(page: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}): ReactElement {
  return <ViewsPage of="Stores" views={VIEWS} {...page} />;
}
