import type { Wear } from "@yonderfell/core";
import type { ReactElement } from "react";
import { formatted } from "../shared/atTheMachine/figures.js";
import { WEAR_SIZE, wearScale } from "./wearScale.js";

const { wide, high, foot, left, top } = WEAR_SIZE;

/** The slope: what was read stands on its line of wear, with the limit across it and where they meet. */
export function WearDrawn({
  wear,
  unit,
}: {
  readonly wear: Wear;
  readonly unit: string;
}): ReactElement | null {
  const scale = wearScale(wear);
  const first = scale?.points[0];
  if (scale === null || first === undefined) return null;
  const { points, limit, ahead, meets } = scale;
  const told = points.map(({ value }) => formatted(value)).join(", ");
  return (
    <svg
      viewBox={`0 0 ${wide} ${high}`}
      role="img"
      aria-label={`Read ${told} ${unit}; limit ${formatted(limit.value)}`}
      className="w-full max-w-[30rem] text-[14px]"
      fill="var(--ink)"
    >
      <path d={`M${left} ${top}V${foot}H${wide}`} fill="none" stroke="var(--rule)" />
      <path d={`M${left} ${limit.y}H${wide}`} stroke="var(--due)" strokeWidth="2.5" />
      <text x={left - 6} y={limit.y + 5} textAnchor="end">
        {formatted(limit.value)}
      </text>
      <text x={left - 6} y={first.y + 5} textAnchor="end" fill="var(--quiet)">
        {formatted(first.value)}
      </text>
      {ahead && (
        <path
          d={`M${ahead[0].x} ${ahead[0].y}L${ahead[1].x} ${ahead[1].y}`}
          stroke="var(--clear)"
          strokeWidth="2"
          strokeDasharray="2 5"
        />
      )}
      <polyline
        points={points.map(({ x, y }) => `${x},${y}`).join(" ")}
        fill="none"
        stroke="var(--clear)"
        strokeWidth="2"
      />
      {points.map(({ x, y }) => (
        <circle key={x} cx={x} cy={y} r="5" fill="var(--clear)" />
      ))}
      {meets && (
        <circle
          {...{ cx: meets.x, cy: meets.y, r: 6 }}
          fill="var(--raised)"
          stroke="var(--due)"
          strokeWidth="3"
        />
      )}
    </svg>
  );
}
