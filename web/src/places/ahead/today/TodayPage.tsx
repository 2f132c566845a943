import type { DayNumber } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { ClipboardCheck, Printer } from "lucide-react";
import { useMemo, type ReactElement } from "react";
import { Link } from "react-router";
import { beginRoundPath } from "../../../words/beginRoundPath.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useVisits } from "../../../session/useVisits.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { EmptyPlace } from "../../../ui/EmptyPlace.js";
import { dateWithWeekday, shortDate } from "../../../words/format.js";
import { AheadPage } from "../AheadPage.js";
import { visitsOn } from "../visits/visitModel.js";
import { Meters, Stopped, Tasks, VisitsToday } from "./DayParts.js";
import { Findings } from "./Findings.js";
import { SheetChoice } from "./SheetChoice.js";
import { todayOf, type Today } from "./todayModel.js";
import { useDayBoard } from "./useDayBoard.js";
import { isFor, useSheet, type Sheet } from "./useSheet.js";
import { Term, Terms } from "../../../ui/Term.js";

/** What a day asks for, over all machines or those of one person; printed, it is the day sheet. */
export default function TodayPage(): ReactElement {
  const { entry, storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const sheet = useSheet();
  const name = people.find(({ id }) => id === sheet.who)?.name;
  const isToday = sheet.day === today;
  return (
    <AheadPage
      title={isToday ? "Today" : dateWithWeekday(sheet.day)}
      aside={
        <>
          <Link to={beginRoundPath()} className={QUIET_BUTTON}>
            <ClipboardCheck size={18} aria-hidden="true" />
            Begin a round
          </Link>
          <button type="button" className={QUIET_BUTTON} onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" />
            Print the day sheet
          </button>
        </>
      }
    >
      <SheetChoice sheet={sheet} today={today} people={people} />
      <div className="day-sheet">
        <p className="mb-4 text-quiet">
          {isToday ? dateWithWeekday(today) : reckonedWords(sheet.day, today)}
          <span className="hidden print:inline">{` · ${entry.name} · ${name === undefined ? "Done by: ____________" : `For ${name}`}`}</span>
        </p>
        <SheetOf day={sheet.day} who={sheet.who} />
        <Terms words={["grace", "reminder", "follow-up", "visit"]} />
      </div>
    </AheadPage>
  );
}

/** From what the sheet of another day is reckoned. */
function reckonedWords(day: DayNumber, today: DayNumber): string {
  return day > today
    ? `As it will stand if nothing is done or read until then (reckoned ${shortDate(today, today)}).`
    : "As it stood by what is recorded up to that day.";
}

/** All that a day asks for of the machines of somebody. */
function SheetOf({ day, who }: Pick<Sheet, "day" | "who">): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const hasMachines = useAppSelector((state) => state.board.machines.length > 0);
  const { machines, isReady, failure } = useDayBoard(day);
  const board = useMemo(() => machines.filter((one) => isFor(one, who)), [machines, who]);
  const asks = useMemo(() => todayOf(board, day), [board, day]);
  const plan = useVisits();
  const visits = useMemo(
    () => visitsOn(plan.machines, today, day).filter(({ of }) => isFor(of, who)),
    [plan.machines, today, day, who],
  );
  const isWhole = isReady && plan.phase === "ready";
  return (
    <>
      {failure !== "" && (
        <p role="alert" className="text-overdue">
          {`The day could not be reckoned: ${failure}. Choose it again to try once more.`}
        </p>
      )}
      {!isReady && day !== today && <p role="status">Reckoning the day…</p>}
      <Stopped stopped={asks.stopped} today={day} />
      <Tasks
        title="Not to be used until done"
        note={
          <>
            Past a <Term word="hard">hard limit</Term>: by law, by a licence or by the maker’s
            warranty.
          </>
        }
        tasks={asks.forbidden}
        today={day}
      />
      <VisitsToday visits={visits} today={today} plan={plan} />
      <Tasks title="Due by law or warranty" tasks={asks.byLaw} today={day} />
      <Tasks title="To follow up" tasks={asks.followUps} today={day} />
      <Tasks title="Overdue and due" tasks={asks.due} today={day} />
      <Findings findings={asks.findings} today={day} />
      <Tasks title="With each use" tasks={asks.eachUse} today={day} />
      <Meters meters={asks.meters} today={day} />
      {isReady && !hasMachines && (
        <EmptyPlace words="What a day asks of you stands here, over all machines: what must not be used, what is due, what to follow up, which meters to read. It needs a machine first." />
      )}
      {isWhole && hasMachines && visits.length === 0 && asksNothing(asks) && (
        <p className="py-10 text-quiet">
          {day === today && who === "" ? "Nothing asks for you today." : "Nothing asks for it."}
        </p>
      )}
    </>
  );
}

const asksNothing = (asks: Today): boolean =>
  Object.values(asks).every((list: readonly unknown[]) => list.length === 0);
