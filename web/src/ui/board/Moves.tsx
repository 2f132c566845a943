import { ArrowRight } from "lucide-react";
import type { ReactElement } from "react";
import type { Move } from "../../words/moves.js";
import { Cairn } from "./Cairn.js";

/** The dates that a change moves, from what to what. */
export function Moves({
  moves,
  title,
}: {
  readonly moves: readonly Move[];
  readonly title: string;
}): ReactElement | null {
  if (moves.length === 0) return null;
  return (
    <div>
      <h3 className="text-fine font-semibold text-quiet">{title}</h3>
      <ul>
        {moves.map((move) => (
          <li
            key={move.task}
            className="grid grid-cols-[18px_1fr] items-center gap-x-2.5 border-t border-hairline py-1.5 sm:grid-cols-[18px_minmax(0,1fr)_8.5rem_15px_14.5rem]"
          >
            <Cairn status={move.status} />
            <span className="font-medium">{move.name}</span>
            <span className="text-quiet max-sm:col-start-2">{move.from}</span>
            <ArrowRight size={15} aria-label="moves to" className="text-quiet max-sm:hidden" />
            <strong className="max-sm:col-start-2">{move.to}</strong>
          </li>
        ))}
      </ul>
    </div>
  );
}
