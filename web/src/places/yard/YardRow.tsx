import { firstTask, type BoardMachine, type Place } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../session/store.js";

import { Cairn } from "../../ui/board/Cairn.js";
import { MeterLine } from "../../ui/board/MeterLine.js";
import { standingOf } from "../../words/standingWords.js";
import { STATUS_WORD, stripWords } from "../../words/statusWords.js";
import { placeName } from "./yardModel.js";
import { machinePath } from "../shared/paths.js";

/** A machine of the Yard in a line: which, where, what its meters show, what comes first. */
export function YardRow({
  machine,
  places,
  isChosen,
  onChoose,
}: {
  readonly machine: BoardMachine;
  readonly places: readonly Place[];
  /** Null where machines are not being chosen. */
  readonly isChosen: boolean | null;
  readonly onChoose: () => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { id, tag, name, kind } = machine.machine;
  const standing = standingOf(machine, today);
  const where = [kind, placeName(machine, places)].filter((part) => part !== "").join(", ");
  return (
    <div role="listitem" className="flex border-t border-hairline">
      {isChosen !== null && (
        <label className="grid w-12 shrink-0 place-items-center">
          <input
            type="checkbox"
            className="size-5 accent-(--clear)"
            aria-label={`Choose ${tag} ${name}`}
            checked={isChosen}
            onChange={onChoose}
          />
        </label>
      )}
      <Link
        to={machinePath(id)}
        className="grid flex-1 items-center gap-x-6 gap-y-0.5 py-1.5 hover:bg-wash lg:min-h-13 lg:grid-cols-[3.5rem_minmax(11rem,17rem)_13rem_minmax(14rem,1fr)_7rem]"
      >
        <span className="font-mono text-large font-extrabold">{tag}</span>
        <span className="leading-tight">
          <span className="block font-bold">{name}</span>
          <span className="text-fine text-quiet">{where}</span>
        </span>
        <span className="leading-tight">
          <MeterLine machine={machine} />
        </span>
        <First machine={machine} />
        <span className={standing === "out of service" ? "font-bold text-overdue" : "text-quiet"}>
          {standing}
        </span>
      </Link>
    </div>
  );
}

function First({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const first = firstTask(machine);
  if (first === null) return <span className="text-quiet">no tasks yet</span>;
  const words = stripWords(first, machine, today);
  return (
    <span className="flex items-center gap-2.5 leading-tight">
      <Cairn status={first.status} />
      <span>
        <span className="block">
          {STATUS_WORD[first.status]}: <strong className="font-semibold">{first.task.name}</strong>
        </span>
        <span className="text-fine text-quiet">
          {words.strong}, {words.rest}
        </span>
      </span>
    </span>
  );
}
