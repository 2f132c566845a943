import { useEffect, useRef, useState, type KeyboardEvent } from "react";
import { afterKeys, isTravel } from "./afterKeys.js";

/** A line that can be taken. */
export interface Line {
  readonly value: string;
  readonly take: () => void;
}

interface Hand {
  /** The value of the line in hand; empty where there is none. */
  readonly value: string;
  readonly choose: (value: string) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

const NONE = { words: "", keys: [] as readonly string[] };

/**
 * The line in hand: the first one, until the person goes to another. Keys pressed before the
 * answer to the words has come are meant for that answer, not for the one that still stands:
 * they are held until it is there. Writing on forgets them.
 */
export function useLineInHand(lines: readonly Line[], words: string, isWaiting: boolean): Hand {
  const [chosen, setChosen] = useState({ value: "", words });
  const held = useRef(NONE);
  const wanted = chosen.words === words ? chosen.value : "";
  const place = Math.max(
    0,
    lines.findIndex(({ value }) => value === wanted),
  );
  const choose = (value: string): void => setChosen({ value, words });
  const work = (keys: readonly string[]): void => {
    const after = afterKeys(keys, place, lines.length);
    const line = lines[after.place];
    if (line === undefined) return;
    if (after.isTaken) line.take();
    else choose(line.value);
  };
  useEffect(() => {
    if (isWaiting) return;
    const { words: wordsThen, keys } = held.current;
    held.current = NONE;
    if (keys.length > 0 && wordsThen === words) work(keys);
  });
  return {
    value: lines[place]?.value ?? "",
    choose,
    onKeyDown: (event) => {
      if (event.nativeEvent.isComposing || !isTravel(event.key)) return;
      event.preventDefault();
      if (!isWaiting) {
        work([event.key]);
        return;
      }
      const before = held.current.words === words ? held.current.keys : [];
      held.current = { words, keys: [...before, event.key] };
    },
  };
}
