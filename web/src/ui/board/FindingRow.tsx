import { beginPath } from "../../words/beginPath.js";
import type { FindingReckoning } from "@yonderfell/core";
import { memo, type ReactElement } from "react";
import { Link } from "react-router";
import {
  findingPath,
  findingStandsWords,
  findingStatusWord,
  findingTitle,
} from "../../words/findingWords.js";
import type { BundleLook } from "./bundleLook.js";
import { Cairn } from "./Cairn.js";
import { RowLinks } from "./RowLinks.js";
import { ReachStrip } from "./ReachStrip.js";
import { stripOfFinding, type Strip } from "./strip.js";
import { WORD_INK } from "./wordInk.js";

interface FindingRowProps {
  readonly finding: FindingReckoning;
  readonly look: BundleLook;
  /** Room over and under it, in pixels. */
  readonly before: number;
  readonly after: number;
  /** Its place in a long list, and what measures it there. */
  readonly index: number | undefined;
  readonly measure: ((element: Element | null) => void) | undefined;
}

/** One open finding of a bundle: its strip, which leads to what is written down of it, and the way to log the work. */
export const FindingRow = memo(function FindingRow(props: FindingRowProps): ReactElement {
  const { finding, look, before, after, index, measure } = props;
  const { today, isNarrow, isOnPaper = false, scale } = look;
  const { id, machine } = finding.finding;
  const strip = stripOfFinding(finding, today);
  return (
    <li ref={measure} data-index={index} style={{ paddingTop: before, paddingBottom: after }}>
      <div className={`flex hover:bg-wash ${isNarrow ? "items-start py-1" : "items-center"}`}>
        <Link
          data-strip={id}
          to={findingPath(id)}
          className={`min-w-0 flex-1 scroll-my-40 text-left ${isNarrow ? "block min-h-[76px]" : "flex min-h-[34px] items-center"}`}
        >
          <FindingName finding={finding} strip={strip} isNarrow={isNarrow} />
          {!isNarrow && <span className="sr-only">, {findingStandsWords(finding, today)}</span>}
          <ReachStrip strip={strip} scale={scale} today={today} hasWords={!isNarrow} />
        </Link>
        {!isOnPaper && (
          <RowLinks
            begin={beginPath(machine, "finding", id)}
            log={`/log/${encodeURIComponent(machine)}?closes=${encodeURIComponent(id)}`}
            what={`what puts right: ${findingTitle(finding.finding)}`}
            isNarrow={isNarrow}
          />
        )}
      </div>
    </li>
  );
});

function FindingName({
  finding,
  strip: { status, words, doubtful },
  isNarrow,
}: {
  readonly finding: FindingReckoning;
  readonly strip: Strip;
  readonly isNarrow: boolean;
}): ReactElement {
  const title = findingTitle(finding.finding);
  return (
    <span className={`flex items-center gap-2 ${isNarrow ? "flex-wrap" : "w-[22rem] shrink-0"}`}>
      <Cairn status={status} />
      <span className={`w-[4.25rem] shrink-0 text-fine ${WORD_INK[status]}`}>
        {findingStatusWord(finding)}
      </span>
      <span
        className={`min-w-0 ${isNarrow ? "flex-1" : "line-clamp-2 leading-[1.1]"}`}
        title={title}
      >
        <span className="text-fine text-quiet">found: </span>
        {title}
      </span>
      {isNarrow && (
        <span className="w-full pl-[6.4rem] text-fine">
          <strong>{words.strong}</strong> <span className="text-quiet">{words.rest}</span>
          {doubtful && <strong className="text-soon-text"> doubtful</strong>}
        </span>
      )}
    </span>
  );
}
