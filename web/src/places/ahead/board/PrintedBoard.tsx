import type { BoardMachine } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import type { BoardGroup } from "../../../ui/board/boardGroup.js";
import { BOARD_ROOM } from "../../../ui/board/boardRoom.js";
import { Bundle } from "../../../ui/board/Bundle.js";
import type { BundleLook } from "../../../ui/board/bundleLook.js";
import { GroupTitle } from "../../../ui/board/GroupTitle.js";
import { ReachAxis } from "../../../ui/board/ReachAxis.js";
import { reachScale } from "../../../ui/board/reachScale.js";
import { ReachPaints } from "../../../ui/board/ReachStrip.js";
import { useBoardGroups } from "./GroupedBoard.js";
import { PAPER_WIDTH, PaperHead } from "./PaperHead.js";

const NONE: readonly BoardGroup[] = [];

/** The whole board as it goes on paper: every strip, the time scale on each page, and what the marks mean. */
export function PrintedBoard({
  machines,
}: {
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const groups = useBoardGroups(machines) ?? NONE;
  const today = useAppSelector((state) => state.session.today);
  const reach = useAppSelector((state) => state.preferences.reach);
  const left = BOARD_ROOM.machine + BOARD_ROOM.name;
  const look = useMemo(
    (): BundleLook => ({
      ...{ today, isNarrow: false, isNamed: true, isOnPaper: true },
      isGrouped: groups.some(({ title }) => title !== ""),
      scale: reachScale(PAPER_WIDTH - left, reach),
    }),
    [today, groups, left, reach],
  );
  return (
    <div className="board-print hidden print:block" style={{ width: PAPER_WIDTH }}>
      <ReachPaints />
      <PaperHead />
      <Legend />
      <table role="presentation" className="w-full border-collapse">
        <thead>
          <tr>
            <td>
              <ReachAxis scale={look.scale} left={left} />
            </td>
          </tr>
        </thead>
        {groups.map(({ key, title, machines: own }) => (
          <tbody key={key}>
            {title !== "" && (
              <tr>
                <td>
                  <GroupTitle title={title} />
                </td>
              </tr>
            )}
            {own.map((machine) => (
              <tr key={machine.machine.id}>
                <td>
                  <Bundle
                    machine={machine}
                    tasks={machine.tasks}
                    findings={machine.findings}
                    look={look}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        ))}
      </table>
    </div>
  );
}

function Legend(): ReactElement {
  return (
    <p className="mb-2 text-fine text-quiet">
      To the right of today: how far a task still reaches, solid to the early date, fading to the
      late one, a tick at the likely date, a thick one where law or warranty ends it, a dashed
      outline for its grace. Thin lines: its other limits. To the left: hatched as long as it is
      over; the thread goes back to when it was last done, with an open ring where that is only
      assumed. Stones: none clear, one soon, two due, three overdue, an outline unknown.
    </p>
  );
}
