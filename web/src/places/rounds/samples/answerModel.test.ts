import { TODAY } from "../../../../test/skarrowVale.js";
import {
  answerProblems,
  answerProblemWords,
  newAnswer,
  resultOf,
  type AnswerModel,
} from "./answerModel.js";

/** A letter with some of its figures typed. */
function typed(values: Readonly<Record<string, string>>, more: Partial<AnswerModel> = {}) {
  const model = newAnswer(TODAY);
  const figures = model.figures.map(({ name }) => ({ name, value: values[name] ?? "" }));
  return { ...model, figures, ...more };
}

test("what is typed of a letter is kept, what is left empty is not made nothing of", () => {
  const model = typed({ iron: "31", water: "0,05" }, { remarks: " Normal. " });
  expect(answerProblems(model)).toEqual([]);
  expect(resultOf(model)).toEqual({
    ...{ on: "2026-11-23", values: { iron: 31, water: 0.05 }, remarks: "Normal." },
  });
  expect(resultOf(typed({ iron: "0" }))).toEqual({ on: "2026-11-23", values: { iron: 0 } });
});

test("a figure that is none is answered at its field; nothing typed, or no day, as well", () => {
  const wrong = typed({ copper: "some", lead: "-1" });
  const at = (name: string): string =>
    `figures.${wrong.figures.findIndex((one) => one.name === name)}.value`;
  expect(answerProblems(wrong)).toEqual([
    { field: at("copper"), code: "not-a-figure" },
    { field: at("lead"), code: "not-a-figure" },
  ]);
  const empty = answerProblems(typed({}, { on: "" }));
  expect(empty.map(({ code }) => code)).toEqual(["not-a-day", "nothing-said"]);
  expect(empty.map(answerProblemWords).join()).toMatch(/day of the letter.*at least one figure/);
});
