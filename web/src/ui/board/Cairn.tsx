import type { Status } from "@yonderfell/core";
import type { ReactElement } from "react";

const STONES: Readonly<Record<Status, number>> = {
  overdue: 3,
  due: 2,
  soon: 1,
  clear: 0,
  unknown: 0,
  finished: 0,
};

/** The colour of a state, as a text class. */
export const STATUS_INK: Readonly<Record<Status, string>> = {
  overdue: "text-overdue",
  due: "text-due",
  soon: "text-soon",
  clear: "text-clear",
  unknown: "text-quiet",
  finished: "text-quiet",
};

/** Each stone from the ground up: how wide, how high, where. */
const SHAPES = [
  { x: 1, y: 13, width: 16, height: 5 },
  { x: 3, y: 7, width: 12, height: 5 },
  { x: 5.5, y: 1.5, width: 7, height: 4.5 },
] as const;

/** A state as a small stack of stones: none standing to three. The word always stands beside it. */
export function Cairn({ status }: { readonly status: Status }): ReactElement {
  if (status === "finished") {
    return (
      <svg viewBox="0 0 18 19" className="h-[19px] w-[18px] shrink-0 text-quiet" aria-hidden="true">
        <path d="M1 16.5h16" stroke="currentColor" strokeWidth="2" strokeLinecap="round" />
      </svg>
    );
  }
  const standing = STONES[status];
  return (
    <svg
      viewBox="0 0 18 19"
      className={`h-[19px] w-[18px] shrink-0 ${STATUS_INK[status]}`}
      aria-hidden="true"
    >
      {SHAPES.map((shape, index) => {
        const stands = index < standing;
        return (
          <rect
            key={shape.y}
            {...shape}
            rx={shape.height / 2}
            fill={stands ? "currentColor" : "none"}
            stroke={stands ? "currentColor" : "var(--rule)"}
            strokeWidth="1"
            strokeDasharray={status === "unknown" ? "1.500 1.500" : undefined}
          />
        );
      })}
    </svg>
  );
}
