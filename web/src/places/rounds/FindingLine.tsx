import { dayOf, foundBefore, type DayNumber, type Finding, type Person } from "@yonderfell/core";
import { NotebookPen, Wrench } from "lucide-react";
import type { ReactElement } from "react";
import { Link, useSearchParams } from "react-router";
import { Stone } from "../../ui/Stone.js";
import { beginPath } from "../../words/beginPath.js";
import { findingStandsWords, findingTitle } from "../../words/findingWords.js";
import { counted, fullDate, spanOfDays } from "../../words/format.js";
import { money } from "../../words/money.js";
import { useCurrency } from "../shared/currency/useCurrency.js";
import type { ListedFinding } from "./findingsModel.js";

/** A finding in the list: how bad, on what, what it is, by when; the ways to begin or log what puts it right. */
export function FindingLine({
  machine: { machine },
  reckoned,
  today,
  people,
  beside,
}: ListedFinding & {
  readonly today: DayNumber;
  readonly people: readonly Person[];
  /** All that was ever found on the machine. */
  readonly beside: readonly Finding[];
}): ReactElement {
  const { finding } = reckoned;
  const title = findingTitle(finding);
  const [search] = useSearchParams();
  const opened = new URLSearchParams(search);
  opened.set("finding", finding.id);
  return (
    <li className="grid items-start gap-x-5 gap-y-0.5 border-t border-hairline py-2.5 sm:grid-cols-[7rem_13rem_1fr_auto_auto]">
      <span className="flex items-center gap-2">
        {finding.verdict ? <Stone verdict={finding.verdict} /> : null}
        {finding.verdict ?? "not judged"}
      </span>
      <Link to={`/yard/${encodeURIComponent(machine.id)}`} className="hover:underline">
        <span className="mr-2 font-mono font-bold">{machine.tag}</span> {machine.name}
        <span className="sr-only">, {title}</span>
      </Link>
      <Link to={`?${opened.toString()}`} className="block hover:underline max-sm:min-h-12">
        <strong className="font-semibold">{title}</strong>
        <Details {...{ finding, today, people }} />
        <span
          className={
            reckoned.status === "overdue" || reckoned.status === "due"
              ? "font-semibold text-due"
              : ""
          }
        >
          {findingStandsWords(reckoned, today)}
        </span>
        <Again finding={finding} findings={beside} />
      </Link>
      <Link
        to={beginPath(machine.id, "finding", finding.id)}
        aria-label={`Begin what puts right: ${title}`}
        className="flex min-h-10 items-center gap-1.5 text-clear max-sm:min-h-12"
      >
        <Wrench size={16} aria-hidden="true" />
        Begin
      </Link>
      <Link
        to={`/log/${encodeURIComponent(machine.id)}?closes=${encodeURIComponent(finding.id)}`}
        aria-label={`Log what puts right: ${title}`}
        className="flex min-h-10 items-center gap-1.5 text-clear max-sm:min-h-12"
      >
        <NotebookPen size={16} aria-hidden="true" />
        Log
      </Link>
    </li>
  );
}

/** How old it is and what shows it; what puts it right, what that costs, and who decided. */
function Details({
  finding,
  today,
  people,
}: {
  readonly finding: Finding;
  readonly today: DayNumber;
  readonly people: readonly Person[];
}): ReactElement {
  const currency = useCurrency();
  const { evidence, todo, cost, minutes, decidedBy, found } = finding;
  const age = today - dayOf(found);
  const who = people.find(({ id }) => id === decidedBy)?.name ?? decidedBy ?? "";
  const lines = [
    [age <= 0 ? "found today" : `found ${spanOfDays(age)} ago`, evidence ?? ""],
    [
      todo ? `to do: ${todo}` : "",
      minutes ? counted(minutes, "minute") : "",
      cost === null || cost === undefined ? "" : money(cost, currency),
      who === "" ? "" : `decided by ${who}`,
    ],
  ].map((parts) => parts.filter((part) => part !== "").join(" · "));
  return (
    <>
      {lines
        .filter((line) => line !== "")
        .map((line) => (
          <span key={line} className="block text-fine text-quiet">
            {line}
          </span>
        ))}
    </>
  );
}

/** That the same was found before within a year; nothing where it was not. */
export function Again({
  finding,
  findings,
}: {
  readonly finding: Finding;
  readonly findings: readonly Finding[];
}): ReactElement | null {
  const [last, ...more] = foundBefore(findings, finding);
  if (last === undefined) return null;
  const times = more.length === 0 ? "" : `, ${counted(more.length + 1, "time")} in a year`;
  return (
    <span className="block font-semibold text-soon-text">
      The same was found on {fullDate(dayOf(last.found))}
      {times}: look for its cause before it is put right again.
    </span>
  );
}
