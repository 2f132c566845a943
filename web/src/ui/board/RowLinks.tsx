import type { ReactElement } from "react";
import { Link } from "react-router";

/** The ways on from a row of the board: to begin its work on the Bench, or to log it; on a narrow screen one over the other. */
export function RowLinks({
  begin,
  log,
  what,
  isNarrow,
}: {
  readonly begin: string;
  readonly log: string;
  /** What is begun or logged, as it is read out. */
  readonly what: string;
  readonly isNarrow: boolean;
}): ReactElement {
  const look = (wide: string): string =>
    `flex items-center justify-end text-clear ${isNarrow ? "min-h-12" : `min-h-[34px] text-fine hover:underline ${wide}`}`;
  return (
    <span className={`flex shrink-0 ${isNarrow ? "w-16 flex-col pr-1" : ""}`}>
      <Link to={begin} aria-label={`Begin ${what}`} className={look("w-[3.25rem]")}>
        Begin
      </Link>
      <Link to={log} aria-label={`Log ${what}`} className={look("w-16")}>
        Log
      </Link>
    </span>
  );
}
