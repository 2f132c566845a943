import {
  applyChange,
  dayOf,
  logWork,
  machineBookOf,
  settingsOf,
  type Entry,
  type EntryId,
  type MachineBook,
  type MachineId,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../../test/skarrowVale.js";
import { lookingAhead } from "../../data/lookingAhead.js";
import {
  formOf,
  inputFrom,
  logOutlook,
  reckonedTexts,
  unasked,
  withReckonedFigures,
  type LogForm,
} from "./logModel.js";

const SETTINGS = settingsOf(BOOK);

function busBook(): MachineBook {
  const book = machineBookOf(BOOK, "m-bus" as MachineId);
  if (book === null) throw new Error("Skarrow Vale has a library bus");
  return book;
}

const FORM: LogForm = {
  date: "2026-11-23",
  tasks: ["t-bus-oil"],
  tests: [],
  figures: [unasked("odo", "11215", false), unasked("hrs", "675.8", false)],
  note: "",
};

const outlook = (form: LogForm, correcting: EntryId | null = null): ReturnType<typeof logOutlook> =>
  logOutlook(busBook(), SETTINGS, form, TODAY, correcting);

test("the dials are filled in as reckoned for the day: whole kilometres, tenths of hours", () => {
  const today = reckonedTexts(busBook(), SETTINGS, TODAY, TODAY);
  expect(today.get("odo" as never)).toMatch(/^\d{5}$/);
  expect(today.get("hrs" as never)).toMatch(/^\d{3}\.\d$/);
  const before = reckonedTexts(busBook(), SETTINGS, dayOf("2026-01-18"), TODAY);
  expect(Number(before.get("odo" as never))).toBeGreaterThan(86000);
});

test("another day reckons untouched figures anew and leaves written ones", () => {
  const reckoned = new Map([
    ["odo", "5000"],
    ["hrs", "600.0"],
  ]) as never;
  const figures = [unasked("odo", "11215", false), unasked("hrs", "670", true)];
  expect(withReckonedFigures(figures, reckoned).map((figure) => figure.text)).toEqual([
    "5000",
    "670",
  ]);
});

test("what would come of it is known before it is saved, and nothing is stored by looking", () => {
  const { moves, issues, before, after } = outlook(FORM);
  expect(issues).toEqual([]);
  const oil = moves.find((move) => move.task === "t-bus-oil");
  expect(oil?.status).toBe("clear");
  expect(moves.map((move) => move.task)).toContain("t-bus-air");
  expect(before.tasks).toHaveLength(after.tasks.length);
  expect(busBook().entries).toEqual(
    (BOOK.entries ?? []).filter((entry) => entry.machine === "m-bus"),
  );
});

test.each<[string, Partial<LogForm>, string]>([
  ["no day", { date: "" }, "date-missing"],
  ["a day to come", { date: "2026-11-24" }, "day-in-future"],
  ["nothing done", { tasks: [] }, "nothing-done"],
  ["letters for a figure", { figures: [unasked("odo", "12a", true)] }, "figure-unreadable"],
  ["a figure that goes back", { figures: [unasked("odo", "50", true)] }, "figure-refused"],
])("%s stands in the way", (_, part, code) => {
  const found = outlook({ ...FORM, ...part });
  expect(found.issues.map((issue) => issue.code)).toEqual([code]);
  expect(found.after).toBe(found.before);
});

test("a figure left empty is left out", () => {
  const { input } = inputFrom({
    ...FORM,
    figures: [unasked("odo", " ", true), unasked("hrs", "676", true)],
  });
  expect(input?.figures).toEqual([{ meter: "hrs", value: 676, estimated: false, answer: null }]);
});

test("a figure in doubt stays named while it is being answered", () => {
  const figure = { ...unasked("odo", "50", true), choice: "replaced" as const };
  const answer = { ...figure.answer, day: "2026-11-22", oldFinal: "11179" };
  const found = outlook({ ...FORM, figures: [{ ...figure, answer }] });
  expect([...found.doubts.keys()]).toEqual(["odo"]);
  expect(found.issues).toEqual([]);
});

test("an entry comes back into the form as it was saved, and its correction is looked at without it", () => {
  const input = inputFrom({
    ...FORM,
    note: "9.8 L in",
    figures: [unasked("odo", "11300", true)],
  }).input;
  if (input === null) throw new Error("the form can be read");
  const saved = logWork(busBook(), input, lookingAhead(TODAY));
  if (!saved.ok) throw new Error("refused");
  const book = applyChange(busBook(), saved.value);
  const entry = book.entries.at(-1) as Entry;
  const form = formOf(entry, book);
  expect(form).toMatchObject({ date: "2026-11-23", tasks: ["t-bus-oil"], note: "9.8 L in" });
  expect(form.figures.map(({ meter, text, isOwn }) => [meter, text, isOwn])).toEqual([
    ["odo", "11300", true],
    ["hrs", "", true],
  ]);
  const lower = { ...form, figures: [unasked("odo", "11250", true)] };
  expect(logOutlook(book, SETTINGS, lower, TODAY, entry.id).issues).toEqual([]);
  expect(logOutlook(book, SETTINGS, lower, TODAY, null).issues.map((issue) => issue.code)).toEqual([
    "figure-refused",
  ]);
});
