/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ReactElement } from "react";
import type { DoubtGroup, ShownItem, TablePlan } from "../../work/tables.js";
import { DoubtGroups } from "./DoubtGroups.js";
import { Progress } from "./Progress.js";
import { TakenFor } from "./TakenFor.js";
import { takenCount } from "./takenCount.js";
import type { OpenTable } from "./useTable.js";
import { useTableChoices } from "./useTableChoices.js";

const item = (row: number, doubts: ShownItem["doubts"]): ShownItem => ({
  ...{ row, cells: ["07", `cell ${row}`], doubts, fields: [] },
});
const FUTURE: DoubtGroup = {
  code: "in-future",
  count: 3,
  items: [
    item(2, [{ code: "in-future", date: "2030-01-01" }]),
    item(3, [{ code: "in-future", date: "2030-01-02" }]),
  ],
};
const PLACES: DoubtGroup = {
  code: "place-unknown",
  count: 1,
  items: [item(9, [{ code: "place-unknown", name: "Moor barn" }])],
};
const PLAN: TablePlan = {
  kind: "readings",
  counts: { new: 9, same: 0, changed: 0, refused: 0 },
  ...{ issues: [], issueCount: 0, isRefused: false },
  ...{ groups: [FUTURE, PLACES], changed: [], fresh: [], sure: 5 },
};

function Choosing(): ReactElement {
  const { choices, setCode, setRow } = useTableChoices(PLAN);
  return (
    <>
      <output>{takenCount(PLAN, choices)}</output>
      <DoubtGroups plan={PLAN} choices={choices} onCode={setCode} onRow={setRow} />
    </>
  );
}

test("what is in doubt is taken by its reason or row by row, and counted as it is chosen", async () => {
  const user = userEvent.setup();
  render(<Choosing />);
  const count = screen.getByRole("status");
  // Five are sure, and a new place does no harm.
  expect(count).toHaveTextContent("6");
  const future = screen.getByRole("region", { name: "3 are of a day after today" });
  expect(future).toHaveTextContent("and 1 more, for which the choice above holds");
  const row = within(future).getByRole("checkbox", { name: /cell 3/ });
  await user.click(row);
  expect(count).toHaveTextContent("7");
  const all = within(future).getByRole("checkbox", { name: /Take them in/ });
  await user.click(all);
  expect(count).toHaveTextContent("9");
  await user.click(row);
  expect(row).not.toBeChecked();
  expect(count).toHaveTextContent("8");
  // What is said of all takes the place of what was said of one.
  await user.click(all);
  await user.click(all);
  expect(row).toBeChecked();
  expect(count).toHaveTextContent("9");
  const places = screen.getByRole("region", { name: /1 names a place/ });
  await user.click(within(places).getByRole("checkbox", { name: /cell 9/ }));
  expect(count).toHaveTextContent("8");
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
};

test("columns show what stands in them and what they are taken for; those left out are named, empty ones are not", async () => {
  const user = userEvent.setup();
  const onColumn = jest.fn();
  const onFormat = jest.fn();
  render(<TakenFor table={TABLE} onKind={jest.fn()} onColumn={onColumn} onFormat={onFormat} />);
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
