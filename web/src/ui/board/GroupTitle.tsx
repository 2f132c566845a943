import type { ReactElement } from "react";

/** What stands over a group of machines. */
export function GroupTitle({ title }: { readonly title: string }): ReactElement {
  return <h2 className="pt-5 pb-1 text-large font-bold">{title}</h2>;
}
