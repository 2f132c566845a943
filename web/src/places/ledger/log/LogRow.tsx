import {
  dayOf,
  entryCost,
  minutesWorked,
  wholeCost,
  type BoardMachine,
  type Entry,
  type EntryNames,
} from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { Link } from "react-router";
import { entryTitle } from "../../../words/entryWords.js";
import { dialFigureWithUnit, figure, fullDate, sentence } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { fluidWords, measureWords, partWords } from "../../../words/workWords.js";
import { correctionPath, machinePath } from "../../shared/paths.js";
import type { LoggedRow } from "./useLogPages.js";
import type { LogColumn } from "./useLogAsked.js";

/** What the dials showed with an entry: `131 384 km`. */
function dialsOf(entry: Entry, machine: BoardMachine | undefined): string[] {
  return (machine?.machine.meters ?? []).flatMap(({ id, unit }) => {
    const read = entry.meters?.[id];
    return read === undefined ? [] : [dialFigureWithUnit(read, unit)];
  });
}

/** An entry of the log in one line; nothing but its place while it is read. */
export function LogRow({
  row,
  machines,
  template,
  columns,
}: {
  /** Undefined until it is read. */
  readonly row: LoggedRow | undefined;
  readonly machines: readonly BoardMachine[];
  readonly template: string;
  readonly columns: ReadonlySet<LogColumn>;
}): ReactElement {
  if (row === undefined) {
    return <div role="row" className="min-h-[46px] border-b border-hairline" />;
  }
  const { entry, names } = row;
  const machine = machines.find((one) => one.machine.id === entry.machine);
  const nameOf = (id: string): string =>
    machine?.tasks.find(({ task }) => task.id === id)?.task.name ?? id;
  const title = sentence(entryTitle(entry, nameOf) || "note");
  return (
    <div
      role="row"
      className="grid gap-x-4 border-b border-hairline py-1.5 max-md:grid-cols-1!"
      style={{ gridTemplateColumns: template }}
    >
      <Cell look="whitespace-nowrap tabular-nums">
        <Link to={correctionPath(entry.machine, "entries", entry.id)} className="hover:underline">
          {fullDate(dayOf(entry.date))}
          <span className="sr-only">
            , correct: {machine?.machine.tag} {title}
          </span>
        </Link>
      </Cell>
      <Cell>
        <Link to={machinePath(entry.machine)} className="hover:underline">
          <span className="mr-1 font-mono font-bold">{machine?.machine.tag}</span>{" "}
          {machine?.machine.name ?? entry.machine}
          <span className="sr-only">
            , {fullDate(dayOf(entry.date))}: {title}
          </span>
        </Link>
      </Cell>
      <Cell>
        <strong className="font-semibold">{title}</strong>
        {typeof entry.note === "string" && <span className="text-quiet"> {entry.note}</span>}
      </Cell>
      <MoreCells {...{ entry, machine, names, columns }} />
    </div>
  );
}

/** The columns that can be left out. */
function MoreCells({
  entry,
  machine,
  names,
  columns,
}: {
  readonly entry: Entry;
  readonly machine: BoardMachine | undefined;
  readonly names: EntryNames;
  readonly columns: ReadonlySet<LogColumn>;
}): ReactElement {
  const minutes = minutesWorked(entry);
  const cost = entryCost(entry);
  const whole = wholeCost(cost);
  const nameIn = (known: ReadonlyMap<string, string>) => (id: string) => known.get(id) ?? id;
  const person = nameIn(names.person);
  const called = {
    fluid: nameIn(names.fluid),
    product: nameIn(names.product),
    part: nameIn(names.part),
  };
  const used = [
    ...fluidWords(entry, called),
    ...partWords(entry, called),
    ...(entry.measures ?? []).map(measureWords),
  ];
  const people = new Set((entry.work ?? []).map((one) => person(one.person)));
  return (
    <>
      {columns.has("amounts") && <Cell look="tabular-nums">{used.join(" · ")}</Cell>}
      {columns.has("who") && <Cell>{[...people].join(", ")}</Cell>}
      {columns.has("dials") && (
        <Cell look="tabular-nums">{dialsOf(entry, machine).join(" · ")}</Cell>
      )}
      {columns.has("minutes") && (
        <Cell look="text-right tabular-nums max-md:text-left">
          {minutes > 0 && (
            <>
              {figure(minutes)}
              <span className="md:sr-only"> min</span>
            </>
          )}
        </Cell>
      )}
      {columns.has("cost") && (
        <Cell look="text-right tabular-nums max-md:text-left">
          {whole !== 0 && money(whole, "")}
          {entry.warranty === true && <span className="block text-fine text-quiet">warranty</span>}
          {cost.missing > 0 && <span className="block text-fine text-quiet">no price</span>}
        </Cell>
      )}
    </>
  );
}

function Cell({
  look = "",
  children,
}: {
  readonly look?: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <span role="cell" className={`min-w-0 ${look}`}>
      {children}
    </span>
  );
}
