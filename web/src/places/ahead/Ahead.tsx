import type { BoardMachine } from "@yonderfell/core";
import { ChartNoAxesGantt, NotebookPen, Table2 } from "lucide-react";
import { lazy, Suspense, useDeferredValue, useMemo, type ReactElement } from "react";
import { Link } from "react-router";
import { preferred } from "../../app/preferences.js";
import { useAppDispatch, useAppSelector } from "../../app/store.js";
import { machinesInOrder, type BoardTask } from "../../ui/boardOrder.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { ReachBoard } from "../../ui/ReachBoard.js";
import { REACHES } from "../../ui/reachScale.js";
import { AheadPage } from "./AheadPage.js";
import { summarise } from "./summary.js";

const AheadTable = lazy(() => import("./AheadTable.js"));

const NOTHING_YET: readonly BoardMachine[] = [];

/** What is coming, over all machines. */
export default function Ahead(): ReactElement {
  const phase = useAppSelector((state) => state.board.phase);
  const current = useAppSelector((state) => state.board.machines);
  // Drawn in between what the person does: a large board must not hold up a key.
  const board = useDeferredValue(current, NOTHING_YET);
  const today = useAppSelector((state) => state.session.today);
  const view = useAppSelector((state) => state.preferences.aheadAs);
  const reach = useAppSelector((state) => state.preferences.reach);
  const machines = useMemo(() => machinesInOrder(board), [board]);
  const summary = useMemo(() => summarise(board, today), [board, today]);
  const isEmpty = phase === "ready" && current.length === 0;
  return (
    <AheadPage
      title="Ahead"
      aside={
        <>
          {view === "reach" && <ReachChoice />}
          <ViewChoice />
        </>
      }
    >
      {machines.length > 0 && (
        <div className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
          <p>
            <strong>{summary.counts}</strong> <span className="text-quiet">{summary.next}</span>
          </p>
          {summary.first !== null && <Begin first={summary.first} reason={summary.reason} />}
        </div>
      )}
      {isEmpty && <p className="py-10 text-quiet">The book has no machines yet.</p>}
      {view === "table" ? (
        <Suspense>
          <AheadTable machines={machines} today={today} />
        </Suspense>
      ) : (
        <ReachBoard machines={machines} today={today} namesMachines reach={reach} />
      )}
    </AheadPage>
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
      className={`${QUIET_BUTTON} border-overdue`}
    >
      <NotebookPen size={18} aria-hidden="true" />
      <span>
        First: {task.task.name.toLowerCase()} on {machine.machine.tag}, {reason}
      </span>
    </Link>
  );
}

const CHOICE =
  "inline-flex min-h-10 items-center gap-1.5 px-3 text-quiet aria-pressed:bg-wash aria-pressed:text-ink aria-pressed:font-semibold max-sm:min-h-12";

const VIEWS = [
  { view: "reach", words: "Reach", icon: ChartNoAxesGantt },
  { view: "table", words: "Table", icon: Table2 },
] as const;

/** How far ahead the reach looks. */
function ReachChoice(): ReactElement {
  const dispatch = useAppDispatch();
  const reach = useAppSelector((state) => state.preferences.reach);
  return (
    <label className="flex items-center gap-2 text-quiet">
      Looks ahead
      <select
        className="min-h-10 rounded-[3px] border border-rule bg-ground px-2 text-ink max-sm:min-h-12"
        value={reach}
        onChange={(event) => {
          const chosen = REACHES.find(([days]) => String(days) === event.target.value);
          if (chosen !== undefined) dispatch(preferred({ reach: chosen[0] }));
        }}
      >
        {REACHES.map(([days, words]) => (
          <option key={days} value={days}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

function ViewChoice(): ReactElement {
  const dispatch = useAppDispatch();
  const shown = useAppSelector((state) => state.preferences.aheadAs);
  return (
    <div role="group" aria-label="Show as" className="flex rounded-[3px] border border-rule">
      {VIEWS.map(({ view, words, icon: Icon }) => (
        <button
          key={view}
          type="button"
          aria-pressed={view === shown}
          className={CHOICE}
          onClick={() => dispatch(preferred({ aheadAs: view }))}
        >
          <Icon size={18} aria-hidden="true" />
          {words}
        </button>
      ))}
    </div>
  );
}
