import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import {
  addDays,
  formatDay,
  mondayOf,
  parseDay,
  ridgeOf,
  type DayNumber,
  type TaskId,
  type Week,
} from "@yonderfell/core";
import { CheckCheck } from "lucide-react";
import {
  lazy,
  Suspense,
  useMemo,
  useRef,
  useState,
  type ReactElement,
  type RefObject,
} from "react";
import { useSearchParams } from "react-router";
import { notifyFailure } from "../../../session/notify.js";
import { useAppSelector } from "../../../session/store.js";
import { useVisits } from "../../../session/useVisits.js";
import type { VisitsState } from "../../../session/visits.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { counted } from "../../../words/format.js";
import { hoursWords, weekdayDate } from "../../../words/visitWords.js";
import { AskCurrency } from "../../shared/currency/AskCurrency.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { EmptyPlace } from "../../../ui/EmptyPlace.js";
import { AheadPage } from "../AheadPage.js";
import { MakeRoom } from "./MakeRoom.js";
import { MissedVisits } from "./MissedVisits.js";
import { Ridge, weekAt } from "./Ridge.js";
import type { VisitMove } from "./roomModel.js";
import { useReleasePoint } from "./useReleasePoint.js";
import { useRoom } from "./useRoom.js";
import { useTaskNames } from "./useTaskNames.js";
import { useVisitChanges, type VisitChanges } from "./useVisitChanges.js";
import { daysFor, listVisits, type ListedVisit, type Moving } from "./visitModel.js";
import { VisitIssues } from "./VisitIssues.js";
import { VisitPanel } from "./VisitPanel.js";
import { VisitRow } from "./VisitRow.js";
import { VisitsSummary } from "./VisitsSummary.js";
import { Weights } from "./Weights.js";
import { again } from "../../../ui/again.js";

const TakeAway = lazy(again(() => import("../takeAway/TakeAway.js")));

/** So far a pointer moves before a line is dragged rather than pressed, in pixels. */
const DRAG_FROM = 6;
const DRAGGING = { activationConstraint: { distance: DRAG_FROM } };
/** So many visits are listed before more are asked for. */
const LISTED_AT_ONCE = 60;

/** The visits ahead: what is brought together when, what each week holds, and what cannot be kept to. */
export default function VisitsPage(): ReactElement {
  const visits = useVisits();
  return (
    <AheadPage title="Visits">
      {visits.machines.length === 0 && visits.phase === "ready" ? (
        <EmptyPlace words="What is best brought together on one day stands here, with what each visit costs, against the hours there are each week. It needs a machine with tasks." />
      ) : visits.machines.length === 0 ? (
        <p role="status" className="py-10 text-quiet">
          {visits.phase === "failed"
            ? `The visits could not be planned: ${visits.reason}. Reload the page to try again.`
            : "Planning the visits"}
        </p>
      ) : (
        <Plan visits={visits} />
      )}
    </AheadPage>
  );
}

function useTasksOf(): (machine: string) => readonly TaskId[] {
  const board = useAppSelector((state) => state.board.machines);
  return (machine) =>
    board.find((one) => one.machine.id === machine)?.tasks.map(({ task }) => task.id) ?? [];
}

/** What the parts of the page share. */
interface Planned {
  readonly visits: VisitsState;
  readonly listed: readonly ListedVisit[];
  readonly ridge: readonly Week<ListedVisit>[];
  readonly today: DayNumber;
  readonly nameOf: (task: TaskId) => string;
  readonly changes: VisitChanges;
  /** The visit whose panel stands open, empty where none does. */
  readonly open: string;
  readonly onOpen: (key: string) => void;
  readonly onMove: (moving: Moving | null) => void;
  readonly week: DayNumber | null;
  readonly onWeek: (monday: DayNumber | null) => void;
  /** The heading of the list of visits. */
  readonly head: RefObject<HTMLHeadingElement | null>;
}

function Plan({ visits }: { readonly visits: VisitsState }): ReactElement {
  const { machines, planning, weekHours } = visits;
  const today = useAppSelector((state) => state.session.today);
  const nameOf = useTaskNames();
  const [open, onOpen] = useState("");
  const changes = useVisitChanges((id) => onOpen((key) => (key === "" ? key : id)));
  const [moving, onMove] = useState<Moving | null>(null);
  const [week, onWeek] = useChosenWeek();
  const listed = useMemo(() => listVisits(machines, moving), [machines, moving]);
  const ridge = useMemo(() => ridgeOf(listed, weekHours), [listed, weekHours]);
  const released = useReleasePoint();
  const dragged = ({ active }: DragEndEvent): void => {
    const visit = listed.find(({ key }) => key === active.id);
    const monday = weekAt(released.current);
    if (visit === undefined || monday === null) return;
    const first = daysFor(visit, today, planning).find(({ day }) => mondayOf(day) === monday);
    onOpen(visit.key);
    if (first !== undefined) onMove({ key: visit.key, day: first.day });
    else notifyFailure("On no day of that week may all of it be done.");
  };
  const sensors = useSensors(useSensor(PointerSensor, DRAGGING));
  const lookAt = (monday: DayNumber | null): void => {
    onWeek(monday);
    // What stands open elsewhere has nothing to do with the week.
    const inHand = listed.find(({ key }) => key === open);
    if (monday === null || inHand === undefined || mondayOf(inHand.day) === monday) return;
    onOpen("");
    onMove(null);
  };
  const head = useRef<HTMLHeadingElement>(null);
  const goTo = (monday: DayNumber): void => {
    lookAt(monday);
    head.current?.focus();
  };
  const planned: Planned = {
    ...{ visits, listed, ridge, today, nameOf, changes, open, onOpen, onMove, week, onWeek, head },
  };
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dragged}>
      <VisitsSummary {...{ listed, ridge, today, goTo }} />
      <AskCurrency />
      <VisitIssues machines={machines} nameOf={nameOf} today={today} />
      <MissedVisits machines={machines} nameOf={nameOf} today={today} planning={planning} />
      <Ridge
        weeks={ridge}
        chosen={week}
        onChoose={(monday) => lookAt(monday === week ? null : monday)}
      />
      <ListHead {...planned} />
      <VisitList {...planned} />
      <Suspense>
        <TakeAway />
      </Suspense>
      <Weights />
    </DndContext>
  );
}

/** The week chosen, by its Monday, kept in the address so that one comes back to the same. */
function useChosenWeek(): readonly [DayNumber | null, (monday: DayNumber | null) => void] {
  const [search, setSearch] = useSearchParams();
  const day = parseDay(search.get("week") ?? "");
  const choose = (monday: DayNumber | null): void =>
    setSearch(monday === null ? {} : { week: formatDay(monday) }, { replace: true });
  return [day === null ? null : mondayOf(day), choose];
}

/** The visits of the week chosen, or all. */
function shownOf({ week, listed, ridge }: Planned): readonly ListedVisit[] {
  if (week === null) return listed;
  return ridge.find(({ monday }) => monday === week)?.visits ?? [];
}

function ListHead(props: Planned): ReactElement {
  const { week, today, onWeek, changes, head } = props;
  const room = useRoom(props.visits, week, today);
  const currency = useCurrency();
  const acceptable = shownOf(props).filter(({ planned }) => planned.visit === null);
  const acceptAll = async (): Promise<void> => {
    // The button goes with what it did.
    if (await changes.accept(acceptable)) head.current?.focus();
  };
  const moveAll = async (moves: readonly VisitMove[]): Promise<void> => {
    if (await changes.moveAll(moves)) head.current?.focus();
  };
  return (
    <>
      <div className="mt-4 mb-2 flex min-h-10 flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <h2 ref={head} tabIndex={-1} className="text-large font-bold outline-none">
          {week === null
            ? "All visits ahead"
            : `Week of ${weekdayDate(week, today)} to ${weekdayDate(addDays(week, 6), today)}`}
        </h2>
        {week !== null && (
          <div className="flex flex-wrap gap-3">
            {acceptable.length > 0 && (
              <button type="button" className={QUIET_BUTTON} onClick={() => void acceptAll()}>
                <CheckCheck size={18} aria-hidden="true" />
                {`Accept ${counted(acceptable.length, "visit")} of this week`}
              </button>
            )}
            <button type="button" className={QUIET_BUTTON} onClick={() => onWeek(null)}>
              All weeks
            </button>
          </div>
        )}
      </div>
      {room !== null && (
        <MakeRoom {...{ room, today, currency }} onMoveAll={(moves) => void moveAll(moves)} />
      )}
    </>
  );
}

function VisitList(props: Planned): ReactElement {
  const { visits, listed, ridge, today, nameOf, changes, open, onOpen, onMove, week } = props;
  const { planning } = visits;
  const currency = useCurrency();
  const tasksOf = useTasksOf();
  const [most, setMost] = useState(LISTED_AT_ONCE);
  const shown = shownOf(props);
  // The visit in hand stays in the list, even where it has been moved out of the week.
  const inHand = listed.find(({ key }) => key === open);
  const list = inHand === undefined || shown.includes(inHand) ? shown : [...shown, inHand];
  const weekWords = (day: DayNumber): string => {
    const own = ridge.find(({ monday }) => monday === mondayOf(day));
    const there = own?.there ?? null;
    const of = there === null ? "" : ` of ${hoursWords(there)}`;
    return `${hoursWords(own?.hours ?? 0)}${of} that week`;
  };
  if (list.length === 0) {
    const where = week === null ? "in the weeks looked at" : "in this week";
    return <p className="py-4 text-quiet">{`There is no visit ${where}.`}</p>;
  }
  return (
    <>
      <ul>
        {list.slice(0, most).map((visit) => (
          <VisitRow
            key={visit.key}
            {...{ visit, nameOf, today, planning, currency }}
            isOpen={visit.key === open}
            onOpen={() => {
              onOpen(visit.key === open ? "" : visit.key);
              onMove(null);
            }}
          >
            {visit.key === open && (
              <VisitPanel
                {...{ visit, nameOf, today, planning, currency, changes, weekWords }}
                tasks={tasksOf(visit.of.machine.id)}
                onMove={(day) => onMove(day === null ? null : { key: visit.key, day })}
              />
            )}
          </VisitRow>
        ))}
      </ul>
      {list.length > most && (
        <button
          type="button"
          className={`${QUIET_BUTTON} mt-3`}
          onClick={() => setMost(most + LISTED_AT_ONCE)}
        >
          {`Show more: ${list.length - most} to come`}
        </button>
      )}
    </>
  );
}
