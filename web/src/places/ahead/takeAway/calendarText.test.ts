import {
  acceptVisits,
  addDays,
  applyChange,
  formatDay,
  likelyDay,
  reckonBoard,
  sliceOf,
  VISIT_NEEDS,
  type Book,
  type Change,
  type DayNumber,
  type MachineId,
  type TaskId,
  type VisitId,
} from "@yonderfell/core";
import { refreshed } from "../../../../test/refreshed.js";
import ICAL from "ical.js";
import Papa from "papaparse";
import { changeOf } from "../../../../test/changeOf.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { MemoryStorage } from "../../../../test/memoryStorage.js";
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

const NINE = new Date(Date.UTC(2026, 10, 23, 9));

/** The calendar of a book as text. */
async function textOf(book: Book, today: DayNumber, now: Date, name: string): Promise<string> {
  const storage = new MemoryStorage();
  await storage.fill(book);
  const update = await refreshed(new VisitKeeper(storage), today);
  const machines = update?.machines ?? [];
  return calendarText({
    name,
    board: reckonBoard(book, today),
    visits: [...missedVisits(machines), ...listVisits(machines, null)],
    today,
    now,
  });
}

/** The calendar of a book, read again by another program. */
async function readCalendar(book: Book, today: DayNumber, now = NINE): Promise<Read[]> {
  const text = await textOf(book, today, now, "Skarrow Vale");
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
  const events = await readCalendar(BOOK, TODAY);
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  expect(events.every(({ isDay }) => isDay)).toBe(true);
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

test("a visit that is moved keeps its id, and a file written later has the higher number, whatever the book has counted", async () => {
  const [visit] = BOOK.visits ?? [];
  if (visit === undefined) throw new Error("the demonstration has visits");
  const before = await readCalendar(BOOK, TODAY);
  const visits = [{ ...visit, date: "2027-01-11" }];
  const moved = await readCalendar({ ...BOOK, visits }, TODAY, new Date(NINE.getTime() + 1000));
  const uid = `visit-${visit.id}@yonderfell`;
  expect(moved.filter((one) => one.uid.startsWith("visit-"))).toMatchObject([
    { uid, date: "2027-01-11" },
  ]);
  const number = (events: readonly Read[]): number =>
    events.find((one) => one.uid === uid)?.sequence ?? NaN;
  expect(number(moved)).toBeGreaterThan(number(before));
});

test("each event is on the day the board has it, in whatever zone the program runs", async () => {
  const events = await readCalendar(BOOK, TODAY);
  const due = new Map<string, string>(
    reckonBoard(BOOK, TODAY).flatMap(({ tasks }) =>
      tasks.flatMap((task) => {
        const day = likelyDay(task);
        return day === null ? [] : [[`due-${task.task.id}@yonderfell`, formatDay(day)] as const];
      }),
    ),
  );
  const dated = events.filter(({ uid }) => due.has(uid));
  expect(dated.length).toBeGreaterThan(20);
  expect(dated.map(({ date }) => date)).toEqual(dated.map(({ uid }) => due.get(uid)));
});

/** Oil on the bus in four days, decided on. */
function visitOfTheBus(): Change {
  const bus = sliceOf(BOOK, "m-bus" as MachineId, VISIT_NEEDS);
  if (bus === null) throw new Error("no bus");
  const visit = { day: addDays(TODAY, 4), tasks: ["t-bus-oil" as TaskId] };
  const context = { today: TODAY, newId: () => "v-new", since: null };
  return changeOf(acceptVisits(bus, [visit], context));
}

test("a visit stands for the tasks in it: they have no events of their own", async () => {
  const change = visitOfTheBus();
  const uids = (await readCalendar(applyChange(BOOK, change), TODAY)).map(({ uid }) => uid);
  expect(uids).toContain("visit-v-new@yonderfell");
  expect(uids).not.toContain("due-t-bus-oil@yonderfell");
});

test("names and ids cannot add lines of their own, and control characters are dropped", async () => {
  const evil = "v\r\nATTENDEE:x;y,z\\";
  const visits = (BOOK.visits ?? []).map((one) => ({
    ...one,
    id: evil as VisitId,
    note: "a\u0007b",
  }));
  const text = await textOf({ ...BOOK, visits }, TODAY, NINE, "Vale; north,\nsouth\u0000");
  const [, ...rest] = text.split(/\r\n(?! )/);
  expect(rest.every((line) => /^[A-Z-]+[:;]/.test(line))).toBe(true);
  expect(rest.some((line) => line.startsWith("ATTENDEE"))).toBe(false);
  // eslint-disable-next-line no-control-regex
  expect(text).not.toMatch(/[\u0000-\u0008\u007f]/);
  const calendar = ICAL.Component.fromString(text);
  // The reader leaves this property as it is written.
  expect(calendar.getFirstPropertyValue("name")).toBe("Vale\\; north\\,\\nsouth");
  const uids = calendar.getAllSubcomponents("vevent").map((one) => new ICAL.Event(one).uid);
  expect(uids).toContain("visit-v\nATTENDEE:x;y,z\\@yonderfell");
});

test("what is only proposed is not in the calendar", async () => {
  const change = visitOfTheBus();
  const before = await readCalendar(BOOK, TODAY);
  const after = await readCalendar(applyChange(BOOK, change), TODAY);
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
