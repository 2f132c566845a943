import { useEffect } from "react";
import { isOfStore, errorWords } from "../words/errorWords.js";
import { notifyFailure } from "../session/notify.js";

/** The same is not told again within this time. */
const QUIET_MS = 10_000;

/** What the store refuses where nobody asked for it, such as keeping a draft, is told as well. */
export function StorageFailures(): null {
  useEffect(() => {
    const told = new Map<string, number>();
    const tell = (event: PromiseRejectionEvent): void => {
      if (!isOfStore(event.reason)) return;
      event.preventDefault();
      const words = `The browser's storage refused something: ${errorWords(event.reason)}.`;
      const now = performance.now();
      if (now - (told.get(words) ?? -QUIET_MS) < QUIET_MS) return;
      told.set(words, now);
      notifyFailure(words);
    };
    window.addEventListener("unhandledrejection", tell);
    return () => window.removeEventListener("unhandledrejection", tell);
  }, []);
  return null;
}
