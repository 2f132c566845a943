import type { ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { dateWithWeekday, sentence } from "../../../words/format.js";
import { lookWords } from "./boardWords.js";
import { NO_NAMES, useBoardNames } from "./useBoardNames.js";

/** As wide as A4 and Letter across, within their margins, in pixels. */
export const PAPER_WIDTH = 976;

/** What stands over the board on paper: the day, and how it is looked at where that is not as usual. */
export function PaperHead(): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const words = lookWords(
    useAppSelector((state) => state.boardLook),
    useBoardNames() ?? NO_NAMES,
  );
  return (
    <p className="mb-1">
      <strong>{dateWithWeekday(today)}</strong>
      {words === "" ? "" : `: ${sentence(words)}`}
    </p>
  );
}
