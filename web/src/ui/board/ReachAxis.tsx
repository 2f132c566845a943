import type { ReactElement } from "react";
import { reachMarks, type ReachScale } from "./reachScale.js";

/** The time scale over the reach. */
export function ReachAxis({
  scale,
  left,
}: {
  readonly scale: ReachScale;
  readonly left: number;
}): ReactElement {
  return (
    <div className="sticky top-0 z-10 bg-ground pt-1" aria-hidden="true">
      <svg
        width={scale.width}
        height="24"
        style={{ marginLeft: left }}
        className="block overflow-visible text-[12px]"
      >
        {reachMarks(scale).map(({ offset, label }) => {
          const x = scale.x(offset);
          const isLast = offset === scale.ahead;
          return (
            <g key={offset}>
              <line x1={x} x2={x} y1="18" y2="24" stroke="var(--rule)" />
              <text x={x} y="14" textAnchor={isLast ? "end" : "middle"} fill="var(--quiet)">
                {label}
              </text>
            </g>
          );
        })}
        <line
          x1={scale.todayX}
          x2={scale.todayX}
          y1="17"
          y2="24"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        <text x={scale.todayX} y="14" textAnchor="middle" fontWeight="700" fill="var(--ink)">
          today
        </text>
      </svg>
    </div>
  );
}
