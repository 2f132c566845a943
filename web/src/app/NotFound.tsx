import type { ReactElement } from "react";
import { isRouteErrorResponse, useRouteError } from "react-router";

/** What stands where an address leads nowhere or a place could not be shown. */
export function NotFound(): ReactElement {
  const error = useRouteError();
  const isMissing = isRouteErrorResponse(error) && error.status === 404;
  const reason = error instanceof Error ? error.message : "";
  return (
    <main className="p-7">
      <h1 className="text-title font-bold">
        {isMissing ? "There is nothing at this address" : "This place could not be shown"}
      </h1>
      <p className="my-3">
        {isMissing ? "The address may be mistyped." : `${reason} Nothing that was saved is lost.`}
      </p>
      <a href="/ahead" className="text-clear underline">
        Go to Ahead
      </a>
    </main>
  );
}
