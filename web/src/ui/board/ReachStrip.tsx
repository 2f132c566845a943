import type { DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { STATUS_INK } from "./Cairn.js";
import { reachMarks, type ReachScale } from "./reachScale.js";
import type { Strip } from "./strip.js";
import { stripGeometry, type StripGeometry } from "./stripGeometry.js";

const HEIGHT = 34;
const BODY_TOP = 8;
const BODY_HEIGHT = 17;
const MIDDLE = BODY_TOP + BODY_HEIGHT / 2;
const HAIRLINE_Y = BODY_TOP + BODY_HEIGHT + 4;
/** About the width of a letter, for placing words before they are drawn. */
const LETTER = 7.4;
const DOUBTFUL = "doubtful";

/** The fades and hatchings that strips refer to; once on a page. */
export function ReachPaints(): ReactElement {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        {(["clear", "soon", "due"] as const).map((name) => (
          <linearGradient key={name} id={`fade-${name}`}>
            <stop offset="0" stopColor={`var(--${name})`} stopOpacity="1" />
            <stop offset="1" stopColor={`var(--${name})`} stopOpacity="0.12" />
          </linearGradient>
        ))}
        {(["due", "overdue"] as const).map((name) => (
          <pattern
            key={name}
            id={`hatch-${name}`}
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width="6" height="6" fill={`var(--${name})`} opacity="0.25" />
            <rect width="3.2" height="6" fill={`var(--${name})`} />
          </pattern>
        ))}
      </defs>
    </svg>
  );
}

const paths = new WeakMap<ReachScale, string>();

/** The marks of the scale as upright lines, worked out once for all strips. */
function marksPath(scale: ReachScale): string {
  const known = paths.get(scale);
  if (known !== undefined) return known;
  const path = reachMarks(scale)
    .map(({ offset }) => `M${scale.x(offset)} 0V${HEIGHT}`)
    .join("");
  paths.set(scale, path);
  return path;
}

/** The reach of one task or finding: how far it still carries, and what stands at its end. */
export function ReachStrip({
  strip,
  scale,
  today,
  hasWords,
}: {
  readonly strip: Strip;
  readonly scale: ReachScale;
  readonly today: DayNumber;
  /** Whether the words stand in the drawing rather than beside the task's name. */
  readonly hasWords: boolean;
}): ReactElement {
  const { words } = strip;
  const short = words.strong.length + (strip.doubtful ? DOUBTFUL.length + 1 : 0);
  const whole = short + words.rest.length + 2;
  const letter = hasWords ? LETTER : 0;
  const room = { short: short * letter, whole: whole * letter };
  const geometry = stripGeometry(strip, scale, today, room);
  return (
    <svg
      width={scale.width}
      height={HEIGHT}
      className={`block ${STATUS_INK[strip.status]}`}
      aria-hidden="true"
      focusable="false"
    >
      <path d={marksPath(scale)} stroke="var(--hairline)" />
      <Wick wick={geometry.wick} todayX={scale.todayX} />
      <Body geometry={geometry} status={strip.status} scale={scale} />
      <Hairlines geometry={geometry} todayX={scale.todayX} />
      <line
        x1={scale.todayX}
        x2={scale.todayX}
        y1="0"
        y2={HEIGHT}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {hasWords && <Words geometry={geometry} strip={strip} />}
    </svg>
  );
}

function Wick({
  wick,
  todayX,
}: {
  readonly wick: StripGeometry["wick"];
  readonly todayX: number;
}): ReactElement | null {
  if (wick === null) return null;
  return (
    <g stroke="var(--rule)" fill="var(--rule)">
      <line
        x1={wick.to}
        x2={todayX}
        y1={MIDDLE}
        y2={MIDDLE}
        strokeWidth="1"
        strokeDasharray={wick.isEnd ? undefined : "2 2"}
      />
      {wick.isEnd && !wick.isAssumed && <circle cx={wick.to} cy={MIDDLE} r="2.25" stroke="none" />}
      {wick.isAssumed && (
        <circle cx={wick.to + 3} cy={MIDDLE} r="3" fill="var(--ground)" strokeWidth="1.25" />
      )}
    </g>
  );
}

interface BodyProps {
  readonly geometry: StripGeometry;
  readonly status: Strip["status"];
  readonly scale: ReachScale;
}

function Body(props: BodyProps): ReactElement | null {
  if (props.geometry.overFrom !== null)
    return <BodyOver {...props} from={props.geometry.overFrom} />;
  const { solidTo, fadeTo } = props.geometry;
  if (solidTo === null || fadeTo === null) return null;
  return <BodyAhead {...props} solidTo={solidTo} fadeTo={fadeTo} />;
}

/** A mark across the body, a little higher than it. */
function Tick({ x, width }: { readonly x: number; readonly width: number }): ReactElement {
  const reach = { y1: BODY_TOP - 2, y2: BODY_TOP + BODY_HEIGHT + 2 };
  return <line x1={x} x2={x} {...reach} stroke="currentColor" strokeWidth={width} />;
}

/** The hatched body to the left of today, as long as the task is over. */
function BodyOver({ status, scale, from }: BodyProps & { readonly from: number }): ReactElement {
  const paint = status === "overdue" ? "url(#hatch-overdue)" : "url(#hatch-due)";
  const width = Math.max(scale.todayX - from, 3);
  return (
    <g>
      <rect x={from} y={BODY_TOP} width={width} height={BODY_HEIGHT} fill={paint} />
      <Tick x={from} width={2} />
    </g>
  );
}

/** The body to the right of today: solid to the early date, fading to the late one, pointed where it runs on. */
function BodyAhead({
  geometry: { tick, isBeyond, graceTo, isHard },
  status,
  scale: { todayX, width },
  solidTo,
  fadeTo,
}: BodyProps & { readonly solidTo: number; readonly fadeTo: number }): ReactElement {
  const fade = status === "soon" || status === "due" ? status : "clear";
  const end = isBeyond ? width : solidTo;
  const half = BODY_HEIGHT / 2 + 1;
  return (
    <g>
      <rect
        x={todayX}
        y={BODY_TOP}
        width={Math.max(end - todayX, 0)}
        height={BODY_HEIGHT}
        fill="currentColor"
      />
      {fadeTo > solidTo && !isBeyond && (
        <rect
          x={solidTo}
          y={BODY_TOP}
          width={fadeTo - solidTo}
          height={BODY_HEIGHT}
          fill={`url(#fade-${fade})`}
        />
      )}
      {tick !== null && graceTo !== null && (
        <path
          d={`M${tick} ${BODY_TOP + 0.5} H${graceTo} V${BODY_TOP + BODY_HEIGHT - 0.5} H${tick}`}
          fill="none"
          stroke="currentColor"
          strokeDasharray="3 2"
        />
      )}
      {tick !== null && <Tick x={tick} width={isHard ? 5 : 2.5} />}
      {isBeyond && (
        <path
          d={`M${width - 10} ${BODY_TOP - 1} l6 ${half} l-6 ${half} h12 v-${BODY_HEIGHT + 2} z`}
          fill="var(--ground)"
        />
      )}
    </g>
  );
}

function Hairlines({
  geometry,
  todayX,
}: {
  readonly geometry: StripGeometry;
  readonly todayX: number;
}): ReactElement {
  return (
    <g stroke="currentColor" strokeWidth="1" opacity="0.8">
      {geometry.hairlines.map(({ to, isBeyond }, index) => (
        <g key={index}>
          <line
            x1={todayX}
            x2={to}
            y1={HAIRLINE_Y}
            y2={HAIRLINE_Y}
            strokeDasharray={isBeyond ? "4 3" : undefined}
          />
          {!isBeyond && (
            <line x1={to} x2={to} y1={HAIRLINE_Y - 3} y2={HAIRLINE_Y + 3} strokeWidth="1.5" />
          )}
        </g>
      ))}
    </g>
  );
}

const STRONG_FILL: Readonly<Record<Strip["status"], string>> = {
  overdue: "var(--overdue)",
  due: "var(--due)",
  soon: "var(--ink)",
  clear: "var(--ink)",
  unknown: "var(--quiet)",
  finished: "var(--quiet)",
};

function Words({
  geometry,
  strip: { status, doubtful, words },
}: {
  readonly geometry: StripGeometry;
  readonly strip: Strip;
}): ReactElement {
  const { strong, rest } = words;
  const { x, isInside, isWhole } = geometry.label;
  const strongFill = isInside ? "var(--on-body)" : STRONG_FILL[status];
  const restFill = isInside ? "var(--on-body)" : "var(--quiet)";
  return (
    <text
      x={x}
      y={MIDDLE + 4.5}
      textAnchor={isInside ? "end" : "start"}
      fontSize="13.5"
      paintOrder="stroke"
      stroke={isInside ? "none" : "var(--ground)"}
      strokeWidth={isInside ? 0 : 4}
    >
      <tspan fontWeight="700" fill={strongFill}>
        {strong}
      </tspan>
      {isWhole && (
        <tspan dx="8" fill={restFill}>
          {rest}
        </tspan>
      )}
      {doubtful && (
        <tspan dx="8" fontWeight="700" fill={isInside ? "var(--on-body)" : "var(--soon-text)"}>
          {DOUBTFUL}
        </tspan>
      )}
    </text>
  );
}
