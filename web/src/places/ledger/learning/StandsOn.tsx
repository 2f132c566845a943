import type { DayNumber, EntryId, Evidence, MachineId, Proposal, TurnSeen } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { figure, fullDate } from "../../../words/format.js";
import { findingPath } from "../../../words/findingWords.js";
import { correctionPath, systemPath } from "../../shared/paths.js";
import { ConsumptionTable } from "./ConsumptionTable.js";
import { EVIDENCE_LINK, evidenceWords, turnWords } from "./learningWords.js";

/** The records a proposal stands on, to be opened. */
export function StandsOn({ proposal }: { readonly proposal: Proposal }): ReactElement {
  return (
    <details className="mt-1 print:hidden">
      <summary className="cursor-pointer text-clear underline">What it stands on</summary>
      <div className="mt-1 border-l-2 border-hairline pl-3">
        <Records proposal={proposal} />
      </div>
    </details>
  );
}

function Records({ proposal }: { readonly proposal: Proposal }): ReactElement {
  const { machine } = proposal.subject;
  switch (proposal.about) {
    case "interval":
      return (
        <ul>
          {proposal.seen.turns.map((turn) => (
            <li key={turn.entry} className="py-1">
              <EntryLink machine={machine} entry={turn.entry} words={fullDate(turn.day)} />,{" "}
              {turnWords(turn, proposal.seen)}
              <EvidenceList machine={machine} turn={turn} />
            </li>
          ))}
        </ul>
      );
    case "consumption":
      return <ConsumptionTable machine={machine} trend={proposal.trend} />;
    case "capacity":
      return (
        <Entries
          machine={machine}
          entries={proposal.beside.fills.map(({ litres, ...one }) => ({
            ...{ ...one, words: `${figure(litres, 2)} L` },
          }))}
        />
      );
    case "minutes":
      return (
        <Entries
          machine={machine}
          entries={proposal.beside.done.map(({ minutes, ...one }) => ({
            ...{ ...one, words: `${figure(minutes)} min` },
          }))}
        />
      );
  }
}

/** What was seen of a turn, each with the way to its record. */
export function EvidenceList({
  machine,
  turn: { day, evidence },
}: {
  readonly machine: MachineId;
  readonly turn: TurnSeen;
}): ReactElement {
  return (
    <ul className="pl-4">
      {evidence.map((seen, at) => (
        <li key={`${seen.kind} ${String(at)}`}>
          {evidenceWords(seen)}{" "}
          <Link to={recordOf(machine, seen)} className="text-clear underline">
            {EVIDENCE_LINK[seen.kind]}
            <span className="sr-only">
              : {evidenceWords(seen)}, {fullDate(day)}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

function recordOf(machine: MachineId, seen: Evidence): string {
  switch (seen.kind) {
    case "measure":
    case "test":
      return correctionPath(machine, "entries", seen.entry);
    case "finding":
      return findingPath(seen.finding);
    case "sample":
      return systemPath(machine, seen.sample.fluid);
  }
}

function EntryLink({
  machine,
  entry,
  words,
}: {
  readonly machine: MachineId;
  readonly entry: EntryId;
  readonly words: string;
}): ReactElement {
  return (
    <Link to={correctionPath(machine, "entries", entry)} className="text-clear underline">
      {words}
    </Link>
  );
}

function Entries({
  machine,
  entries,
}: {
  readonly machine: MachineId;
  readonly entries: readonly {
    readonly entry: EntryId;
    readonly day: DayNumber;
    /** What it says. */
    readonly words: string;
  }[];
}): ReactElement {
  return (
    <ul>
      {entries.map(({ entry, day, words }, at) => (
        <li key={`${entry} ${String(at)}`} className="tabular-nums">
          <EntryLink machine={machine} entry={entry} words={fullDate(day)} />: {words}
        </li>
      ))}
    </ul>
  );
}
