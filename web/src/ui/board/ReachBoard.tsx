import type { DayNumber } from "@yonderfell/core";
import { lazy, Suspense, useMemo, type KeyboardEvent, type ReactElement } from "react";
import { reasonsFollowed } from "../../session/session.js";
import { useAppDispatch } from "../../session/store.js";
import type { BoardGroup } from "./boardGroup.js";
import { BOARD_ROOM } from "./boardRoom.js";
import { Bundle } from "./Bundle.js";
import type { BundleLook } from "./bundleLook.js";
import { GroupTitle } from "./GroupTitle.js";
import { ReachAxis } from "./ReachAxis.js";
import { ReachPaints } from "./ReachStrip.js";
import { USUAL_REACH, type Reach } from "../../session/reaches.js";
import { reachScale } from "./reachScale.js";
import { useWidth } from "../useWidth.js";
import { again } from "../again.js";

const WindowedBoard = lazy(again(() => import("./WindowedBoard.js")));

const NARROW_BELOW = 820;
/** A board of up to so many strips is drawn whole; of a longer one what is in sight. */
const WHOLE_UP_TO = 160;

interface ReachBoardProps {
  /** The machines, their tasks in the order they are drawn. */
  readonly groups: readonly BoardGroup[];
  readonly today: DayNumber;
  /** Whether each bundle stands under its machine's tag; not on the machine's own page. */
  readonly namesMachines: boolean;
  /** How many days ahead it looks. */
  readonly reach?: Reach;
}

/** The reach: one strip a task on a common today line, bundled by machine. */
export function ReachBoard(props: ReachBoardProps): ReactElement {
  const { groups, today, namesMachines, reach = USUAL_REACH } = props;
  const [element, width] = useWidth<HTMLDivElement>();
  const isNarrow = width < NARROW_BELOW;
  const left = isNarrow ? 0 : (namesMachines ? BOARD_ROOM.machine : 0) + BOARD_ROOM.name;
  const room = width - left - BOARD_ROOM.log;
  const isGrouped = groups.some(({ title }) => title !== "");
  const look = useMemo(
    (): BundleLook => ({
      ...{ today, isNarrow, isGrouped, isNamed: namesMachines },
      scale: reachScale(Math.max(room, 120), reach),
    }),
    [today, isNarrow, isGrouped, namesMachines, room, reach],
  );
  return (
    <div ref={element} onKeyDown={useTravel()}>
      <ReachPaints />
      {width > 0 && (
        <>
          {!isNarrow && <ReachAxis scale={look.scale} left={left} />}
          {isLong(groups) ? (
            <Suspense>
              <WindowedBoard groups={groups} look={look} />
            </Suspense>
          ) : (
            groups.map((group) => <WholeGroup key={group.key} group={group} look={look} />)
          )}
        </>
      )}
    </div>
  );
}

/** Up and down travel from strip to strip; where reasons stand open, those of the strip in hand do. Escape closes them. */
function useTravel(): (event: KeyboardEvent<HTMLDivElement>) => void {
  const dispatch = useAppDispatch();
  return (event) => {
    const strips = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-strip]")];
    const at = strips.findIndex((strip) => strip === document.activeElement);
    if (at < 0) return;
    if (event.key === "Escape") dispatch(reasonsFollowed(""));
    if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
    event.preventDefault();
    const next = strips[at + (event.key === "ArrowDown" ? 1 : -1)];
    if (next === undefined) return;
    next.focus();
    dispatch(reasonsFollowed(next.dataset["strip"] ?? ""));
  };
}

function isLong(groups: readonly BoardGroup[]): boolean {
  let strips = 0;
  for (const { machines } of groups) {
    for (const { tasks, findings } of machines) {
      strips += Math.max(1, tasks.length + findings.length);
      if (strips > WHOLE_UP_TO) return true;
    }
  }
  return false;
}

function WholeGroup({
  group: { title, machines },
  look,
}: {
  readonly group: BoardGroup;
  readonly look: BundleLook;
}): ReactElement {
  return (
    <>
      {title !== "" && <GroupTitle title={title} />}
      {machines.map((machine) => (
        <Bundle
          key={machine.machine.id}
          machine={machine}
          tasks={machine.tasks}
          findings={machine.findings}
          look={look}
        />
      ))}
    </>
  );
}
