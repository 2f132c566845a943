import { useState } from "react";
import { useBook } from "../../../session/openBook.js";

/** What of a list is in the basket already: ticked in the shop, kept for this tab. */
interface Basket {
  readonly taken: ReadonlySet<string>;
  readonly toggle: (key: string) => void;
}

/** The keys that are kept under a name; none where nothing readable is. */
function keptUnder(name: string): ReadonlySet<string> {
  try {
    const read: unknown = JSON.parse(sessionStorage.getItem(name) ?? "[]");
    return new Set(Array.isArray(read) ? read.filter((one) => typeof one === "string") : []);
  } catch {
    return new Set();
  }
}

/** What is ticked on the list of the open book, through leaving and reload of the tab. */
export function useBasket(): Basket {
  const name = `basket ${useBook().entry.id}`;
  const [taken, setTaken] = useState(() => keptUnder(name));
  const toggle = (key: string): void => {
    const next = new Set(taken);
    if (!next.delete(key)) next.add(key);
    setTaken(next);
    try {
      sessionStorage.setItem(name, JSON.stringify([...next]));
    } catch {
      // No room: the ticks last as long as the page.
    }
  };
  return { taken, toggle };
}
