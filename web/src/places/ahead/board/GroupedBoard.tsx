import type { BoardMachine } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { boardLookedAt, WHOLE_BOARD } from "../../../session/boardLook.js";
import { useAppDispatch, useAppSelector } from "../../../session/store.js";
import type { BoardGroup } from "../../../ui/board/boardGroup.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { ReachBoard } from "../../../ui/board/ReachBoard.js";
import { boardGroups } from "./boardGroups.js";
import { NO_NAMES, useBoardNames } from "./useBoardNames.js";

/** The board put together as the person looks at it; null until the names it is put together by are read. */
export function useBoardGroups(machines: readonly BoardMachine[]): readonly BoardGroup[] | null {
  const look = useAppSelector((state) => state.boardLook);
  const read = useBoardNames();
  const isByName = look.group === "place" || look.group === "person";
  const names = isByName ? read : NO_NAMES;
  return useMemo(
    () => (names === undefined ? null : boardGroups(machines, look, names)),
    [machines, look, names],
  );
}

/** The reach of a part of the board, or of all under headings. */
export default function GroupedBoard({
  machines,
}: {
  readonly machines: readonly BoardMachine[];
}): ReactElement | null {
  const groups = useBoardGroups(machines);
  const today = useAppSelector((state) => state.session.today);
  const reach = useAppSelector((state) => state.preferences.reach);
  if (groups === null) return null;
  if (groups.every((group) => group.machines.length === 0)) return <NothingHere />;
  return <ReachBoard groups={groups} today={today} namesMachines reach={reach} />;
}

/** Says that what is looked at holds nothing, with the way to everything. */
export function NothingHere(): ReactElement {
  const dispatch = useAppDispatch();
  return (
    <div className="space-y-3 py-8">
      <p className="text-quiet">Nothing of what is asked for is on the board.</p>
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => dispatch(boardLookedAt(WHOLE_BOARD))}
      >
        Show everything
      </button>
    </div>
  );
}
