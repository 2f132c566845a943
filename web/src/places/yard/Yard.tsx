import type { BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../app/store.js";
import { mostPressing } from "../../ui/boardOrder.js";
import { Cairn } from "../../ui/Cairn.js";
import { MeterLine } from "../../ui/MeterLine.js";
import { Page } from "../../ui/Page.js";
import { STATUS_WORD, stripWords } from "../../words/statusWords.js";

/** The machines of the book. */
export default function Yard(): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  return (
    <Page title="Yard">
      <ul>
        {machines.map((machine) => (
          <YardRow key={machine.machine.id} machine={machine} />
        ))}
      </ul>
    </Page>
  );
}

function YardRow({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { id, tag, name, description } = machine.machine;
  const first = mostPressing([machine])[0]?.task;
  const words = first === undefined ? null : stripWords(first, machine, today);
  return (
    <li className="border-t border-hairline">
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
        {first !== undefined && words !== null && (
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
    </li>
  );
}
