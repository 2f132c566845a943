import { isAsked, pickOf, type Check, type CheckResult } from "@yonderfell/core";
import { useEffect, useRef, type ReactElement } from "react";
import { CHOICE_BUTTON } from "../../ui/buttons.js";

type Pick = NonNullable<Check["picks"]>[number];
type Answer = NonNullable<CheckResult["answered"]>;

/** The words of a check to pick from, each with what it usually means; and the question that tells two causes apart. */
export function PickCheck({
  check,
  result,
  onPick,
  onAnswer,
}: {
  readonly check: Check;
  readonly result: CheckResult | null;
  readonly onPick: (word: string, verdict: Pick["verdict"]) => void;
  readonly onAnswer: (answered: Answer) => void;
}): ReactElement | null {
  const picks = check.picks ?? [];
  const picked = pickOf(check, result?.picked);
  const { separates } = check;
  return (
    <>
      {picks.length > 0 && (
        <div role="group" aria-label="What is there" className="space-y-2">
          {picks.map(({ word, means, verdict }) => (
            <button
              key={word}
              type="button"
              aria-pressed={picked?.word === word}
              className="block min-h-12 w-full rounded-[3px] border border-rule bg-raised px-3 py-2 text-left hover:bg-wash aria-pressed:border-2 aria-pressed:border-clear"
              onClick={() => onPick(word, verdict)}
            >
              <strong className="font-semibold">{word}</strong>
              {means && <span className="block text-fine text-quiet">{means}</span>}
            </button>
          ))}
        </div>
      )}
      {picked?.todo && (
        <p className="text-large">
          <span className="text-quiet">To do:</span> {picked.todo}
        </p>
      )}
      {separates && isAsked(check, result) && (
        <Separates separates={separates} onAnswer={onAnswer} />
      )}
    </>
  );
}

/** The question that tells two causes apart, and what each answer means; what is answered is noted. */
function Separates({
  separates,
  onAnswer,
}: {
  readonly separates: NonNullable<Check["separates"]>;
  readonly onAnswer: (answered: Answer) => void;
}): ReactElement {
  const { ask, no, yes } = separates;
  const box = useRef<HTMLDivElement>(null);
  // It comes up under the list, where the foot may lie over it.
  useEffect(() => {
    void box.current?.scrollIntoView({ block: "center" });
  }, []);
  return (
    <div ref={box} className="space-y-2 border-l-4 border-soon pl-3">
      <p className="text-quiet">Two causes look alike.</p>
      <p className="text-large font-bold">{ask}</p>
      <div className="flex gap-2">
        {(["no", "yes", "not known"] as const).map((answer) => (
          <button
            key={answer}
            type="button"
            className={CHOICE_BUTTON}
            onClick={() => onAnswer(answer)}
          >
            {answer}
          </button>
        ))}
      </div>
      <p className="text-fine text-quiet">
        {no && <>no → {no}</>}
        {yes && <span className="block">yes → {yes}</span>}
      </p>
    </div>
  );
}
