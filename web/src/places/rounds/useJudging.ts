import { checkLimits, proposedVerdict, type CheckResult, type Figures } from "@yonderfell/core";
import { useState } from "react";
import { isStone } from "./VerdictMark.js";
import type { CheckProps } from "./checkProps.js";

type Verdict = NonNullable<CheckResult["verdict"]>;

/** The ways to say what a check in hand is. */
export interface Judging {
  /** Tells some fields of its result, and goes on to what is open next where that is asked for. */
  readonly tell: (fields: Partial<CheckResult>, goesOn: boolean) => Promise<boolean>;
  readonly read: (value: number) => Promise<boolean>;
  readonly ask: (figures: Figures) => Promise<boolean>;
  /** Says a verdict, or first asks why: where nothing was looked at, and against the figures. */
  readonly judge: (verdict: Verdict) => void;
  /** What is to be said once it has a reason; null where none is asked for. */
  readonly overruling: Verdict | null;
  readonly whyLabel: string;
  readonly overrule: (reason: string) => Promise<boolean>;
}

/** How a check is judged: figures and words propose, a person may say otherwise with a reason, and both stand. */
export function useJudging({ shown, inHand, telling, place }: CheckProps): Judging {
  const { check, point } = place;
  const { result, next, go } = inHand;
  const [overruling, setOverruling] = useState<Verdict | null>(null);
  const limits = checkLimits(check, shown.specifications);
  const isMeasured = (result?.readings ?? []).length > 0 || Boolean(result?.figures);
  const proposed = result === null ? null : proposedVerdict(check, limits, result);
  const at = { check: check.id, ...(point === null ? {} : { point }) };
  const tell = async (fields: Partial<CheckResult>, goesOn: boolean): Promise<boolean> => {
    // It stays in hand, also where it was only the first that was open.
    if (!goesOn) go(place);
    const isTaken = await telling.tell({ ...at, ...fields });
    if (isTaken && goesOn) go(next);
    return isTaken;
  };
  const judge = (verdict: Verdict): void => {
    const isAgainst = isMeasured && proposed !== null && proposed !== verdict;
    if (isAgainst || !isStone(verdict)) {
      setOverruling(verdict);
      return;
    }
    setOverruling(null);
    void tell({ verdict, reason: null }, verdict === "sound" && !isMeasured);
  };
  const isAboutFigures = overruling !== null && isStone(overruling);
  return {
    tell,
    read: (value) => {
      go(place);
      return telling.read(at, value);
    },
    ask: (figures) => {
      go(place);
      return telling.figures(at, figures);
    },
    judge,
    overruling,
    whyLabel: isAboutFigures
      ? `Why ${overruling}, where the figures say ${proposed ?? "nothing"}`
      : `Why: ${overruling ?? ""}`,
    overrule: async (reason) => {
      if (overruling === null) return false;
      const isTaken = await tell({ verdict: overruling, reason }, true);
      if (isTaken) setOverruling(null);
      return isTaken;
    },
  };
}
