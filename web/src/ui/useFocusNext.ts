import { useEffect, useRef, useState, type RefObject } from "react";

/** Gives an element the focus once the page has been drawn anew: where what had it is gone by what was pressed. */
export function useFocusNext<Wanted extends HTMLElement>(): {
  readonly ref: RefObject<Wanted | null>;
  readonly focusNext: () => void;
} {
  const ref = useRef<Wanted>(null);
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    if (asked > 0) ref.current?.focus();
  }, [asked]);
  return { ref, focusNext: () => setAsked((times) => times + 1) };
}
