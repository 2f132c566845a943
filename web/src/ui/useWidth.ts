import { useLayoutEffect, useRef, useState, type RefObject } from "react";

/** The width of an element in pixels, kept current as it changes; 0 before it is laid out. */
export function useWidth<E extends HTMLElement>(): readonly [RefObject<E | null>, number] {
  const element = useRef<E>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const target = element.current;
    if (target === null) return undefined;
    setWidth(target.clientWidth);
    const observer = new ResizeObserver(() => setWidth(target.clientWidth));
    observer.observe(target);
    return () => observer.disconnect();
  }, []);
  return [element, width];
}
