import {
  applyChange,
  dayOf,
  logWork,
  machineBookOf,
  readBookData,
  settingsOf,
  type Entry,
  type EntryId,
  type MachineBook,
  type MachineId,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { lookingAhead } from "../../../data/lookingAhead.js";
import {
  formOf,
  inputFrom,
  logOutlook,
  reckonedTexts,
  unasked,
  withReckonedFigures,
  type LogAround,
  type LogForm,
} from "./logModel.js";
import { NOTHING_TOOK } from "./tookModel.js";

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
  papers: [],
  followUps: "",
  figures: [unasked("odo", "11215", false), unasked("hrs", "675.8", false)],
  note: "",
  took: NOTHING_TOOK,
};

const around = (correcting: EntryId | null): LogAround => ({
  ...{ settings: SETTINGS, today: TODAY, correcting, work: null },
});

const outlook = (form: LogForm, correcting: EntryId | null = null): ReturnType<typeof logOutlook> =>
  logOutlook(busBook(), form, around(correcting));

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
  expect(logOutlook(book, lower, around(entry.id)).issues).toEqual([]);
  expect(logOutlook(book, lower, around(null)).issues.map((issue) => issue.code)).toEqual([
    "figure-refused",
  ]);
});

/** A car with wheels to take off, nuts to torque again after, and a test on fixed dates that nothing fixes. */
function carBook(): MachineBook {
  const book = readBookData({
    format: "yonderfell-book",
    version: 2,
    machines: [
      {
        id: "car",
        tag: "1",
        name: "Car",
        kind: "car",
        meters: [{ id: "odo", measure: "distance", unit: "km" }],
      },
    ],
    readings: [
      { id: "r1", machine: "car", meter: "odo", date: "2026-01-01", value: 10000 },
      { id: "r2", machine: "car", meter: "odo", date: "2026-11-01", value: 22000 },
    ],
    tasks: [
      { id: "wheels", machine: "car", name: "Wheels off", regimes: { handbook: [{ months: 12 }] } },
      {
        id: "nuts",
        machine: "car",
        name: "Wheel nuts",
        follows: { task: "wheels", meter: "odo", amount: 50 },
      },
      {
        id: "test",
        machine: "car",
        name: "Test",
        anchor: "grid",
        regimes: { handbook: [{ months: 12 }] },
      },
    ],
  });
  const car = book.ok ? machineBookOf(book.value, "car" as MachineId) : null;
  if (car === null) throw new Error("no car");
  return car;
}

const CAR: LogForm = { ...FORM, date: "2026-03-10", tasks: ["wheels"], figures: [] };
const carOutlook = (form: LogForm): ReturnType<typeof logOutlook> =>
  logOutlook(carBook(), form, around(null));
const statusOf = ({ after }: ReturnType<typeof logOutlook>, id: string): unknown =>
  after.tasks.find(({ task }) => task.id === id)?.status;

test("work of an earlier day asks once whether what follows it was done too", () => {
  const asked = carOutlook(CAR);
  expect(asked.owed.map(({ task }) => task)).toEqual(["nuts"]);
  expect(asked.issues).toEqual([{ code: "follow-ups-unsaid" }]);
  const done = carOutlook({ ...CAR, followUps: "done" });
  expect([done.issues, statusOf(done, "nuts")]).toEqual([[], "finished"]);
  const owed = carOutlook({ ...CAR, followUps: "owed" });
  expect([owed.issues, statusOf(owed, "nuts")]).toEqual([[], "overdue"]);
  expect(carOutlook({ ...CAR, date: "2026-11-23" }).owed).toEqual([]);
});

test("until when the papers of a ticked test say it holds is when it comes next", () => {
  const tested = { ...CAR, tasks: ["test"], papers: [{ task: "test", date: "2027-04-30" }] };
  const dueOn = (form: LogForm): unknown => {
    const limit = carOutlook(form).after.tasks.find(({ task }) => task.id === "test")?.limits[0];
    return limit?.kind === "calendar" && limit.dueOn;
  };
  expect(dueOn(tested)).toBe(dayOf("2027-04-30"));
  expect(dueOn({ ...tested, papers: [] })).toBe(dayOf("2027-03-10"));
  const papers = [{ task: "test", date: "2026-03-01" }];
  expect(carOutlook({ ...tested, papers }).issues).toEqual([
    { code: "valid-until-early", task: "test" },
  ]);
});
