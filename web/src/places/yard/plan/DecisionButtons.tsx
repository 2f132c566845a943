import type { BaselineDecision, Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import type { Asked } from "./AnswerForm.js";

/** What one can decide of what a task starts from, or of several alike. */
export function DecisionButtons({
  name,
  machine,
  decisions,
  onAsk,
  onDecide,
}: {
  /** What is decided of, for those who hear it. */
  readonly name: string;
  readonly machine: Pick<Machine, "inService">;
  /** Those offered beside what records show, what was judged, and what is not due yet. */
  readonly decisions: readonly ("do-now" | "leave-unknown")[];
  readonly onAsk: (asks: Asked) => void;
  readonly onDecide: (decision: BaselineDecision) => void;
}): ReactElement {
  const button = (words: string, act: () => void): ReactElement => (
    <button type="button" className={QUIET_BUTTON} aria-label={`${name}: ${words}`} onClick={act}>
      {words}
    </button>
  );
  return (
    <>
      {decisions.includes("do-now") && button("do now", () => onDecide({ code: "do-now" }))}
      {button("records show it", () => onAsk("done"))}
      {button("judged sound", () => onAsk("judged-sound"))}
      {(machine.inService ?? null) !== null &&
        button("not due yet", () => onDecide({ code: "from-new", note: "" }))}
      {decisions.includes("leave-unknown") &&
        button("leave unknown", () => onDecide({ code: "leave-unknown" }))}
    </>
  );
}
