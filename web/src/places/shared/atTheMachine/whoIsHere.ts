import { useState } from "react";
import { useBook } from "../../../session/openBook.js";

/** Who works with this browser on a book: the id of a person, or words; empty where nobody has said. */
export function useWhoIsHere(): readonly [string, (who: string) => void] {
  const { entry } = useBook();
  const key = `yonderfell-who:${entry.id}`;
  const [who, setWho] = useState(() => localStorage.getItem(key) ?? "");
  const keep = (name: string): void => {
    localStorage.setItem(key, name);
    setWho(name);
  };
  return [who, keep];
}
