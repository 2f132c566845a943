import { formatDay } from "@yonderfell/core";
import { CalendarDays, Table2 } from "lucide-react";
import type { ReactElement } from "react";
import { downloadFile } from "../../../session/downloadFile.js";
import { notifySuccess } from "../../../session/notify.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { textOfGuarded } from "../../../work/csvText.js";
import { fileName } from "../../../words/exportFileName.js";
import { listVisits, missedVisits } from "../visits/visitModel.js";
import { calendarText } from "./calendarText.js";
import { dueTable } from "./dueTable.js";

/** The plan to take away: a calendar of visits and due dates, and the due list as a table. */
export default function TakeAway(): ReactElement {
  const { entry } = useBook();
  const board = useAppSelector((state) => state.board.machines);
  const { machines, phase } = useAppSelector((state) => state.visits);
  const today = useAppSelector((state) => state.session.today);
  const date = formatDay(today);
  const give = (text: string, type: string, name: string): void => {
    downloadFile(new Blob([text], { type }), name);
    notifySuccess(`${name} is in the folder of your downloads.`);
  };
  const calendar = (): void => {
    const visits = [...missedVisits(machines), ...listVisits(machines, null)];
    const source = { name: entry.name, board, visits, today, now: new Date() };
    give(calendarText(source), "text/calendar", fileName(entry.name, "calendar", date, "ics"));
  };
  const list = (): void => {
    const text = textOfGuarded(dueTable(board, today));
    give(text, "text/csv", fileName(entry.name, "due-list", date, "csv"));
  };
  return (
    <section aria-labelledby="take-away" className="mt-8 print:hidden">
      <h2 id="take-away" className="text-large font-bold">
        Take it away
      </h2>
      <p className="mb-2 max-w-[68ch] text-quiet">
        The calendar holds the visits in the book and the days on which other work falls due; taken
        into a calendar again, it replaces what it brought before.
      </p>
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className={QUIET_BUTTON}
          disabled={phase !== "ready"}
          onClick={calendar}
        >
          <CalendarDays size={18} aria-hidden="true" />
          Calendar
        </button>
        <button type="button" className={QUIET_BUTTON} onClick={list}>
          <Table2 size={18} aria-hidden="true" />
          Due list as a table
        </button>
      </div>
    </section>
  );
}
