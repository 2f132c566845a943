import { lazy, Suspense, useRef, useState, type ReactElement, type ReactNode } from "react";
import type { MeaningWord } from "../words/meanings.js";
import { again } from "./again.js";

const TermMeaning = lazy(again(() => import("./TermMeaning.js")));

/** A word that is not everyday speech, which opens its meaning where it stands. */
export function Term({
  word,
  children = word,
}: {
  readonly word: MeaningWord;
  readonly children?: ReactNode;
}): ReactElement {
  const [isAsked, setAsked] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={button}
        type="button"
        data-prints=""
        aria-haspopup="dialog"
        aria-expanded={isAsked}
        className="cursor-help underline decoration-dotted underline-offset-4 max-sm:min-h-11"
        onClick={() => setAsked(!isAsked)}
      >
        {children}
      </button>
      {isAsked && (
        <Suspense>
          <TermMeaning word={word} anchor={button} onClose={() => setAsked(false)} />
        </Suspense>
      )}
    </>
  );
}

/** Words of a form or a text beside it, each to be opened; nothing where there are none. */
export function Terms({ words }: { readonly words: readonly MeaningWord[] }): ReactElement | null {
  if (words.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-3 text-fine text-quiet print:hidden">
      What is meant by
      {words.map((word) => (
        <Term key={word} word={word} />
      ))}
    </p>
  );
}
