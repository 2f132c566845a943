import type { BoardMachine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { Moves } from "../../ui/Moves.js";
import type { Move } from "../../words/moves.js";

/** What stands once the work is in the log: what was done and when it comes again. */
export function LogSaved({
  machine,
  tasks,
  moves,
  isCorrection,
}: {
  readonly machine: BoardMachine;
  readonly tasks: readonly string[];
  readonly moves: readonly Move[];
  readonly isCorrection: boolean;
}): ReactElement {
  const done = moves.filter((move) => tasks.includes(move.task));
  const others = moves.filter((move) => !tasks.includes(move.task));
  return (
    <div className="max-w-[52rem] space-y-5" role="status">
      <p className="text-large font-bold">
        {isCorrection ? "Corrected. The old entry stays in the history." : "Saved in the log."}
      </p>
      <Moves moves={done} title="Next due" />
      <Moves moves={others} title="This also moves" />
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
