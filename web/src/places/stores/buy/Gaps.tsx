import type { NeedGap } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { counted } from "../../../words/format.js";
import { gapWords } from "../stockWords.js";
import type { BuyWords } from "./buyModel.js";

/** So many gaps are named at once. */
const FIRST = 4;

/** What is not known of what is needed: named, never counted as nothing. */
export function Gaps({
  gaps,
  words,
}: {
  readonly gaps: readonly NeedGap[];
  readonly words: BuyWords;
}): ReactElement | null {
  const named = [
    ...new Map(gaps.map((gap) => [`${gap.machine} ${gap.code} ${gap.what}`, gap])).values(),
  ];
  if (named.length === 0) return null;
  const line = (gap: NeedGap): ReactElement => (
    <li key={`${gap.machine} ${gap.code} ${gap.what}`}>
      <Link
        to={`/yard/${encodeURIComponent(gap.machine)}/plate`}
        className="text-clear hover:underline"
      >
        {words.tagOf(gap.machine)}
      </Link>{" "}
      {gapWords(gap)}
    </li>
  );
  return (
    <section aria-labelledby="not-counted" className="mb-3 border-l-4 border-soon py-1 pl-3">
      <h2 id="not-counted" className="font-semibold text-soon-text">
        Not on the list, as it is not written down ({counted(named.length, "thing")})
      </h2>
      <ul>{named.slice(0, FIRST).map(line)}</ul>
      {named.length > FIRST && (
        <details open={false}>
          <summary className="cursor-pointer text-clear">and {named.length - FIRST} more</summary>
          <ul>{named.slice(FIRST).map(line)}</ul>
        </details>
      )}
    </section>
  );
}
