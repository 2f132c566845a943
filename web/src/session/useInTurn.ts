import { useCallback, useRef } from "react";

/** Runs actions one after another, none left out: what is pressed while an earlier one is under way is done next. */
export function useInTurn(): (action: () => Promise<void>) => Promise<void> {
  const last = useRef(Promise.resolve());
  return useCallback((action) => {
    const next = last.current.then(action);
    // The next is not held up by what becomes of this one.
    last.current = next.catch(() => undefined);
    return next;
  }, []);
}
