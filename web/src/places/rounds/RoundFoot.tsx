import type { CheckResult } from "@yonderfell/core";
import { ChevronLeft } from "lucide-react";
import { useEffect, useRef, type ReactElement } from "react";
import { CHOICE_BUTTON, LARGE_BUTTON } from "../../ui/buttons.js";
import { PhotographButton } from "../shared/pictures/PhotographButton.js";
import type { CheckProps } from "./checkProps.js";
import { placeWords } from "./roundWords.js";
import { StoneButtons } from "./VerdictButtons.js";

/** The foot of a check, by the thumb: back, a picture, and on to what is open next. */
export function RoundFoot({
  inHand: { places, at, result, next, go },
  place,
  waits,
  onVerdict,
  onPicture,
}: CheckProps & {
  readonly onVerdict: (verdict: NonNullable<CheckResult["verdict"]>) => void;
  /** What is to be done before it goes on; empty where nothing is. */
  readonly waits: string;
  readonly onPicture: (pictures: NonNullable<CheckResult["pictures"]>) => Promise<boolean>;
}): ReactElement {
  const before = places[at - 1] ?? null;
  const isTold = waits === "" && (result?.verdict ?? null) !== null;
  const on = useRef<HTMLButtonElement>(null);
  const readings = (result?.readings ?? []).length + (result?.figures ? 1 : 0);
  // Once a reading may be gone on from, Enter does so.
  useEffect(() => {
    if (isTold && readings > 0) on.current?.focus({ preventScroll: true });
  }, [isTold, readings]);
  return (
    <div className="sticky bottom-0 z-10 -mx-7 flex flex-wrap items-center gap-2 border-t-2 border-ink bg-ground px-7 py-3 max-sm:-mx-4 max-sm:px-4">
      <StoneButtons result={result} onVerdict={onVerdict} />
      <button
        type="button"
        className={`${CHOICE_BUTTON} max-w-24`}
        disabled={before === null}
        onClick={() => before !== null && go(before)}
      >
        <ChevronLeft size={20} aria-hidden="true" />
        Back
      </button>
      <PhotographButton
        label="Photograph the check"
        taken={(result?.pictures ?? []).length}
        className={`${CHOICE_BUTTON} max-w-40 max-sm:flex-col max-sm:gap-0 max-sm:text-fine`}
        onTaken={(hash) =>
          onPicture([...(result?.pictures ?? []), { hash, caption: placeWords(place) }])
        }
      />
      <button
        ref={on}
        type="button"
        data-action={isTold ? "" : undefined}
        className={`${LARGE_BUTTON} min-w-0`}
        disabled={!isTold}
        onClick={() => go(next)}
      >
        <span className="line-clamp-3 leading-tight max-sm:text-base">
          {waits !== ""
            ? waits
            : !isTold
              ? "Say it first"
              : next === null
                ? "To the end"
                : `Next: ${placeWords(next)}`}
        </span>
      </button>
    </div>
  );
}
