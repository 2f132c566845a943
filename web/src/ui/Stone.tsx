import type { ReactElement } from "react";

/** What a stone can say: how bad something is. */
export type StoneVerdict = "sound" | "watch" | "attend" | "stop";

const INK: Readonly<Record<StoneVerdict, string>> = {
  sound: "text-clear",
  watch: "text-soon",
  attend: "text-due",
  stop: "text-overdue",
};

/** A verdict as one stone on a line: lying, tilted, stood on end through it, or between two bars. Its word always stands beside it. */
export function Stone({ verdict }: { readonly verdict: StoneVerdict }): ReactElement {
  return (
    <svg viewBox="0 0 24 20" className={`h-5 w-6 shrink-0 ${INK[verdict]}`} aria-hidden="true">
      <path d="M1 15.5h22" stroke="var(--rule)" strokeWidth="1.5" />
      <StoneShape verdict={verdict} />
    </svg>
  );
}

function StoneShape({ verdict }: { readonly verdict: StoneVerdict }): ReactElement {
  switch (verdict) {
    case "sound":
      return <rect x="5" y="9" width="14" height="6" rx="3" fill="currentColor" />;
    case "watch":
      return (
        <rect
          x="5"
          y="7.5"
          width="14"
          height="6"
          rx="3"
          fill="currentColor"
          transform="rotate(-28 12 11)"
        />
      );
    case "attend":
      return <rect x="9" y="3" width="6" height="16" rx="3" fill="currentColor" />;
    case "stop":
      return (
        <>
          <rect x="9" y="6" width="6" height="11" rx="3" fill="currentColor" />
          <path d="M4.500 2v16.500M19.500 2v16.500" stroke="currentColor" strokeWidth="3" />
        </>
      );
  }
}
