import type { BoardMachine } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../app/store.js";
import { firstTask } from "../../ui/boardOrder.js";
import { Cairn } from "../../ui/Cairn.js";
import { LongList } from "../../ui/LongList.js";
import { MeterLine } from "../../ui/MeterLine.js";
import { Page } from "../../ui/Page.js";
import { STATUS_WORD, stripWords } from "../../words/statusWords.js";

const byTag = new Intl.Collator(undefined, { numeric: true });
const idOf = (machine: BoardMachine): string => machine.machine.id;
const heightOf = (): number => 67;

/** The machines of the book, by their numbers. */
export default function Yard(): ReactElement {
  const board = useAppSelector((state) => state.board.machines);
  const machines = useMemo(
    () => [...board].sort((one, other) => byTag.compare(one.machine.tag, other.machine.tag)),
    [board],
  );
  return (
    <Page title="Yard">
      <div role="list">
        <LongList
          items={machines}
          keyOf={idOf}
          heightOf={heightOf}
          draw={(machine) => <YardRow machine={machine} />}
        />
      </div>
    </Page>
  );
}

function YardRow({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { id, tag, name, description } = machine.machine;
  const first = firstTask(machine);
  const words = first === null ? null : stripWords(first, machine, today);
  return (
    <div role="listitem" className="border-t border-hairline">
      <Link
        to={`/yard/${encodeURIComponent(id)}`}
        className="grid items-center gap-x-6 gap-y-1 py-3 hover:bg-wash sm:grid-cols-[4rem_minmax(12rem,1fr)_12rem_minmax(14rem,1fr)]"
      >
        <span className="font-mono text-xl font-extrabold">{tag}</span>
        <span>
          <span className="block font-bold">{name}</span>
          <span className="text-fine text-quiet">{description}</span>
        </span>
        <span>
          <MeterLine machine={machine} />
        </span>
        {first !== null && words !== null && (
          <span className="flex items-center gap-2">
            <Cairn status={first.status} />
            <span>
              <span className="block">
                {STATUS_WORD[first.status]}: <strong>{first.task.name}</strong>
              </span>
              <span className="text-fine text-quiet">
                {words.strong}, {words.rest}
              </span>
            </span>
          </span>
        )}
      </Link>
    </div>
  );
}
