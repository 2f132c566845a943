/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ReactElement } from "react";
import type { DoubtGroup, ShownItem, TablePlan } from "@yonderfell/core";
import { DoubtGroups } from "./DoubtGroups.js";
import { Progress } from "../../ui/Progress.js";
import { TakenFor } from "./TakenFor.js";
import { rememberedReading, rememberReading } from "./rememberedReadings.js";
import { asideCount, takenCount } from "./takenCount.js";
import type { OpenTable } from "./useTable.js";
import { bringInWords } from "../../words/tableWords.js";
import { useTableChoices } from "./useTableChoices.js";

const item = (row: number, doubts: ShownItem["doubts"]): ShownItem => ({
  ...{ row, cells: ["07", `cell ${row}`], doubts, fields: [], along: [] },
});
const FUTURE: DoubtGroup = {
  code: "in-future",
  ...{ count: 3, aside: 3 },
  questions: [
    { key: "a", count: 1, aside: 1, item: item(2, [{ code: "in-future", date: "2030-01-01" }]) },
    { key: "b", count: 1, aside: 1, item: item(3, [{ code: "in-future", date: "2030-01-02" }]) },
  ],
};
const PLACES: DoubtGroup = {
  code: "place-unknown",
  ...{ count: 5, aside: 0 },
  questions: [
    { key: "p", count: 4, aside: 0, item: item(9, [{ code: "place-unknown", name: "Moor barn" }]) },
    {
      key: "q",
      count: 1,
      aside: 0,
      item: item(14, [{ code: "place-unknown", name: "Ferry yard" }]),
    },
  ],
};
const PLAN: TablePlan = {
  kind: "readings",
  counts: { new: 9, same: 0, changed: 0, repeated: 0, refused: 0 },
  ...{ issues: [], issueCount: 0, isRefused: false },
  ...{ groups: [FUTURE, PLACES], changed: [], fresh: [], sure: 5, followUps: null },
};

function Choosing(): ReactElement {
  const { choices, setCode, setAnswer } = useTableChoices(PLAN);
  return (
    <>
      <output>{takenCount(PLAN, choices)}</output>
      <DoubtGroups plan={PLAN} choices={choices} onCode={setCode} onAnswer={setAnswer} />
    </>
  );
}

test("what of a feed is not taken is set aside, and the press says so", () => {
  const none = { codes: [], answers: new Map(), leavesRefused: false, followUpsDone: null };
  expect(asideCount(PLAN, none)).toBe(3);
  expect(asideCount(PLAN, { ...none, answers: new Map([["a", true]]) })).toBe(2);
  expect(asideCount(PLAN, { ...none, codes: ["in-future"] })).toBe(0);
  const one = { ...none, codes: ["in-future"] as const, answers: new Map([["b", false]]) };
  expect(asideCount(PLAN, one)).toBe(1);
  expect(bringInWords(5, 0, "readings")).toBe("Bring in 5\u00a0readings");
  expect(bringInWords(5, 2, "readings")).toBe("Bring in 5\u00a0readings, set 2 aside");
  expect(bringInWords(0, 2, "readings")).toBe("Set 2 aside");
});

test("what is in doubt is taken by its reason or row by row, and counted as it is chosen", async () => {
  const user = userEvent.setup();
  render(<Choosing />);
  const count = screen.getByRole("status");
  // Five are sure, and new places do no harm.
  expect(count).toHaveTextContent("10");
  const future = screen.getByRole("region", { name: "3 are of a day after today" });
  expect(future).toHaveTextContent("and 1 more, for which the choice above holds");
  const row = within(future).getByRole("checkbox", { name: /cell 3/ });
  await user.click(row);
  expect(count).toHaveTextContent("11");
  const all = within(future).getByRole("checkbox", { name: /Take them in/ });
  await user.click(all);
  expect(count).toHaveTextContent("13");
  await user.click(row);
  expect(row).not.toBeChecked();
  expect(count).toHaveTextContent("12");
  // What is said of all takes the place of what was said of one.
  await user.click(all);
  await user.click(all);
  expect(row).toBeChecked();
  expect(count).toHaveTextContent("13");
  const places = screen.getByRole("region", { name: /5 name a place/ });
  // Four rows of one new place are one question.
  expect(within(places).getAllByRole("checkbox")).toHaveLength(3);
  await user.click(within(places).getByRole("checkbox", { name: /Moor barn.*4\srows/ }));
  expect(count).toHaveTextContent("9");
});

const TABLE: OpenTable = {
  file: "shed.csv",
  opened: {
    headings: ["Fleet no", "", "Driver", "Empty"],
    samples: [["07", "21"], ["1,234"], ["E.T."], []],
    rows: 2,
    guess: null as never,
  },
  reading: {
    kind: "readings",
    columns: ["machine", "value", null, null],
    format: { dates: "dmy", decimal: ".", distance: null },
  },
  isSure: { dates: true, decimal: false },
  isRemembered: false,
};

test("columns show what stands in them and what they are taken for; those left out are named, empty ones are not", async () => {
  const user = userEvent.setup();
  const onColumn = jest.fn();
  const onFormat = jest.fn();
  const shared = { onKind: jest.fn(), onGuess: jest.fn(), onColumn, onFormat };
  render(<TakenFor table={TABLE} {...shared} />);
  expect(screen.getByText(/left out/)).toHaveTextContent("1 column left out: Driver");
  expect(screen.getByRole("alert")).toHaveTextContent("the other decimal sign");
  expect(screen.getByRole("alert")).not.toHaveTextContent("dates");
  expect(screen.getByRole("combobox", { name: /^Column 2/ })).toHaveValue("value");
  await user.selectOptions(screen.getByRole("combobox", { name: /^Driver/ }), "Note");
  expect(onColumn).toHaveBeenCalledWith(2, "note");
  await user.selectOptions(screen.getByRole("combobox", { name: /^Fleet no/ }), "Leave it out");
  expect(onColumn).toHaveBeenCalledWith(0, null);
  await user.selectOptions(screen.getByRole("combobox", { name: "Figures" }), "1.234,5");
  expect(onFormat).toHaveBeenCalledWith({ decimal: "," });
  await user.selectOptions(screen.getByRole("combobox", { name: /^Distances/ }), "miles");
  expect(onFormat).toHaveBeenCalledWith({ distance: "mi" });
});

test("how far it is stands there in words too, and can be stopped", async () => {
  const onStop = jest.fn();
  render(<Progress label="Writing" share={0.426} onStop={onStop} />);
  expect(screen.getByRole("progressbar", { name: /Writing/ })).toHaveValue(43);
  expect(screen.getByText("43 %")).toBeInTheDocument();
  await userEvent.click(screen.getByRole("button", { name: "Stop" }));
  expect(onStop).toHaveBeenCalledTimes(1);
});

test("a table is taken for what the last of its headings was, where that is known and fits", async () => {
  const headings = ["Fleet no", "Stand"];
  expect(rememberedReading(headings)).toBeNull();
  const reading = { ...TABLE.reading, columns: ["machine", "value"] };
  rememberReading(headings, reading);
  expect(rememberedReading([" fleet  NO", "stand"])).toEqual(reading);
  expect(rememberedReading(["Fleet no", "Stand", "Note"])).toBeNull();
  localStorage.setItem("yonderfell-tables", "[{]");
  expect(rememberedReading(headings)).toBeNull();
  for (let one = 0; one < 40; one += 1) rememberReading([`Fleet no ${one}`, "Stand"], reading);
  expect(rememberedReading(["Fleet no 39", "Stand"])).not.toBeNull();
  expect(rememberedReading(["Fleet no 9", "Stand"])).toBeNull();
  const onGuess = jest.fn();
  const shared = { onKind: jest.fn(), onColumn: jest.fn(), onFormat: jest.fn(), onGuess };
  render(<TakenFor table={{ ...TABLE, isRemembered: true }} {...shared} />);
  await userEvent.click(screen.getByRole("button", { name: /by its headings/ }));
  expect(onGuess).toHaveBeenCalledTimes(1);
});
