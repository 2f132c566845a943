import { CHECKLIST_LIBRARY, type Checklist } from "@yonderfell/core";
import {
  checklistModel,
  checklistOf,
  checklistProblems,
  copyOf,
  emptyCheck,
  type CheckModel,
} from "./checklistModel.js";
import { checklistProblemWords } from "./checklistWords.js";

const model = (...checks: Partial<CheckModel>[]) => ({
  ...checklistModel(null),
  name: "Ours",
  checks: checks.map((check) => ({ ...emptyCheck(), name: "Belt", ...check })),
});
const problems = (...checks: Partial<CheckModel>[]): string[] =>
  checklistProblems(model(...checks)).map(({ field, code }) => `${field} ${code}`);

test.each(CHECKLIST_LIBRARY.map((list) => [list.name, list] as const))(
  "%s goes through the form as it is",
  (_, list) => {
    const through = checklistOf(checklistModel(list), list);
    expect(through).toEqual(list);
    expect(checklistProblems(checklistModel(list))).toEqual([]);
  },
);

test("what the form does not show stays; what is emptied is gone from where it was", () => {
  const list = {
    ...{ id: "cl", name: "Own", extra: 1 },
    checks: [
      {
        ...{ id: "a", name: "Belt", how: "look", good: "whole", of: "tomorrow" },
        picks: [{ word: "frayed", means: "askew", colour: 7 }],
      },
    ],
  } as unknown as Checklist;
  const typed = checklistModel(list);
  const [check] = typed.checks;
  if (check === undefined) throw new Error("it has a check");
  const after = checklistOf({ ...typed, checks: [{ ...check, good: "", side: "left" }] }, list);
  expect(after).toMatchObject({ id: "cl", extra: 1 });
  expect(after.checks?.[0]).toMatchObject({
    ...{ id: "a", of: "tomorrow", good: null, side: "left" },
    picks: [{ word: "frayed", means: "askew", colour: 7 }],
  });
});

test("a new list is written without what nobody said", () => {
  const made = checklistOf(model({ how: "look", points: "left,  right, " }), null);
  expect(Object.keys(made).sort()).toEqual(["checks", "id", "name"]);
  expect(made.checks?.[0]).toEqual({
    ...{ id: expect.any(String) as string, name: "Belt", how: "look" },
    points: ["left", "right"],
  });
});

test("a check judged by a sum is read in the unit of the sum, whatever was chosen before", () => {
  const read = checklistOf(
    model({ sum: "tread", unit: "m" }, { sum: "of tomorrow", unit: "m" }),
    null,
  );
  expect(read.checks?.map(({ unit }) => unit)).toEqual(["mm", "m"]);
});

test("what stands in the way is said of its field", () => {
  expect(problems()).toEqual([" no-checks"]);
  expect(problems({ name: " " })).toEqual(["checks.0.name missing"]);
  expect(problems({}, { least: "much", source: "law" })).toEqual(["checks.1.least not-a-figure"]);
  expect(problems({ least: "5", most: "4", source: "law" })).toEqual(["checks.0.most below-least"]);
  expect(problems({ least: "5" })).toEqual(["checks.0.source no-source"]);
  expect(problems({ resolution: "-1" })).toEqual(["checks.0.resolution negative"]);
  expect(problems({ yes: "worn" })).toEqual(["checks.0.ask missing"]);
  const pick = { word: "", verdict: "", means: "", todo: "" } as const;
  expect(problems({ picks: [pick] })).toEqual(["checks.0.picks.0.word missing"]);
  for (const problem of checklistProblems({ ...model({ least: "x" }), name: "" })) {
    expect(checklistProblemWords(problem)).toMatch(/^[A-Z].+\.$/);
  }
});

test("a copy is another list with the same checks", () => {
  const [first] = CHECKLIST_LIBRARY;
  if (first === undefined) throw new Error("there is a library");
  const copy = copyOf({ ...first, revision: { a: 1 } }, "Ours");
  expect(copy).toMatchObject({ name: "Ours", checks: first.checks });
  expect(copy.id).not.toBe(first.id);
  expect(copy).not.toHaveProperty("revision");
});
