import type { ReactElement } from "react";

const WIDTH = 52;
const HEIGHT = 72;
const TOP = 8;
const DEPTH = 58;

/** How full a container is: solid what is in it, ruled what the next drain brings, its brim a line; nothing drawn in it where it is not said how much it holds. The figure stands beside it. */
export function ContainerBar({
  full,
  next,
}: {
  readonly full: number | null;
  readonly next: number | null;
}): ReactElement {
  const height = (share: number): number => Math.min(1, Math.max(0, share)) * DEPTH;
  const tone = (full ?? 0) >= 1 ? "text-overdue" : (next ?? 0) > 1 ? "text-due" : "text-clear";
  const foot = TOP + DEPTH;
  return (
    <svg
      aria-hidden="true"
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={tone}
    >
      {full !== null && next !== null && (
        <path
          d={Array.from({ length: 24 }, (_, at) => foot - height(full) - at * 4 - 2)
            .filter((y) => y > foot - height(next))
            .map((y) => `M7 ${y} H${WIDTH - 7}`)
            .join(" ")}
          stroke="currentColor"
          strokeWidth={1.5}
        />
      )}
      {full !== null && (
        <rect
          x={6}
          y={foot - height(full)}
          width={WIDTH - 12}
          height={height(full)}
          fill="currentColor"
        />
      )}
      <path
        d={`M4 ${TOP - 4} V${foot + 2} H${WIDTH - 4} V${TOP - 4}`}
        fill="none"
        stroke={full === null ? "var(--rule)" : "var(--ink)"}
        strokeWidth={2.5}
        strokeDasharray={full === null ? "4 3" : undefined}
      />
      {full !== null && (
        <path
          d={`M2 ${TOP} H12 M${WIDTH - 12} ${TOP} H${WIDTH - 2}`}
          stroke="var(--ink)"
          strokeWidth={2}
        />
      )}
    </svg>
  );
}
