import { useEffect, useState } from "react";
import { flushSync } from "react-dom";

/** Whether the page is being printed: true from just before it is laid out for paper until after. */
export function usePrinting(): boolean {
  const [isPrinting, setIsPrinting] = useState(false);
  useEffect(() => {
    // The paper is laid out as soon as the listener returns, so that it must be drawn by then.
    const begin = (): void => flushSync(() => setIsPrinting(true));
    const end = (): void => setIsPrinting(false);
    window.addEventListener("beforeprint", begin);
    window.addEventListener("afterprint", end);
    return () => {
      window.removeEventListener("beforeprint", begin);
      window.removeEventListener("afterprint", end);
    };
  }, []);
  return isPrinting;
}
