import { useEffect, useState } from "react";

/** Where a browser does not say when it is idle, a moment is waited instead. */
const A_MOMENT_MS = 500;

/** Whether the page has had nothing to do since `isReady`: then is the time for what nobody waits for. */
export function useIdle(isReady: boolean): boolean {
  const [isIdle, setIsIdle] = useState(false);
  useEffect(() => {
    if (!isReady || isIdle) return undefined;
    const say = (): void => setIsIdle(true);
    if (!("requestIdleCallback" in window)) {
      const timer = setTimeout(say, A_MOMENT_MS);
      return () => clearTimeout(timer);
    }
    const asked = requestIdleCallback(say, { timeout: A_MOMENT_MS * 4 });
    return () => cancelIdleCallback(asked);
  }, [isReady, isIdle]);
  return isIdle;
}
