import type { ReactElement } from "react";
import type { LongListProps } from "./longListProps.js";
import { useWindowed } from "./useWindowed.js";

/** A long list of which only the items in sight are drawn. */
export default function WindowedList({
  items,
  keyOf,
  heightOf,
  draw,
}: LongListProps<unknown>): ReactElement {
  const { list, shown, height, before, measure } = useWindowed<unknown, HTMLDivElement>(
    items,
    keyOf,
    heightOf,
  );
  return (
    <div ref={list} style={{ height }}>
      <div style={{ transform: `translateY(${before}px)` }}>
        {shown.map(({ index, key }) => (
          <div key={key as string} data-index={index} ref={measure}>
            {draw(items[index])}
          </div>
        ))}
      </div>
    </div>
  );
}
