import { useEffect, useState } from "react";

/** The time in milliseconds, told anew each `every` while it is wanted; a page that slept tells the true time at once. */
export function useNow(every: number, isWanted = true): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!isWanted) return;
    const tell = (): void => setNow(Date.now());
    const timer = setInterval(tell, every);
    document.addEventListener("visibilitychange", tell);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", tell);
    };
  }, [every, isWanted]);
  return now;
}
