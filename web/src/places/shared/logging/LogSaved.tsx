import type { BoardMachine, Entry } from "@yonderfell/core";
import { useEffect, useRef, type ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { Moves } from "../../../ui/board/Moves.js";
import { IN_DOUBT } from "../../../words/traceWords.js";
import { WhatFollows } from "./WhatFollows.js";
import type { Move } from "../../../words/moves.js";

/** What stands once the work is in the log: what was done and when it comes again. */
export function LogSaved({
  machine,
  tasks,
  moves,
  entry,
  seq,
  isCorrection,
  isDoubtful,
}: {
  readonly machine: BoardMachine;
  readonly tasks: readonly string[];
  readonly moves: readonly Move[];
  /** What was written, and with which change. */
  readonly entry: Entry | null;
  readonly seq: number;
  readonly isCorrection: boolean;
  readonly isDoubtful: boolean;
}): ReactElement {
  const heading = useRef<HTMLParagraphElement>(null);
  // The button that was pressed is gone: the focus goes to what came of it.
  useEffect(() => heading.current?.focus(), []);
  const done = moves.filter((move) => tasks.includes(move.task));
  const others = moves.filter((move) => !tasks.includes(move.task));
  const said = isCorrection
    ? "Corrected. The old entry stays in the history."
    : "Saved in the log.";
  return (
    <div className="max-w-[52rem] space-y-5" role="status">
      <p ref={heading} tabIndex={-1} className="text-large font-bold outline-none">
        {isDoubtful ? `${IN_DOUBT}.` : said}
      </p>
      <Moves moves={done} title="Next due" />
      <Moves moves={others} title="This also moves" />
      {entry !== null && <WhatFollows {...{ entry, seq, machine: machine.machine.id }} />}
      <div className="flex flex-wrap gap-3">
        <Link to="/ahead" className={PRIMARY_BUTTON}>
          Back to Ahead
        </Link>
        <Link to={`/yard/${encodeURIComponent(machine.machine.id)}`} className={QUIET_BUTTON}>
          {machine.machine.tag} {machine.machine.name}
        </Link>
      </div>
    </div>
  );
}
