import { demonstrationBook } from "@yonderfell/demo";
import type { Book } from "../book/file/book.js";
import { settingsOf } from "../book/records/settings.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { addDays, dayOf } from "../calendar/dayNumber.js";
import { reckonBook } from "../schedule/reckonBook.js";
import { onTime, type OnTimeShare } from "./onTime.js";
import { turnsDone } from "./turns.js";

const TODAY = dayOf("2026-11-23");
const FROM = addDays(TODAY, -365);
const ASKED = { from: FROM, to: TODAY, today: TODAY };

const COUNTS = ["inTime", "withinGrace", "late", "notKnown"] as const;
const summed = (all: readonly OnTimeShare[]): number[] =>
  COUNTS.map((count) => all.reduce((sum, one) => sum + one[count], 0));

test("months and kinds add up to the whole, which is every turn of every machine", () => {
  const book = demonstrationBook(TODAY);
  const told = onTime(book, ASKED);
  expect(summed(told.months)).toEqual(summed([told.all]));
  expect(summed(told.kinds)).toEqual(summed([told.all]));
  const settings = settingsOf(book);
  const turns = [...recordsByMachine(book).values()].flatMap((records) =>
    turnsDone(records, settings, FROM, TODAY),
  );
  expect(summed([told.all]).reduce((sum, count) => sum + count, 0)).toBe(turns.length);
  expect(turns.length).toBeGreaterThan(50);
  const { inTime, withinGrace, late, share, withGrace } = told.all;
  expect(share).toBeCloseTo(inTime / (inTime + withinGrace + late), 12);
  expect(withGrace).toBeCloseTo((inTime + withinGrace) / (inTime + withinGrace + late), 12);
});

test("what is overdue is what the board says, the longest first", () => {
  const book = demonstrationBook(TODAY);
  const { overdue, backlog } = onTime(book, ASKED);
  const board = reckonBook(book, TODAY).flatMap(({ tasks }) =>
    tasks.filter(({ status }) => status === "overdue").map(({ task }) => task.id),
  );
  expect(overdue.map(({ task }) => task).toSorted()).toEqual(board.toSorted());
  const since = overdue.map((one) => one.since ?? Infinity);
  expect(since).toEqual(since.toSorted((one, other) => one - other));
  expect(backlog.jobs).toBeGreaterThan(overdue.length);
});

const stop = (id: string, since: string, released: string | null): object => ({
  ...{ id, since, reason: id },
  released: released === null ? null : { on: released, by: "et", done: "mended" },
});
const found = (id: string, day: string, more: object): object => ({
  ...{ id, machine: "bus", found: day, decision: "now", ...more },
});
const BOOK = {
  machines: [
    {
      ...{ id: "bus", tag: "07", name: "Bus", kind: "bus" },
      stops: [
        stop("long ago", "2024-01-01", "2024-02-01"),
        stop("over", "2025-12-01", "2025-12-11"),
        stop("still", "2026-11-20", null),
      ],
    },
  ],
  findings: [
    found("before", "2025-01-01", {}),
    found("worked", "2026-01-01", {}),
    found("said", "2026-01-02", { closed: { on: "2026-01-12", by: "et", how: "gone by itself" } }),
    found("open", "2026-01-03", { minutes: 30 }),
    found("watched", "2026-01-03", { decision: "watch", minutes: 60 }),
    found("declined", "2026-01-04", { decision: "declined", reason: "sold soon" }),
  ],
  entries: [{ id: "e", machine: "bus", date: "2026-01-05", closes: ["worked"] }],
} as unknown as Book;

test("days out of service are those that touch the days asked for; those that still are stand first", () => {
  expect(onTime(BOOK, ASKED).outOfService).toMatchObject([
    { reason: "still", released: null, days: 3 },
    { reason: "over", released: "2025-12-11", days: 10 },
  ]);
});

test("what was found is followed up to its end, and what is to be put right waits", () => {
  const { followedUp, backlog } = onTime(BOOK, ASKED);
  expect(followedUp).toEqual({
    ...{ found: 5, byWork: 1, byPerson: 1, declined: 1, open: 2 },
    // 4 and 10 days.
    days: 7,
  });
  // "before" has no minutes, "open" 30; what is only watched does not wait.
  expect(backlog).toEqual({ jobs: 2, minutes: 30, withoutMinutes: 1 });
});

test("where no turn can be judged there is no share", () => {
  const { all, months, kinds } = onTime(BOOK, ASKED);
  expect(all).toMatchObject({ share: null, withGrace: null });
  expect([months, kinds]).toEqual([[], []]);
});
