import {
  acceptVisits,
  addDays,
  applyChange,
  reckonBoard,
  type Book,
  type DayNumber,
  type TaskId,
} from "@yonderfell/core";
import ICAL from "ical.js";
import Papa from "papaparse";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { MemoryStorage } from "../../../data/memoryStorage.js";
import { textOfGuarded } from "../../../work/csvText.js";
import { VisitKeeper } from "../../../work/visitKeeper.js";
import { listVisits, missedVisits } from "../visits/visitModel.js";
import { calendarText } from "./calendarText.js";
import { dueTable } from "./dueTable.js";

interface Read {
  readonly uid: string;
  readonly date: string;
  readonly isDay: boolean;
  readonly summary: string;
  readonly description: string;
  readonly sequence: number;
}

/** The calendar of a book, read again by another program. */
async function readCalendar(book: Book, today: DayNumber, sequence: number): Promise<Read[]> {
  const storage = new MemoryStorage();
  await storage.fill(book);
  const update = await new VisitKeeper(storage).refresh(today);
  const machines = update?.machines ?? [];
  const text = calendarText({
    name: "Skarrow Vale",
    board: reckonBoard(book, today),
    visits: [...missedVisits(machines), ...listVisits(machines, null)],
    today,
    sequence,
    now: new Date(Date.UTC(2026, 10, 23, 9)),
  });
  const calendar = ICAL.Component.fromString(text);
  return calendar.getAllSubcomponents("vevent").map((one) => {
    const event = new ICAL.Event(one);
    return {
      uid: event.uid,
      date: event.startDate.toString(),
      isDay: event.startDate.isDate,
      summary: event.summary,
      description: event.description,
      sequence: event.sequence,
    };
  });
}

test("visits of the book and due dates are whole days with ids of their own, read by another program", async () => {
  const events = await readCalendar(BOOK, TODAY, 3);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  expect(events.every(({ isDay, sequence }) => isDay && sequence === 3)).toBe(true);
  const visits = events.filter(({ uid }) => uid.startsWith("visit-"));
  expect(visits.map(({ uid }) => uid).sort()).toEqual(
    (BOOK.visits ?? []).map(({ id }) => `visit-${id}@yonderfell`).sort(),
  );
  const mower = visits.find(({ uid }) => uid === "visit-v-mower@yonderfell");
  expect(mower).toMatchObject({ date: BOOK.visits?.[0]?.date });
  expect(mower?.summary).toContain("12 Flail mower: ");
  const oil = events.find(({ uid }) => uid === "due-t-bus-oil@yonderfell");
  expect(oil?.summary).toBe("07 Library bus: Engine oil and filter due");
  expect(oil?.description).toMatch(/^Likely \d+ Dec 2026, between .*\. soon, /);
});

test("a visit that is moved keeps its id, and the newer file has the higher number", async () => {
  const [visit] = BOOK.visits ?? [];
  if (visit === undefined) throw new Error("the demonstration has visits");
  const visits = [{ ...visit, date: "2027-01-11" }];
  const moved = await readCalendar({ ...BOOK, visits }, TODAY, 4);
  expect(moved.filter(({ uid }) => uid.startsWith("visit-"))).toMatchObject([
    { uid: `visit-${visit.id}@yonderfell`, date: "2027-01-11", sequence: 4 },
  ]);
});

test("what is only proposed is not in the calendar", async () => {
  const context = { today: TODAY, newId: () => "v-new", since: null };
  const tasks = ["t-bus-oil" as TaskId];
  const change = acceptVisits(
    [{ machine: "m-bus" as never, day: addDays(TODAY, 4), tasks }],
    context,
  );
  const before = await readCalendar(BOOK, TODAY, 1);
  const after = await readCalendar(applyChange(BOOK, change), TODAY, 1);
  const ids = (events: readonly Read[]): Set<string> => new Set(events.map(({ uid }) => uid));
  const known = ids(before);
  expect([...ids(after)].filter((uid) => !known.has(uid))).toEqual(["visit-v-new@yonderfell"]);
});

test("the due list has a row for each task that is not finished, dates as dates, formulas held harmless", () => {
  const named: Book = {
    ...BOOK,
    machines: (BOOK.machines ?? []).map((one) =>
      one.tag === "07" ? { ...one, name: "=HYPERLINK()" } : one,
    ),
  };
  const board = reckonBoard(named, TODAY);
  const { data } = Papa.parse<string[]>(textOfGuarded(dueTable(board, TODAY)).slice(1).trimEnd());
  const wanted = board.flatMap(({ tasks }) => tasks.filter((one) => one.status !== "finished"));
  expect(data).toHaveLength(1 + wanted.length);
  const brake = data.find((row) => row[0] === "07" && row[2] === "Brake fluid");
  expect(brake?.slice(1, 9)).toEqual([
    ...["'=HYPERLINK()", "Brake fluid", "overdue", "", "2026-10-20", "2026-10-20", "2026-10-20"],
    "5 weeks over",
  ]);
});
