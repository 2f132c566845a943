import type { BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { closedWords, findingPath, findingTitle } from "../../words/findingWords.js";
import type { FoundAround } from "./findingsModel.js";

const MOST = 100;

/** What was found once and is put right or closed, the latest first. */
export function ClosedFindings({
  machines,
  around: { findings, people },
}: {
  readonly machines: readonly BoardMachine[];
  readonly around: FoundAround;
}): ReactElement {
  const open = new Set<string>(
    machines.flatMap((machine) => machine.findings.map(({ finding }) => finding.id)),
  );
  const tagOf = new Map(machines.map(({ machine }) => [machine.id, machine.tag]));
  const closed = findings
    .filter(({ id }) => !open.has(id))
    .sort((one, other) => (one.found < other.found ? 1 : -1));
  if (closed.length === 0) return <p className="mt-3 text-quiet">Nothing has been closed yet.</p>;
  return (
    <ul className="mt-3">
      {closed.slice(0, MOST).map((finding) => (
        <li
          key={finding.id}
          className="grid gap-x-5 border-t border-hairline py-2 sm:grid-cols-[4rem_1fr]"
        >
          <span className="font-mono font-bold">{tagOf.get(finding.machine)}</span>
          <Link to={findingPath(finding.id)} className="block hover:underline max-sm:min-h-12">
            {findingTitle(finding)}
            <span className="block text-fine text-quiet">
              {finding.closed ? closedWords(finding.closed, people) : "Closed by work in the log"}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
