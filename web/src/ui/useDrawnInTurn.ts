import { useEffect, useState } from "react";

/** So many are drawn before each frame: few enough that none is late. */
const EACH_FRAME = 6;

const waiting = new Set<() => void>();
let isAsked = false;

function drawSome(): void {
  isAsked = false;
  let left = EACH_FRAME;
  for (const draw of waiting) {
    if (left === 0) break;
    left -= 1;
    waiting.delete(draw);
    draw();
  }
  ask();
}

function ask(): void {
  if (isAsked || waiting.size === 0) return;
  isAsked = true;
  requestAnimationFrame(drawSome);
}

/** Whether it is the turn of a part of a long list to be drawn in full. A few of those that wait are let through before each frame, in the order in which they came into sight; one `isStaged` not is drawn at once. */
export function useDrawnInTurn(isStaged: boolean): boolean {
  const [isDrawn, setIsDrawn] = useState(!isStaged);
  useEffect(() => {
    if (isDrawn) return undefined;
    const draw = (): void => setIsDrawn(true);
    waiting.add(draw);
    ask();
    return () => {
      waiting.delete(draw);
    };
  }, [isDrawn]);
  return isDrawn;
}
