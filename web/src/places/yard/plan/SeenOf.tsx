import type { BaselineDecision, BaselineFound, BaselineProposal } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { SelectField } from "../../../ui/fields.js";
import { Stone } from "../../../ui/Stone.js";
import { fullDate } from "../../../words/format.js";

/** What each proposal is called on its button. */
const DO_WORDS = {
  leave: "Leave it: tested sound",
  "drain and fill": "Drain and fill, now",
  flush: "Flush it, now",
  "do now": "Do it now",
} as const satisfies Record<BaselineProposal, string>;

/** After how many months it is looked at again. */
const AGAIN = [
  ["1", "look again in a month"],
  ["3", "look again in 3 months"],
  ["6", "look again in half a year"],
  ["12", "look again in a year"],
] as const;

/** What was seen, in one line for the record. */
const noteOf = ({ evidence }: BaselineFound): string =>
  evidence
    .filter(({ rank }) => rank !== "history")
    .map(({ what, found, verdict }) => `${what}: ${found === "" ? verdict : found}`)
    .join("; ");

/** What was seen of what a task starts from, what that speaks for, and the press that decides so. */
export function SeenOf({
  name,
  found,
  isOpen,
  onDecide,
}: {
  readonly name: string;
  readonly found: BaselineFound;
  /** Whether it is still to be decided. */
  readonly isOpen: boolean;
  readonly onDecide: (decision: BaselineDecision) => void;
}): ReactElement {
  const [months, setMonths] = useState("6");
  const { proposed, isConflict } = found;
  const note = noteOf(found);
  const decide = (): void =>
    onDecide(
      proposed === "leave"
        ? { code: "look-again", months: Number(months), note }
        : { code: "do-now", note: proposed === "do now" ? note : `${proposed}: ${note}` },
    );
  return (
    <div className="mt-1 border-l-4 border-hairline pl-3">
      <Lines found={found} />
      {isConflict && (
        <p className="font-semibold text-soon-text">
          These do not agree. The first that is not sound counts: level, colour, smell, particles,
          test, and papers last.
        </p>
      )}
      {isOpen && (
        <div className="mt-1 flex flex-wrap items-end gap-3">
          <button
            type="button"
            className={PRIMARY_BUTTON}
            aria-label={`${name}: ${DO_WORDS[proposed]}`}
            onClick={decide}
          >
            {DO_WORDS[proposed]}
          </button>
          {proposed === "leave" && (
            <SelectField
              label={`${name}, by when`}
              value={months}
              choices={AGAIN}
              onChange={setMonths}
            />
          )}
        </div>
      )}
    </div>
  );
}

/** What was seen, the first to count first. */
function Lines({ found: { evidence } }: { readonly found: BaselineFound }): ReactElement {
  return (
    <ul>
      {evidence.map((one) => (
        <li key={`${one.rank} ${one.what}`} className="flex flex-wrap items-center gap-x-2">
          <Stone verdict={one.verdict} />
          <span>
            <span className="text-quiet">{one.rank}: </span>
            {one.found === "" ? one.verdict : one.found}
          </span>
          <span className="text-fine text-quiet">
            {one.what === "" ? "by the log" : one.what}, {fullDate(one.on)}
          </span>
        </li>
      ))}
    </ul>
  );
}
