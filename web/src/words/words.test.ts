import { Dexie } from "dexie";
import { BookGone } from "../data/bookGone.js";
import {
  dayOf,
  type BoardMachine,
  type Book,
  type Forecast,
  type TaskReckoning,
} from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../test/skarrowVale.js";
import { because } from "./because.js";
import { errorWords, isOfStore } from "./errorWords.js";
import {
  amount,
  dateRange,
  dialFigureWithUnit,
  figure,
  inWords,
  shortDate,
  spanOfDays,
} from "./format.js";
import { stripWords } from "./statusWords.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ").replaceAll("\u2060", "");
const forecast = (early: string, late: string): Forecast => ({
  early: dayOf(early),
  likely: dayOf(early),
  late: dayOf(late),
});

test.each([
  [forecast("2026-12-02", "2026-12-19"), "2–19 Dec"],
  [forecast("2026-11-28", "2026-12-05"), "28 Nov – 5 Dec"],
  [forecast("2027-11-28", "2027-12-05"), "28 Nov – 5 Dec 2027"],
  [forecast("2027-12-28", "2028-01-05"), "28 Dec 2027 – 5 Jan 2028"],
  [forecast("2026-12-02", "2026-12-02"), "2 Dec"],
])("a range is told as short as it stays plain: %#", (range, words) => {
  expect(plain(dateRange(range, TODAY))).toBe(words);
});

test("a date near today goes without its year, one far off has it", () => {
  expect(plain(shortDate(dayOf("2026-12-09"), TODAY))).toBe("9 Dec");
  expect(plain(shortDate(dayOf("2028-12-09"), TODAY))).toBe("9 Dec 2028");
  expect(plain(shortDate(dayOf("2025-12-09"), TODAY))).toBe("9 Dec 2025");
});

test.each([
  [figure(1234567.4), "1 234 567"],
  [figure(-0.4), "0"],
  [figure(-1200), "−1 200"],
  [dialFigureWithUnit(1286.49, "h"), "1 286.5 h"],
  [amount(5.94, "h"), "5.9 h"],
  [amount(6.01, "h"), "6 h"],
  [amount(950.2, "km"), "950 km"],
  [spanOfDays(1), "1 day"],
  [spanOfDays(34), "5 weeks"],
  [spanOfDays(400), "13 months"],
  [inWords(0), "none"],
  [inWords(13), "13"],
])("%s", (words, expected) => expect(plain(words)).toBe(expected));

/** All the reasons for a task, as one text. */
function reasons(machine: BoardMachine, task: string): string {
  const found = machine.tasks.find((candidate) => candidate.task.id === task);
  if (found === undefined) throw new Error(`no task ${task}`);
  const { limits, remarks } = because(found, { machine, today: TODAY });
  return plain(
    [...limits.flatMap(({ name, sentences }) => [`[${name}]`, ...sentences]), ...remarks].join(" "),
  );
}

test("a limit on a replaced meter is told in the figures of both dials", () => {
  expect(reasons(onTheBoard("m-bus"), "t-bus-oil")).toBe(
    "[Odometer limit] Last done 15 Jan 2026 at 86 163 km on the old dial. Every 12 000 km: due at 11 924 km on this dial. Running 36 km a day (from 91 readings over 2 years, the latest counting most): about 12 Dec (6–20 Dec). 500 km of grace before it is overdue. [12-month limit] Last done 15 Jan 2026. Every 12 months: due on 15 Jan 2027. The odometer limit comes first; the 12-month limit is 5 weeks later, 15 Jan 2027. By the handbook intervals.",
  );
});

test.each([
  ["m-bus", "t-bus-air", "With every second Engine oil and filter: due at 23 924 km on this dial."],
  ["m-bus", "t-bus-nuts", "Comes once after Wheels off, brakes looked over, done"],
  [
    "m-bus",
    "t-bus-test",
    "which counts for 3 Apr 2026. On fixed points, every 12 months: due on 3 Apr 2027. Required by law or warranty: no grace.",
  ],
  ["m-mower", "t-mower-flails", "Reached about 18 Nov; 9.3 h over now."],
  ["m-mower", "t-mower-oil", "At 50 h, then every 150 h: due at"],
  [
    "m-hatch",
    "t-hatch-belt",
    "[Odometer limit, 60-month limit] No record of it, and the machine came without its history",
  ],
  [
    "m-hatch",
    "t-hatch-belt",
    "Doubtful: the odometer limit and the 60-month limit cannot be reckoned.",
  ],
  ["m-hatch", "t-hatch-running-in", "Nothing is due until it is done again."],
])("the reasons of %s %s hold what can be checked by hand", (machine, task, words) => {
  expect(reasons(onTheBoard(machine), task)).toContain(words);
});

/** The demonstration book with one machine changed. */
function withMachine(id: string, change: (machine: Record<string, unknown>) => object): Book {
  const machines = (BOOK.machines ?? []).map((machine) =>
    machine.id === id ? { ...machine, ...change(machine) } : machine,
  );
  return { ...BOOK, machines };
}

test("a stopped meter and one never read make their tasks doubtful, with the reason", () => {
  const stopped = withMachine("m-bus", (machine) => ({
    meters: (machine["meters"] as object[]).map((meter) => ({ ...meter, stoppedOn: "2026-11-01" })),
  }));
  expect(reasons(onTheBoard("m-bus", stopped), "t-bus-oil")).toContain(
    "Doubtful: the odometer is stopped since 1 Nov 2026; its figures are reckoned.",
  );
  const unread: Book = { ...BOOK, readings: [], entries: [], meterChanges: [] };
  expect(reasons(onTheBoard("m-mower", unread), "t-mower-grease")).toContain(
    "Doubtful: the engine hours has never been read.",
  );
});

test("words beside a strip say the date and what is left, or plainly that there is none", () => {
  const words = (machine: string, task: string): string => {
    const board = onTheBoard(machine);
    const found = board.tasks.find((candidate) => candidate.task.id === task) as TaskReckoning;
    const { strong, rest } = stripWords(found, board, TODAY);
    return plain(`${strong} | ${rest}`);
  };
  expect(words("m-bus", "t-bus-brake-fluid")).toBe("Overdue since 20 Oct | 24-month limit");
  expect(words("m-bus", "t-bus-lift")).toBe("29 Nov | 6-month limit, no grace");
  expect(words("m-hatch", "t-hatch-belt")).toBe("Unknown | no record to count from");
  expect(words("m-hatch", "t-hatch-running-in")).toBe("Finished | nothing to come");
});

test.each([
  [new DOMException("x", "QuotaExceededError"), "no room left"],
  [
    Object.assign(new Error("wrapped"), {
      name: "AbortError",
      inner: new DOMException("x", "QuotaExceededError"),
    }),
    "no room left",
  ],
  [Object.assign(new Error("closed"), { name: "DatabaseClosedError" }), "another tab"],
  [new DOMException("Internal error", "UnknownError"), "most likely full"],
  [
    Object.assign(new Error("closed"), {
      name: "DatabaseClosedError",
      inner: new DOMException("Internal error", "UnknownError"),
    }),
    "most likely full",
  ],
  [
    Object.assign(new Error("1 of 1 operations failed"), {
      name: "BulkError",
      failures: [new DOMException("x", "AbortError")],
    }),
    "broke off writing",
  ],
  [new BookGone(), "Books, which offers it back"],
  [new Error("something else"), "something else"],
  ["plain words", "plain words"],
])("an error of the store is told with what to do: %#", (error, words) => {
  expect(errorWords(error)).toContain(words);
});

test("whatever the library of the store throws is of the store, and a mistake of the program is not", () => {
  expect(isOfStore(new Dexie.NotFoundError("no such store"))).toBe(true);
  expect(isOfStore(new DOMException("x", "QuotaExceededError"))).toBe(true);
  expect(isOfStore(new TypeError("x is undefined"))).toBe(false);
});
