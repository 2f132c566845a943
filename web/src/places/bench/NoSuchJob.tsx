import type { ReactElement } from "react";
import { Link } from "react-router";
import { Page } from "../../ui/Page.js";

/** What stands where an address names no job that is to be shown there. */
export function NoSuchJob({
  title = "Bench",
  words = "The book has no such job.",
}: {
  readonly title?: string;
  readonly words?: string;
}): ReactElement {
  return (
    <Page title={title}>
      <p className="py-6">
        {words}{" "}
        <Link to="/bench" className="text-clear underline">
          All jobs
        </Link>
      </p>
    </Page>
  );
}
