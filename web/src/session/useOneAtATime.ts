import { useCallback, useRef } from "react";

/** Runs an action only while no earlier run of it is still under way: a second press does nothing. */
export function useOneAtATime(): (action: () => Promise<void>) => Promise<void> {
  const isRunning = useRef(false);
  return useCallback(async (action) => {
    if (isRunning.current) return;
    isRunning.current = true;
    try {
      await action();
    } finally {
      isRunning.current = false;
    }
  }, []);
}
