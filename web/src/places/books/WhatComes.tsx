import type { MergePlan, RecordChange } from "@yonderfell/core";
import type { ReactElement } from "react";
import { counted } from "../../words/format.js";
import {
  changeCounts,
  differenceWords,
  fieldWords,
  recordWords,
} from "../../words/handOverWords.js";

const SHOWN = 15;

/** What a hand-over brings without a question: what is added, and what only the other copy changed. */
export function WhatComes({
  plan,
  names,
}: {
  readonly plan: MergePlan;
  readonly names: ReadonlyMap<string, string>;
}): ReactElement {
  return (
    <>
      <Changes title="Added" changes={plan.added} names={names} />
      <Changes title="Changed there only" changes={plan.changed} names={names} />
      <Changes title="Deleted there" changes={plan.removed} names={names} />
      {plan.fields.length > 0 && (
        <p>
          Also taken: the {plan.fields.map((field) => fieldWords(field.key)).join(", ")} of the
          book.
        </p>
      )}
    </>
  );
}

function Changes({
  title,
  changes,
  names,
}: {
  readonly title: string;
  readonly changes: readonly RecordChange[];
  readonly names: ReadonlyMap<string, string>;
}): ReactElement | null {
  if (changes.length === 0) return null;
  const rest = changes.length - SHOWN;
  return (
    <section aria-label={title}>
      <h2 className="text-large font-bold">
        {title}: <span className="font-normal">{changeCounts(changes)}</span>
      </h2>
      <ul className="mt-1">
        {changes.slice(0, SHOWN).map((change) => (
          <li
            key={`${change.section} ${change.id}`}
            className="border-t border-hairline py-1 break-words"
          >
            {recordWords(change.section, change.before ?? change.after ?? {}, names)}
            <span className="text-quiet"> {differenceWords(change, names)}</span>
          </li>
        ))}
      </ul>
      {rest > 0 && <p className="text-quiet">and {counted(rest, "more", "more")}</p>}
    </section>
  );
}
