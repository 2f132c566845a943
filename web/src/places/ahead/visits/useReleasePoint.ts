import { useEffect, useRef, type RefObject } from "react";

interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * Where the pointer was last let go. What a dragged line was last told to be over can be a step
 * behind the hand; this is where the hand was.
 */
export function useReleasePoint(): RefObject<Point> {
  const point = useRef<Point>({ x: 0, y: 0 });
  useEffect(() => {
    const keep = ({ clientX, clientY }: PointerEvent): void => {
      point.current = { x: clientX, y: clientY };
    };
    // Before anything else hears of it.
    window.addEventListener("pointerup", keep, true);
    return () => window.removeEventListener("pointerup", keep, true);
  }, []);
  return point;
}
