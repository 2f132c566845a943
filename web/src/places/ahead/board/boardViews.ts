import type { BoardView } from "@yonderfell/core";
import { WHOLE_BOARD, type BoardLook } from "../../../session/boardLook.js";
import type { Preferences } from "../../../session/preferences.js";
import { REACHES } from "../../../session/reaches.js";

type Seen = Pick<Preferences, "aheadAs" | "reach">;

/** What is looked at now as a view of a name. */
export function viewOf(name: string, look: BoardLook, { aheadAs, reach }: Seen): BoardView {
  const { group, show, of, order } = look;
  return { name: name.trim(), as: aheadAs, group, show, of, reach, sort: { ...order } };
}

/** What a view looks at. A length of the reach that there is no longer is left as it is. */
export function lookOf(view: BoardView): {
  readonly look: BoardLook;
  readonly seen: Partial<Seen>;
} {
  const reach = REACHES.find(([days]) => days === view.reach)?.[0];
  const { group, show, of, sort } = view;
  const order = sort ? { column: sort.column, isDown: sort.isDown === true } : WHOLE_BOARD.order;
  return {
    look: { group, show, of: of ?? null, order },
    seen: { aheadAs: view.as, ...(reach === undefined ? {} : { reach }) },
  };
}

/** The views with one kept: in the place of the one of its name, else as the last. */
export function withView(views: readonly BoardView[], view: BoardView): BoardView[] {
  const isSame = (one: BoardView): boolean => one.name === view.name;
  return views.some(isSame)
    ? views.map((one) => (isSame(one) ? { ...one, ...view } : one))
    : [...views, view];
}
