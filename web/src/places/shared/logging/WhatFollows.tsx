import { workFollows, type Entry, type MachineId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useShelves } from "../../../session/useShelves.js";
import { useWorkSource } from "../../../session/useWorkSource.js";
import { ShelfQuestions } from "./ShelfQuestions.js";
import { capacityLines, stockLines, wasteLines, type FollowsLine } from "./followsWords.js";

/** What follows from an entry beside the dates it moves: shelves, waste, capacities, findings put right, reminders reset. */
export function WhatFollows({
  entry,
  seq,
  machine,
}: {
  readonly entry: Entry;
  readonly seq: number;
  readonly machine: MachineId;
}): ReactElement | null {
  const { shelves, seq: reckoned, failure } = useShelves();
  const source = useWorkSource(machine);
  if (source === undefined || source === null) return null;
  if (failure !== "") {
    return <p className="text-due">What it takes from the shelves was not reckoned: {failure}</p>;
  }
  if (shelves === null || reckoned < seq) {
    return <p className="text-quiet">Reckoning what it takes from the shelves…</p>;
  }
  const { stock, waste, containers } = shelves;
  const { entries, findings } = source.book;
  const follows = workFollows(entry, { fluids: source.plate.fluids, entries, stock, waste });
  const closed = findings.filter(({ id }) => (entry.closes ?? []).includes(id));
  const codes = (entry.reminders ?? []).filter(({ fact }) => fact === "reset");
  const lists: readonly (readonly [string, readonly FollowsLine[]])[] = [
    ["Shelves", stockLines(follows, source)],
    ["Waste", wasteLines(follows, containers)],
    ["Learned", capacityLines(follows)],
    ["Findings put right", closed.map(({ what, kind }) => plain(what ?? kind ?? ""))],
    ["Reminders reset", codes.map(({ code }) => plain(code))],
  ];
  return (
    <>
      <ShelfQuestions entry={entry} source={source} />
      {lists.map(
        ([title, lines]) => lines.length > 0 && <Lines key={title} title={title} lines={lines} />,
      )}
    </>
  );
}

const plain = (of: string): FollowsLine => ({ of, now: "", look: "" });

function Lines({
  title,
  lines,
}: {
  readonly title: string;
  readonly lines: readonly FollowsLine[];
}): ReactElement {
  return (
    <div>
      <h3 className="text-fine font-semibold text-quiet">{title}</h3>
      <ul>
        {lines.map(({ of, now, look }) => (
          <li
            key={of}
            className="grid gap-x-4 border-t border-hairline py-1.5 sm:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]"
          >
            <span className="font-medium">{of}</span>
            <span className="tabular-nums">
              {now}
              {look !== "" && <strong className="block text-due">{look}</strong>}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}
