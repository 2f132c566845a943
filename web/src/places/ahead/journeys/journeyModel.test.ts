import { keepRecord, type Journey, type Machine } from "@yonderfell/core";
import { BOOK } from "../../../../test/skarrowVale.js";
import { journeyProblemWords } from "./journeyFormWords.js";
import { journeyOf, journeyProblems, modelOfJourney, type JourneyModel } from "./journeyModel.js";

const BUS = BOOK.machines?.find(({ id }) => (id as string) === "m-bus") as Machine;
const FAIR = BOOK.journeys?.find(({ id }) => (id as string) === "j-fair") as Journey;
const MODEL = modelOfJourney(FAIR);

test("a journey goes through the form unchanged, and keeps what the form does not show", () => {
  const own = { ...FAIR, colour: "red" } as Journey;
  const after = journeyOf(modelOfJourney(own), own, BUS, () => "new");
  expect(after).toMatchObject({ ...FAIR, colour: "red", daysClear: 2 });
  expect(keepRecord([FAIR], "journeys", FAIR, after)).toMatchObject({ ok: true });
});

test("a new one takes the machine's first meter, and none without a figure", () => {
  const model: JourneyModel = { ...MODEL, meter: "", amount: "1,600.5", coldest: "" };
  const typed = { ...model, amount: "900" };
  expect(journeyOf(typed, null, BUS, () => "new")).toMatchObject({
    id: "new",
    machine: "m-bus",
    meter: BUS.meters?.[0]?.id,
    amount: 900,
    coldest: null,
  });
  expect(journeyOf({ ...typed, amount: "" }, null, BUS, () => "new")).toMatchObject({
    meter: null,
    amount: null,
  });
});

test.each<readonly [Partial<JourneyModel>, string]>([
  [{}, ""],
  [{ amount: "", coldest: "", hottest: "95 F" }, ""],
  [{ machine: "" }, "Choose the machine"],
  [{ name: " " }, "Say where it goes"],
  [{ date: "" }, "the day it departs"],
  [{ days: "0" }, "how many days"],
  [{ days: "2.5" }, "how many days"],
  [{ amount: "far" }, "“far” is not how far it runs"],
  [{ daysClear: "-1" }, "Days kept clear"],
  [{ coldest: "cold" }, "“cold” is not a temperature"],
])("%j: %s", (patch, words) => {
  const problems = journeyProblems({ ...MODEL, ...patch });
  const [key] = Object.keys(patch);
  if (words === "") expect(problems).toEqual([]);
  else expect(problems).toMatchObject([{ field: key }]);
  expect(problems.map(journeyProblemWords).join()).toContain(words);
});
