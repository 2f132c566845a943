import type { ReactElement } from "react";
import type { PlotPoint, PlotSpec } from "../shared/sums/plot.js";

const WIDE = 360;
const HIGH = 200;
const ROOM = { left: 8, right: 10, top: 30, foot: 38 } as const;
const FOOT = HIGH - ROOM.foot;
const ACROSS = WIDE - ROOM.left - ROOM.right;
/** Half the width of a bar, as a part of what there is for each. */
const BAR = 0.32;
/** Past this part of the width words stand before their mark. */
const RIGHT = 0.7;
/** Words over lines stay readable. */
const HALO = { stroke: "var(--raised)", strokeWidth: 3, paintOrder: "stroke" } as const;

/** Where figures stand in the drawing, in its own units; what lies outside stands at its edge. */
interface Scale {
  readonly across: (x: number) => number;
  readonly up: (y: number) => number;
}

function scaleOf({ x, y }: PlotSpec): Scale {
  return {
    across: (value) => ROOM.left + ((value - x.from) / (x.to - x.from)) * ACROSS,
    up: (value) => {
      const at = FOOT - ((value - y.from) / (y.to - y.from)) * (FOOT - ROOM.top);
      return Math.min(FOOT, Math.max(ROOM.top, at));
    },
  };
}

/** The drawing of an answer, in the paints of the page. */
export function Plot({ spec }: { readonly spec: PlotSpec }): ReactElement {
  const { x, y, line = [], bars = [], marks = [], rules = [] } = spec;
  const scale = scaleOf(spec);
  const at = (point: PlotPoint): string => `${scale.across(point.x)},${scale.up(point.y)}`;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={spec.words}
      className="w-full max-w-[30rem] text-[14px]"
      fill="var(--ink)"
    >
      <line x1={ROOM.left} x2={WIDE - ROOM.right} y1={FOOT} y2={FOOT} stroke="var(--rule)" />
      {bars.map((bar) => (
        <Bar key={bar.x} bar={bar} half={(ACROSS / bars.length) * BAR} scale={scale} />
      ))}
      {line.length > 1 && (
        <polyline
          points={line.map(at).join(" ")}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth="2"
        />
      )}
      {rules.map((rule) => (
        // Over bars there is no room for words: they stand in the corner.
        <Rule key={rule.label} rule={rule} scale={scale} hasWords={bars.length === 0} />
      ))}
      {bars.length > 0 && rules.length > 0 && (
        <text x={WIDE - ROOM.right} y={14} textAnchor="end">
          – – {rules.map(({ label }) => label).join(", ")}
        </text>
      )}
      {marks.map((mark) => (
        <Mark key={`${mark.label} ${mark.x}`} mark={mark} scale={scale} />
      ))}
      <text x={ROOM.left} y={14} fill="var(--quiet)">
        {y.words}
      </text>
      <text x={WIDE - ROOM.right} y={HIGH - 6} textAnchor="end" fill="var(--quiet)">
        {x.words}
      </text>
    </svg>
  );
}

type Of<Part extends "bars" | "marks" | "rules"> = NonNullable<PlotSpec[Part]>[number];

function Bar({
  bar: { x, y, label, under },
  half,
  scale: { across, up },
}: {
  readonly bar: Of<"bars">;
  readonly half: number;
  readonly scale: Scale;
}): ReactElement {
  return (
    <>
      <rect
        x={across(x) - half}
        width={half * 2}
        y={up(y)}
        height={FOOT - up(y)}
        fill="var(--clear)"
      />
      <text x={across(x)} y={up(y) - 4} textAnchor="middle" fontWeight="600" {...HALO}>
        {label}
      </text>
      <text x={across(x)} y={FOOT + 15} textAnchor="middle" fill="var(--quiet)">
        {under}
      </text>
    </>
  );
}

function Rule({
  rule: { y, label },
  scale: { up },
  hasWords,
}: {
  readonly rule: Of<"rules">;
  readonly scale: Scale;
  readonly hasWords: boolean;
}): ReactElement {
  return (
    <>
      <line
        x1={ROOM.left}
        x2={WIDE - ROOM.right}
        y1={up(y)}
        y2={up(y)}
        stroke="var(--due)"
        strokeWidth="1.5"
        strokeDasharray="6 4"
      />
      {hasWords && (
        <text x={ROOM.left} y={up(y) + 15} {...HALO}>
          {label}
        </text>
      )}
    </>
  );
}

function Mark({
  mark: { x, y, label, isHollow = false },
  scale: { across, up },
}: {
  readonly mark: Of<"marks">;
  readonly scale: Scale;
}): ReactElement {
  const isRight = across(x) > WIDE * RIGHT;
  return (
    <>
      <circle
        cx={across(x)}
        cy={up(y)}
        r="5"
        fill={isHollow ? "var(--raised)" : "var(--ink)"}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      <text
        x={across(x) + (isRight ? -9 : 9)}
        y={up(y) - 7}
        textAnchor={isRight ? "end" : "start"}
        fontWeight="600"
        {...HALO}
      >
        {label}
      </text>
    </>
  );
}
