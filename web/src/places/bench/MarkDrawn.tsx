import type { JobStep } from "@yonderfell/core";
import type { ReactElement } from "react";

type Mark = NonNullable<JobStep["mark"]>;

const MEANT: Readonly<Record<Mark, string>> = {
  stick: "a stick, wet to its upper mark",
  glass: "a sight glass, half full",
  overflow: "a level hole with a trickle",
  lines: "a reservoir, full to its upper line",
  shelf: "a tank, full to its shelf",
};

const LINE = { fill: "none", stroke: "var(--ink)", strokeWidth: 2 } as const;
const WET = { fill: "var(--clear)" } as const;

/** How the level looks when it is right. */
export function MarkDrawn({ mark }: { readonly mark: Mark }): ReactElement {
  return (
    <svg
      viewBox="0 0 96 64"
      role="img"
      aria-label={`Right: ${MEANT[mark]}`}
      className="h-16 w-24 shrink-0"
    >
      <MarkShape mark={mark} />
    </svg>
  );
}

function MarkShape({ mark }: { readonly mark: Mark }): ReactElement {
  switch (mark) {
    case "stick":
      return (
        <>
          <path d="M14 8a6 6 0 1 0 .1 0M14 20V60" {...LINE} />
          <rect x="40" y="6" width="12" height="52" {...LINE} />
          <rect x="41" y="22" width="10" height="35" {...WET} />
          <path d="M34 22h24M34 42h24" {...LINE} />
          <path d="M62 22l10-5v10z" fill="var(--ink)" />
        </>
      );
    case "glass":
      return (
        <>
          <path d="M20 32a28 28 0 0 0 56 0z" {...WET} />
          <circle cx="48" cy="32" r="28" {...LINE} />
          <path d="M10 32h76" {...LINE} strokeDasharray="4 4" />
        </>
      );
    case "overflow":
      return (
        <>
          <path d="M10 6v52h50V36M60 22V6" {...LINE} />
          <rect x="11" y="34" width="48" height="23" {...WET} />
          <path d="M60 34h10c6 0 8 8 8 22" {...LINE} stroke="var(--clear)" strokeWidth="3" />
        </>
      );
    case "lines":
      return (
        <>
          <path d="M22 8h52v50H22z" {...LINE} />
          <rect x="23" y="22" width="50" height="35" {...WET} />
          <path d="M16 22h14M16 42h14" {...LINE} />
          <path d="M78 22l10-5v10z" fill="var(--ink)" />
        </>
      );
    case "shelf":
      return (
        <>
          <path d="M12 6v52h72V6" {...LINE} />
          <rect x="13" y="28" width="70" height="29" {...WET} />
          <path d="M36 28h24v8H36z" fill="var(--ground)" stroke="var(--ink)" strokeWidth="2" />
        </>
      );
  }
}
