import type { PartLives } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { ShowMore } from "../../../ui/ShowMore.js";
import { figure, fullDate, spanOfDays } from "../../../words/format.js";
import type { Learned } from "../../../work/costs.worker.js";
import { correctionPath, learningPath } from "../../shared/paths.js";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { useAppSelector } from "../../../session/store.js";
import { FigureTable } from "./FigureTable.js";
import { lifeRows } from "./learningRows.js";
import { lifeWords } from "./learningWords.js";

const AT_FIRST = 15;
const MORE = 50;

const keyOf = ({ part, source, unit }: PartLives): string => `${part} ${source} ${unit ?? ""}`;

/** How long parts lasted from fitting to fitting, by number and by whom they came from. */
export function PartLivesTable({
  lives,
  parts,
  isOfOne,
}: {
  readonly lives: readonly PartLives[];
  readonly parts: Learned["parts"];
  /** Of one machine: which it was need not be said. */
  readonly isOfOne: boolean;
}): ReactElement {
  const hand = useTableFile();
  const [shown, setShown] = useState(AT_FIRST);
  const nameOf = (id: string): string => {
    const part = parts.find((one) => one.id === id);
    return part === undefined ? id : `${part.number} ${part.name}`;
  };
  return (
    <section aria-labelledby="lives" className="mt-8">
      <div className="mb-1 flex flex-wrap items-center gap-x-5 gap-y-2">
        <h2 id="lives" className="text-large font-bold">
          How long parts last
        </h2>
        <p className="text-quiet">
          {lives.length === 0
            ? "Too little is known: no part was fitted twice."
            : "From fitting to fitting by the meters, never from memory: the middle, least and most."}
        </p>
        {lives.length > 0 && (
          <TableButton onPress={() => hand("lives of parts", lifeRows(lives, nameOf))} />
        )}
      </div>
      {lives.length > 0 && (
        <LivesTable lives={lives.slice(0, shown)} nameOf={nameOf} isOfOne={isOfOne} />
      )}
      <ShowMore rest={lives.length - shown} onMore={() => setShown(shown + MORE)} />
    </section>
  );
}

function LivesTable({
  lives,
  nameOf,
  isOfOne,
}: {
  readonly lives: readonly PartLives[];
  readonly nameOf: (part: string) => string;
  readonly isOfOne: boolean;
}): ReactElement {
  return (
    <FigureTable
      label="How long parts last, as a table"
      columns={[
        { label: "Part" },
        { label: "from" },
        { label: "lives", isFigure: true },
        { label: "on the meter" },
        { label: "in time" },
        { label: isOfOne ? "fitted" : "on" },
      ]}
      rows={lives.map((one) => ({
        key: keyOf(one),
        cells: [
          nameOf(one.part),
          one.source,
          figure(one.lives.length),
          lifeWords(one),
          spanOfDays(Math.round(one.days)),
          isOfOne ? (
            <Fitted key="fitted" of={one} name={nameOf(one.part)} />
          ) : (
            <Machines key="on" of={one} name={nameOf(one.part)} />
          ),
        ],
      }))}
    />
  );
}

/** The entries that fitted parts which have been replaced since, by their days. */
function Fitted({ of, name }: { readonly of: PartLives; readonly name: string }): ReactElement {
  return (
    <span className="flex flex-wrap gap-x-3">
      {of.lives.map(({ machine, fitted, from }) => (
        <Link
          key={fitted}
          to={correctionPath(machine, "entries", fitted)}
          className="whitespace-nowrap text-clear underline"
        >
          {fullDate(from)}
          <span className="sr-only">
            , {name} {of.source}
          </span>
        </Link>
      ))}
    </span>
  );
}

const MOST_NAMED = 6;

/** The machines that parts lasted on. */
function Machines({ of, name }: { readonly of: PartLives; readonly name: string }): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const ids = [...new Set(of.lives.map(({ machine }) => machine))];
  return (
    <span className="flex flex-wrap gap-x-2">
      {ids.slice(0, MOST_NAMED).map((id) => (
        <Link key={id} to={learningPath(id)} className="font-mono font-bold hover:underline">
          {machines.find(({ machine }) => machine.id === id)?.machine.tag ?? id}
          <span className="sr-only">
            , {name} {of.source}
          </span>
        </Link>
      ))}
      {ids.length > MOST_NAMED && `and ${figure(ids.length - MOST_NAMED)} more`}
    </span>
  );
}
