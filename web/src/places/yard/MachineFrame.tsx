import { currentStop, dayOf, type BoardMachine, type MachineId } from "@yonderfell/core";
import { Droplet, Gauge, NotebookPen, SearchCheck } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { Link, NavLink, useLocation, useParams } from "react-router";
import { findingOpened, meterReadingOpened } from "../../session/session.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { Page } from "../../ui/Page.js";
import { fullDate } from "../../words/format.js";
import { machinePath } from "../shared/paths.js";

const LEAVES = [
  ["", "Due"],
  ["/plan", "Plan"],
  ["/plate", "Plate"],
  ["/parts", "Parts"],
  ["/meters", "Meters"],
  ["/costs", "Costs"],
  ["/facts", "Facts"],
] as const;

/** The pages behind leaves, which have window titles of their own. */
const BEHIND = [
  ["/plan/take", "Take from a plan"],
  ["/plan/schools", "Schools"],
  ["/plan/baseline", "Taking on"],
  ["/plan/ladder", "Ladder"],
  ["/plan/task/new", "New task"],
  ["/plan/task", "Task"],
] as const;

/** The machine the address names, as it is on the board; undefined where there is none. */
export function useMachineOfAddress(): BoardMachine | undefined {
  const id = (useParams()["machineId"] ?? "") as MachineId;
  return useAppSelector((state) => state.board.machines.find((one) => one.machine.id === id));
}

/** The frame of every leaf of a machine: which one, what one does with it, and its other leaves. */
export function MachineFrame({
  machine,
  children,
}: {
  readonly machine: BoardMachine | undefined;
  readonly children: ReactNode;
}): ReactElement {
  const phase = useAppSelector((state) => state.board.phase);
  const { pathname } = useLocation();
  if (machine === undefined) {
    return (
      <Page title="Yard">
        <p className="py-8">
          {phase === "reckoning" ? "" : "The book has no such machine. "}
          <Link to="/yard" className="text-clear underline">
            All machines
          </Link>
        </p>
      </Page>
    );
  }
  const { id, tag, name } = machine.machine;
  const [, leaf] =
    [...BEHIND, ...LEAVES].find(
      ([end]) => end !== "" && pathname.startsWith(machinePath(id, end)),
    ) ?? LEAVES[0];
  const task = machine.tasks.find(
    (one) => pathname === machinePath(id, `/plan/task/${encodeURIComponent(one.task.id)}`),
  );
  const title = `${tag} ${name}`;
  const windowTitle = `${task?.task.name ?? leaf} · ${title}`;
  return (
    <Page title={title} windowTitle={windowTitle} aside={<Actions machine={machine} />}>
      <OutOfService machine={machine} />
      <nav
        aria-label="Leaves"
        className="mb-5 flex flex-wrap gap-x-1 border-b max-sm:gap-x-0 border-rule"
      >
        {LEAVES.map(([leaf, words]) => (
          <NavLink
            key={leaf}
            to={machinePath(id, leaf)}
            end={leaf === ""}
            className={({ isActive }) =>
              `-mb-px flex min-h-10 items-center border-b-[3px] px-3 max-sm:min-h-12 max-sm:px-[7px] ${isActive ? "border-clear font-semibold" : "border-transparent text-quiet hover:text-ink"}`
            }
          >
            {words}
          </NavLink>
        ))}
      </nav>
      {children}
    </Page>
  );
}

function Actions({ machine }: { readonly machine: BoardMachine }): ReactElement {
  const dispatch = useAppDispatch();
  return (
    <div className="flex flex-wrap gap-3 print:hidden">
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => dispatch(meterReadingOpened(`${machine.machine.tag} `))}
      >
        <Gauge size={18} aria-hidden="true" />
        Read a meter
      </button>
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => dispatch(meterReadingOpened(`${machine.machine.tag} +`))}
      >
        <Droplet size={18} aria-hidden="true" />
        Top up
      </button>
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => dispatch(findingOpened(machine.machine.id))}
      >
        <SearchCheck size={18} aria-hidden="true" />
        Note a finding
      </button>
      <Link to={`/log/${encodeURIComponent(machine.machine.id)}`} className={PRIMARY_BUTTON}>
        <NotebookPen size={18} aria-hidden="true" />
        Log work
      </Link>
    </div>
  );
}

/** Says on every leaf that a machine is out of service, since when and why. */
function OutOfService({ machine }: { readonly machine: BoardMachine }): ReactElement | null {
  const stop = currentStop(machine.machine);
  if (stop === null) return null;
  return (
    <p className="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1 border-y-2 border-overdue py-2">
      <strong className="text-overdue">Out of service since {fullDate(dayOf(stop.since))}</strong>
      <span>
        {stop.reason}
        {(stop.by ?? "") !== "" && <span className="text-quiet">, said by {stop.by}</span>}
      </span>
      <Link to={machinePath(machine.machine.id, "/facts")} className="ml-auto text-clear underline">
        Release it
      </Link>
    </p>
  );
}
