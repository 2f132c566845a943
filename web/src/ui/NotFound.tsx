import type { ReactElement } from "react";
import { Link } from "react-router";
import { Page } from "./Page.js";

/** What stands where an address leads nowhere. */
export default function NotFound(): ReactElement {
  return (
    <Page title="There is nothing at this address">
      <p className="py-4">
        The address may be mistyped.{" "}
        <Link to="/ahead" className="text-clear underline">
          Go to Ahead
        </Link>
      </p>
    </Page>
  );
}
