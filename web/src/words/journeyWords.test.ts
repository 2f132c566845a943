import {
  addDays,
  formatDay,
  machineBookOf,
  machinePlateOf,
  machineState,
  planJourney,
  planningOf,
  recordsByMachine,
  settingsOf,
  type Journey,
  type JourneyPlan,
  type JourneyTask,
  type MachineId,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { plainText } from "./format.js";
import {
  atReturnWords,
  earlyWords,
  fallsDueWords,
  fluidAlongWords,
  journeyIssueWords,
  journeyLine,
  journeyOilWords,
  journeyRunWords,
  journeySummary,
  partAlongWords,
  timesWords,
  waitingWords,
} from "./journeyWords.js";

function planOf(id: string, more: Partial<Record<keyof Journey, unknown>> = {}): JourneyPlan {
  const journey = (BOOK.journeys ?? []).find((one) => one.id === id) as Journey;
  const book = machineBookOf(BOOK, journey.machine);
  const records = book === null ? undefined : recordsByMachine(book).get(journey.machine);
  if (records === undefined) throw new Error(`no machine for ${id}`);
  const plate = machinePlateOf(BOOK, journey.machine);
  const { parts = [], products = [] } = BOOK;
  const settings = settingsOf(BOOK);
  const source = {
    settings,
    planning: planningOf(BOOK),
    needs: { plate, parts, products, rate: 30 },
  };
  const own = { ...journey, ...more };
  return planJourney(own, machineState(records, settings, TODAY), BOOK.visits ?? [], source);
}

function taskOf(plan: JourneyPlan, id: string): JourneyTask {
  const found = plan.tasks.find(({ task }) => (task as string) === id);
  if (found === undefined) throw new Error(`${id} is not on the list`);
  return found;
}

const metersOf = (id: string) => BOOK.machines?.find((one) => one.id === (id as MachineId))?.meters;

const FAIR = planOf("j-fair");
const SEASON = planOf("j-tow");

test("a journey in a line, and what it asks in a sentence", () => {
  const line = journeyLine(FAIR.journey, metersOf("m-bus") ?? [], TODAY);
  expect(plainText(line)).toBe("9–17 Dec, 9 days, 1 600 km, heavy load, down to −26 °C");
  expect(plainText(journeySummary(FAIR, TODAY))).toBe(
    "1 job before departure, on Fri 4 Dec. 3 jobs due before that anyway.",
  );
  expect(journeySummary(planOf("j-fair", { date: "2026-01-01" }), TODAY)).toBe("It is over.");
});

test("a task that falls due on the way says where it stands at return, early and left", () => {
  const oil = taskOf(FAIR, "t-bus-oil");
  expect(plainText(fallsDueWords(oil, TODAY))).toMatch(/^\d+ Dec, on the way$/);
  expect(plainText(atReturnWords(oil.limit))).toMatch(
    /^due at 11 \d\d\d km, 13 \d\d\d km at return, the way counted 2 times for the load$/,
  );
  expect(plainText(earlyWords(oil, FAIR.visitOn, "cr"))).toMatch(
    /^\d+ km early, [\d.]+ cr of its life unused$/,
  );
  expect(plainText(waitingWords(oil, "cr"))).toMatch(
    /^3 \d\d\d km over, past its grace, weighed as \d+ cr$/,
  );
});

test("what falls due before the visit says how late it would be, and what may not wait for it", () => {
  const fluid = taskOf(FAIR, "t-bus-brake-fluid");
  expect(plainText(earlyWords(fluid, FAIR.visitOn, "cr"))).toMatch(/^4\d days late by then$/);
  const lift = taskOf(FAIR, "t-bus-lift");
  expect(plainText(earlyWords(lift, FAIR.visitOn, "cr"))).toMatch(
    /^may not wait for it: \d days past its hard limit$/,
  );
  expect(waitingWords(lift, "cr")).toBe("may not wait: required by law or warranty");
});

test("what comes round on the way says how often, and what it takes along", () => {
  const grease = SEASON.tasks.find(({ advice }) => advice === "on-the-way");
  expect(plainText(timesWords(grease as JourneyTask, TODAY))).toMatch(/^\d times on the way$/);
  const along = { id: "p", part: { name: "Oil filter", number: "12-A" }, count: 2, tasks: [] };
  expect(plainText(partAlongWords(along as never))).toBe("2 × Oil filter, 12-A");
  const oil = { fluid: { kind: "engine oil", system: "Engine" }, product: null, tasks: [] };
  expect(plainText(fluidAlongWords({ ...oil, litres: 4.25 } as never))).toBe(
    "4.3 L engine oil for the engine",
  );
  expect(fluidAlongWords({ ...oil, litres: null } as never)).toBe("some engine oil for the engine");
});

test("the oils say whether they serve, and which grade of the plate does", () => {
  const words = SEASON.oils.map((oil) => plainText(journeyOilWords(oil, -24, null)));
  expect(words).toEqual(["Engine: 15W-40 is too thick for −24 °C; its plate allows 5W-40."]);
  const [engine] = SEASON.oils;
  const answered = (answer: string, serving: string[] = []): string =>
    plainText(journeyOilWords({ ...engine, answer, serving } as never, -24, 30));
  expect(answered("serves")).toBe("Engine: 15W-40 serves a start at −24 °C and a day of 30 °C.");
  expect(answered("too-thin")).toBe(
    "Engine: 15W-40 is allowed for less heat than 30 °C; none of the grades on its plate serves.",
  );
  expect(answered("not-known")).toContain("ask the handbook");
});

test("how far it runs says where that is known from", () => {
  const [odo, lift] = FAIR.runs.map((run) => plainText(journeyRunWords(run)));
  expect(odo).toMatch(/^1 600 km on the odometer, as the journey says: about 11 \d\d\d km at/);
  expect(lift).toContain("in the proportion in which the meters run as a rule");
  const [usual] = planOf("j-fair", { meter: null, amount: null }).runs;
  expect(plainText(journeyRunWords(usual as never))).toContain("at its usual pace");
});

test.each([
  [{ code: "no-day-before" }, "There is no day before departure"],
  [{ code: "close-to-departure", daysClear: 2 }, "less than 2 days until departure"],
  [{ code: "figure-in-doubt", meter: "odo" }, "The figure of the odometer is in doubt"],
  [{ code: "run-not-known", meter: "odo" }, "How far the odometer runs is not known"],
  [
    { code: "out-of-service", stop: { since: formatDay(addDays(TODAY, -2)), reason: "brakes" } },
    "out of service since 21 Nov: brakes",
  ],
])("%j is said in words", (issue, words) => {
  const meterOf = () => metersOf("m-bus")?.[0];
  expect(plainText(journeyIssueWords(issue as never, meterOf, TODAY))).toContain(words);
});
