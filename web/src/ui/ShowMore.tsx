import type { ReactElement } from "react";
import { counted } from "../words/format.js";
import { QUIET_BUTTON } from "./buttons.js";

/** Shows more of a list that is not all shown; nothing where none is left. */
export function ShowMore({
  rest,
  words = "Show",
  onMore,
}: {
  /** How many are not shown yet. */
  readonly rest: number;
  readonly words?: string;
  readonly onMore: () => void;
}): ReactElement | null {
  if (rest <= 0) return null;
  return (
    <button type="button" className={`${QUIET_BUTTON} mt-3`} onClick={onMore}>
      {words} {counted(rest, "more", "more")}
    </button>
  );
}
