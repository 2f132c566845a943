import { currentStop, dayOf, type BoardMachine, type MachineId } from "@yonderfell/core";
import { Droplet, Gauge, NotebookPen, SearchCheck, Wrench, type LucideIcon } from "lucide-react";
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
  const { id, tag } = machine.machine;
  return (
    // In one row at the machine too: what stands below must not be pushed down by what is pressed.
    <div className="flex flex-wrap gap-3 max-sm:w-full max-sm:gap-1.5 print:hidden">
      <Action
        words="Read a meter"
        short="Read"
        icon={Gauge}
        onPress={() => dispatch(meterReadingOpened(`${tag} `))}
      />
      <Action
        words="Top up"
        short="Top up"
        icon={Droplet}
        onPress={() => dispatch(meterReadingOpened(`${tag} +`))}
      />
      <Action
        words="Note a finding"
        short="Finding"
        icon={SearchCheck}
        onPress={() => dispatch(findingOpened(id))}
      />
      <Link
        to={`/bench/new?machine=${encodeURIComponent(id)}`}
        aria-label="Begin a job"
        className={`${QUIET_BUTTON} ${NARROW}`}
      >
        <Wrench size={18} aria-hidden="true" className="max-sm:hidden" />
        <span className="max-sm:hidden">Begin a job</span>
        <span className="sm:hidden">Begin</span>
      </Link>
      <Link
        to={`/log/${encodeURIComponent(id)}`}
        aria-label="Log work"
        className={`${PRIMARY_BUTTON} ${NARROW}`}
      >
        <NotebookPen size={18} aria-hidden="true" className="max-sm:hidden" />
        <span className="max-sm:hidden">Log work</span>
        <span className="sm:hidden">Log</span>
      </Link>
    </div>
  );
}

/** Five of them share the width of a narrow screen. */
const NARROW = "max-sm:flex-1 max-sm:justify-center max-sm:px-1 max-sm:whitespace-nowrap";

function Action({
  words,
  short,
  icon: Icon,
  onPress,
}: {
  readonly words: string;
  readonly short: string;
  readonly icon: LucideIcon;
  readonly onPress: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={words}
      className={`${QUIET_BUTTON} ${NARROW}`}
      onClick={onPress}
    >
      <Icon size={18} aria-hidden="true" className="max-sm:hidden" />
      <span className="max-sm:hidden">{words}</span>
      <span className="sm:hidden">{short}</span>
    </button>
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
