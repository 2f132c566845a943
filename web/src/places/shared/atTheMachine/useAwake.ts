import { useEffect } from "react";

/** Keeps the screen on while a step is open, where the browser can; taken up again when the page is seen again. */
export function useAwake(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const keep = async (): Promise<void> => {
      if (document.visibilityState !== "visible") return;
      try {
        lock = await navigator.wakeLock.request("screen");
        if (isOver) await lock.release();
      } catch {
        // A device that saves its battery says no: the step works all the same.
      }
    };
    const again = (): void => void keep();
    again();
    document.addEventListener("visibilitychange", again);
    return () => {
      isOver = true;
      document.removeEventListener("visibilitychange", again);
      void lock?.release();
    };
  }, [isWanted]);
}
