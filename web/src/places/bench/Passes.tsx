import type { JobState } from "@yonderfell/core";
import type { ReactElement } from "react";
import { formatted } from "../shared/atTheMachine/figures.js";

const HIGH = 96;
const FOOT = 74;
const ACROSS = 34;

/** The shares of old and new fluid after each pass: pairs of strokes, what came out hatched away. */
export function PassesDrawn({
  passes,
}: {
  readonly passes: JobState["passes"][number];
}): ReactElement {
  const { done, old, toGo, out, in: filled } = passes;
  const share = old === null ? null : Math.round((1 - old) * 100);
  const wide = Math.max(4, done + (toGo ?? 0)) * ACROSS + 8;
  const strokes = Array.from({ length: done + (toGo ?? 0) }, (_, at) => at);
  return (
    <div>
      <svg
        viewBox={`0 0 ${wide} ${HIGH}`}
        role="img"
        aria-label={`${done} passes done${toGo === null ? "" : `, ${toGo} to go`}; ${formatted(out)} L out, ${formatted(filled)} L in`}
        className="h-24 max-w-full"
        fill="var(--ink)"
      >
        {strokes.map((at) => {
          const isDone = at < done;
          return (
            <g key={at} transform={`translate(${at * ACROSS + 6} 0)`}>
              <rect
                {...{ x: 0, y: 14, width: 9, height: FOOT - 14 }}
                {...{ fill: isDone ? "var(--due)" : "none", stroke: "var(--due)" }}
                strokeDasharray={isDone ? undefined : "3 3"}
              />
              <rect
                {...{ x: 12, y: 14, width: 9, height: FOOT - 14 }}
                {...{ fill: isDone ? "var(--clear)" : "none", stroke: "var(--clear)" }}
                strokeDasharray={isDone ? undefined : "3 3"}
              />
              <text x="10" y={HIGH - 4} textAnchor="middle" className="text-[13px]">
                {at + 1}
              </text>
            </g>
          );
        })}
      </svg>
      {share !== null && (
        <p>
          <strong className="font-mono text-large">{share} %</strong> fresh
          {toGo !== null && toGo > 0 && `, ${toGo} more ${toGo === 1 ? "pass" : "passes"} to go`}
          {toGo === 0 && ", which is enough"}
        </p>
      )}
    </div>
  );
}
