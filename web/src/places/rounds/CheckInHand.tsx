import {
  checkLimits,
  isAsked,
  isFound,
  judgeReadings,
  readAgain,
  sumOfCheck,
  symbolOf,
  wearOf,
  type CheckResult,
} from "@yonderfell/core";
import { useEffect, useRef, type ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { Because } from "../shared/atTheMachine/Because.js";
import { AsLastTime } from "./AsLastTime.js";
import { FoundHere } from "./FoundHere.js";
import { PickCheck } from "./PickCheck.js";
import { ReadCheck, Worn } from "./ReadCheck.js";
import { RoundFoot } from "./RoundFoot.js";
import { howWords, placeWords } from "./roundWords.js";
import type { CheckProps } from "./checkProps.js";
import { SumCheck } from "./SumCheck.js";
import { useJudging, type Judging } from "./useJudging.js";
import { WithoutLook } from "./VerdictButtons.js";

/** The check in hand: what good looks like, what is read or picked, and the verdict; sound goes on by itself. */
export function CheckInHand(props: CheckProps): ReactElement {
  const { shown, inHand, place } = props;
  const { check } = place;
  const { result } = inHand;
  const judging = useJudging(props);
  const { tell } = judging;
  const limits = checkLimits(check, shown.specifications);
  const judged = limits === null ? null : judgeReadings(limits, result?.readings ?? []);
  const waits =
    sumOfCheck(check) === null && readAgain(judged, result?.readings ?? [])
      ? "Read it again"
      : isAsked(check, result)
        ? "Answer first"
        : "";
  return (
    <section aria-label="Check in hand" className="flex flex-1 flex-col gap-4">
      <CheckHead {...props} />
      <Reading {...props} judging={judging} />
      <PickCheck
        {...{ check, result }}
        onPick={(picked, verdict) =>
          void tell({ picked, verdict: verdict ?? result?.verdict ?? null }, verdict === "sound")
        }
        onAnswer={(answered) => void tell({ answered }, false)}
      />
      <AsLastTime {...props} />
      {result !== null && isFound(result.verdict) && <FoundHere {...{ shown, place }} />}
      <Said result={result} judging={judging} />
      <RoundFoot
        {...props}
        waits={waits}
        onVerdict={judging.judge}
        onPicture={(pictures) => tell({ pictures }, false)}
      />
    </section>
  );
}

/** What is checked, how, and what good looks like; its caution always in sight. */
function CheckHead({ inHand: { at, places }, place }: CheckProps): ReactElement {
  const { check } = place;
  const heading = useRef<HTMLHeadingElement>(null);
  // What is done first has the focus: the field of what is read, else the first verdict.
  useEffect(() => {
    window.scrollTo({ top: 0 });
    const section = heading.current?.closest("section");
    const field = section?.querySelector<HTMLElement>("[data-reading] input");
    const action = section?.querySelector<HTMLElement>("[data-action]:not(:disabled)");
    (field ?? action ?? heading.current)?.focus({ preventScroll: true });
  }, []);
  return (
    <div>
      <p className="text-quiet tabular-nums">
        Check {at + 1} of {places.length} · {howWords(check)}
      </p>
      <h2
        ref={heading}
        tabIndex={-1}
        className="text-[1.625rem] leading-tight font-bold text-balance outline-none sm:text-[2.25rem]"
      >
        {placeWords(place)}
      </h2>
      {check.good && (
        <p className="pt-1 text-large">
          <span className="text-quiet">Good:</span> {check.good}
        </p>
      )}
      {check.caution && (
        <p className="mt-2 border-l-4 border-due pl-3 font-semibold">
          {check.caution}
          <span className="block font-normal text-quiet">
            The maker’s handbook, local rules and licensed practice come first.
          </span>
        </p>
      )}
    </div>
  );
}

/** The field of what is read, where the check is read, or the fields of its sum. */
function Reading(props: CheckProps & { readonly judging: Judging }): ReactElement | null {
  const { judging, ...rest } = props;
  const { shown, place, inHand } = props;
  const today = useAppSelector((state) => state.session.today);
  const limits = checkLimits(place.check, shown.specifications);
  const sum = sumOfCheck(place.check);
  const wear = limits === null ? null : wearOf(shown.book, place, limits, shown.settings, today);
  const meter = (shown.machine.meters ?? []).find(({ id }) => id === wear?.meter);
  const worn = { today, round: shown.round.id, meterUnit: meter?.unit ?? "" };
  if (sum !== null) {
    return (
      <>
        <SumCheck {...rest} sum={sum} onFigures={judging.ask} />
        {limits !== null && wear !== null && (
          <Worn {...{ ...worn, wear, unit: symbolOf(limits.unit) }} />
        )}
      </>
    );
  }
  if (limits === null || wear === null) return null;
  return (
    <ReadCheck
      {...{ ...worn, limits, wear, result: inHand.result }}
      onReading={judging.read}
      onAfresh={() => void judging.tell({ readings: [], verdict: null, reason: null }, false)}
    />
  );
}

/** The verdict, why where it needs a reason, and a word on it. */
function Said({
  result,
  judging: { judge, tell, overruling, whyLabel, overrule },
}: {
  readonly result: CheckResult | null;
  readonly judging: Judging;
}): ReactElement {
  return (
    <div className="mt-auto space-y-2">
      <WithoutLook result={result} onVerdict={judge} />
      {overruling !== null && (
        <Because
          key={overruling}
          label={whyLabel}
          action={`Say ${overruling}`}
          onBecause={overrule}
        />
      )}
      {result?.reason && (
        <p className="text-quiet">
          {result.verdict}: {result.reason}
        </p>
      )}
      <Because
        label={result?.note ? `Instead of: ${result.note}` : "Note a word on it"}
        action="Note"
        onBecause={(note) => tell({ note }, false)}
      />
    </div>
  );
}
