import { useEffect, useRef, type RefObject } from "react";

/** Gives an element the focus where what had it is gone from a page that was reckoned anew, as after a press that answers. */
export function useFocusKept(reckoned: unknown): RefObject<HTMLHeadingElement | null> {
  const ref = useRef<HTMLHeadingElement>(null);
  const held = useRef(false);
  useEffect(() => {
    const note = (): void => {
      held.current = document.activeElement !== document.body;
    };
    document.addEventListener("focusin", note);
    return () => document.removeEventListener("focusin", note);
  }, []);
  useEffect(() => {
    if (held.current && document.activeElement === document.body) ref.current?.focus();
  }, [reckoned]);
  return ref;
}
