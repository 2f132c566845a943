import { lazy, Suspense, type ReactElement } from "react";
import type { LongListProps } from "./longListProps.js";
import { again } from "./again.js";

const WindowedList = lazy(again(() => import("./WindowedList.js")));

/** A list up to so many pixels high is drawn whole; of a longer one what is in sight. */
const WHOLE_UP_TO = 6000;

/** Whether a list is so long that only what is in sight should be drawn. */
function isLong<Item>({ items, heightOf }: LongListProps<Item>): boolean {
  let height = 0;
  for (const item of items) {
    height += heightOf(item);
    if (height > WHOLE_UP_TO) return true;
  }
  return false;
}

/** A list of any length, scrolled with the page. */
export function LongList<Item>(props: LongListProps<Item>): ReactElement {
  const { items, keyOf, draw } = props;
  if (isLong(props)) {
    return (
      <Suspense>
        <WindowedList {...(props as LongListProps<unknown>)} />
      </Suspense>
    );
  }
  return (
    <>
      {items.map((item) => (
        <div key={keyOf(item)}>{draw(item)}</div>
      ))}
    </>
  );
}
