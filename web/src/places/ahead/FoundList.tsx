import type { BoardMachine, DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import {
  findingPath,
  findingStandsWords,
  findingStatusWord,
  findingTitle,
} from "../../words/findingWords.js";

/** The open findings of the machines of a table, under it. */
export function FoundList({
  machines,
  today,
}: {
  readonly machines: readonly BoardMachine[];
  readonly today: DayNumber;
}): ReactElement | null {
  const found = machines.flatMap((machine) =>
    machine.findings.map((reckoned) => ({ machine: machine.machine, reckoned })),
  );
  if (found.length === 0) return null;
  return (
    <section aria-labelledby="found" className="mt-5">
      <h2 id="found" className="font-bold">
        Found on these machines
      </h2>
      <ul>
        {found.map(({ machine, reckoned }) => (
          <li
            key={reckoned.finding.id}
            className="grid gap-x-4 border-t border-hairline py-2 sm:grid-cols-[6rem_14rem_1fr_16rem]"
          >
            <span>{findingStatusWord(reckoned)}</span>
            <span>
              <span className="mr-2 font-mono font-bold">{machine.tag}</span>
              {machine.name}
            </span>
            <Link to={findingPath(reckoned.finding.id)} className="font-medium hover:underline">
              {findingTitle(reckoned.finding)}
            </Link>
            <span className="text-quiet">{findingStandsWords(reckoned, today)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
