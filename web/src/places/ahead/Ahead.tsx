import { machinesInOrder, type BoardMachine, type BoardTask } from "@yonderfell/core";
import { lazy, Suspense, useDeferredValue, useMemo, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../session/store.js";
import { useIdle } from "../../session/useIdle.js";
import { ungrouped } from "../../ui/board/boardGroup.js";

import { QUIET_BUTTON } from "../../ui/buttons.js";
import { ReachBoard } from "../../ui/board/ReachBoard.js";
import { AheadPage } from "./AheadPage.js";
import { summarise } from "./summary.js";
import { again } from "../../ui/again.js";

const EmptyAhead = lazy(again(() => import("./EmptyAhead.js")));
const AheadTable = lazy(again(() => import("./AheadTable.js")));
const BoardTools = lazy(again(() => import("./board/BoardTools.js")));
const GroupedBoard = lazy(again(() => import("./board/GroupedBoard.js")));

const NOTHING_YET: readonly BoardMachine[] = [];

/** What is coming, over all machines. */
export default function Ahead(): ReactElement {
  const phase = useAppSelector((state) => state.board.phase);
  const current = useAppSelector((state) => state.board.machines);
  // Drawn in between what the person does: a large board must not hold up a key.
  const board = useDeferredValue(current, NOTHING_YET);
  const today = useAppSelector((state) => state.session.today);
  const machines = useMemo(() => machinesInOrder(board), [board]);
  const summary = useMemo(() => summarise(board, today), [board, today]);
  // First what is coming, then the ways to look at it.
  const hasTools = useIdle(machines.length > 0);
  const isEmpty = phase === "ready" && current.length === 0;
  return (
    <AheadPage title="Ahead">
      {machines.length > 0 && (
        <div className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
          <p>
            <strong>{summary.counts}</strong> <span className="text-quiet">{summary.next}</span>
          </p>
          {summary.first !== null && <Begin first={summary.first} reason={summary.reason} />}
        </div>
      )}
      <Suspense>{isEmpty && <EmptyAhead />}</Suspense>
      <div className="min-h-10.5 max-sm:mb-3">
        <Suspense>{hasTools && <BoardTools machines={machines} />}</Suspense>
      </div>
      <div className="screen-only">
        <Board machines={machines} />
      </div>
    </AheadPage>
  );
}

/** The board as it is looked at. */
function Board({ machines }: { readonly machines: readonly BoardMachine[] }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { aheadAs, reach } = useAppSelector((state) => state.preferences);
  const { group, show, of } = useAppSelector((state) => state.boardLook);
  const isPlain = group === "machine" && show === "all" && of === null;
  const groups = useMemo(() => ungrouped(machines), [machines]);
  if (aheadAs === "reach" && isPlain) {
    return <ReachBoard groups={groups} today={today} namesMachines reach={reach} />;
  }
  return (
    <Suspense>
      {aheadAs === "table" ? (
        <AheadTable machines={machines} today={today} />
      ) : (
        <GroupedBoard machines={machines} />
      )}
    </Suspense>
  );
}

/** The way into the most pressing work. */
function Begin({
  first,
  reason,
}: {
  readonly first: BoardTask;
  readonly reason: string;
}): ReactElement {
  const { machine, task } = first;
  return (
    <Link
      to={`/log/${encodeURIComponent(machine.machine.id)}?task=${encodeURIComponent(task.task.id)}`}
      className={`${QUIET_BUTTON} border-overdue print:hidden`}
    >
      <span>
        First: {task.task.name.toLowerCase()} on {machine.machine.tag}, {reason}
      </span>
    </Link>
  );
}
