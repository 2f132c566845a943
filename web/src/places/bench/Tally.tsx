import { useId, type ReactElement } from "react";
import { formatted } from "../shared/atTheMachine/figures.js";

const WIDE = 250;
const HIGH = 236;
const TOP = 26;
const FOOT = 206;
const MEASURES = { out: 24, in: 150 } as const;
const BROAD = 62;
/** How full the taller of the two stands at most, so that there is room over it. */
const HEAD = 1.12;

/** What the two measures show, litres. */
interface TallyFigures {
  readonly out: number;
  readonly in: number;
  readonly expected: number | null;
  /** The next pour, as a ghost over what is in. */
  readonly next: number | null;
}

/** A round distance between marks on the scale, about four of them. */
function stepFor(most: number): number {
  const steps = [0.1, 0.25, 0.5, 1, 2, 2.5, 5, 10, 20, 50];
  return steps.find((step) => most / step <= 5) ?? 100;
}

/** What came out and what went in, side by side on one scale; the level that is expected over both, the next pour as a ghost. */
export function Tally({ out, in: filled, expected, next }: TallyFigures): ReactElement {
  const hatch = useId();
  const most = Math.max(out, filled + (next ?? 0), expected ?? 0, 0.5) * HEAD;
  const up = (litres: number): number =>
    FOOT - (Math.min(Math.max(litres, 0), most) / most) * (FOOT - TOP);
  const step = stepFor(most);
  const marks = Array.from({ length: Math.floor(most / step) + 1 }, (_, at) => at * step);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={tallyWords({ out, in: filled, expected, next })}
      className="h-auto w-full max-w-[15.5rem] text-[15px]"
      fill="var(--ink)"
    >
      <Hatching id={hatch} />
      <Measures {...{ out, filled, next, up, hatch }} />
      {marks.map((mark) => (
        <g key={mark}>
          <path d={`M96 ${up(mark)}h6M134 ${up(mark)}h6`} stroke="var(--quiet)" />
          <text x="118" y={up(mark) + 5} textAnchor="middle" fill="var(--quiet)">
            {formatted(mark)}
          </text>
        </g>
      ))}
      {expected !== null && (
        <>
          <path
            d={`M6 ${up(expected)}H${WIDE - 6}`}
            {...{ stroke: "var(--ink)", strokeWidth: 2, strokeDasharray: "7 5" }}
          />
          {/* The words stand on ground of their own: the walls of the measures would go through them. */}
          <rect
            {...{ x: 66, y: up(expected) - 20, width: 104, height: 17, fill: "var(--ground)" }}
          />
          <text {...{ x: 118, y: up(expected) - 6, textAnchor: "middle" }}>
            expected {formatted(expected)}
          </text>
        </>
      )}
      <text x={MEASURES.out + BROAD / 2} y={HIGH - 8} textAnchor="middle">
        out
      </text>
      <text x={MEASURES.in + BROAD / 2} y={HIGH - 8} textAnchor="middle">
        in
      </text>
    </svg>
  );
}

function Hatching({ id }: { readonly id: string }): ReactElement {
  return (
    <defs>
      <pattern
        id={id}
        width="7"
        height="7"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="7" height="7" fill="var(--raised)" />
        <rect width="3.2" height="7" fill="var(--due)" />
      </pattern>
    </defs>
  );
}

/** The two measures with what is in them, and the ghost of the next pour. */
function Measures({
  out,
  filled,
  next,
  up,
  hatch,
}: {
  readonly out: number;
  readonly filled: number;
  readonly next: number | null;
  readonly up: (litres: number) => number;
  readonly hatch: string;
}): ReactElement {
  return (
    <>
      <rect
        {...{ x: MEASURES.out, width: BROAD, y: up(out), height: FOOT - up(out) }}
        fill={`url(#${hatch})`}
      />
      <rect
        {...{ x: MEASURES.in, width: BROAD, y: up(filled), height: FOOT - up(filled) }}
        fill="var(--clear)"
      />
      {next !== null && (
        <rect
          {...{ x: MEASURES.in, width: BROAD, y: up(filled + next) }}
          height={up(filled) - up(filled + next)}
          {...{ fill: "var(--wash)", stroke: "var(--clear)", strokeDasharray: "3 3" }}
        />
      )}
      {Object.values(MEASURES).map((x) => (
        <path
          key={x}
          d={`M${x} ${TOP - 14}V${FOOT}H${x + BROAD}V${TOP - 14}`}
          {...{ fill: "none", stroke: "var(--ink)", strokeWidth: 2 }}
        />
      ))}
    </>
  );
}

/** The same in words. */
function tallyWords({ out, in: filled, expected, next }: TallyFigures): string {
  return [
    `out ${formatted(out)} L, in ${formatted(filled)} L`,
    ...(expected === null ? [] : [`expected ${formatted(expected)} L`]),
    ...(next === null ? [] : [`next pour ${formatted(next)} L`]),
  ].join(", ");
}
