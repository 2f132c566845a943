/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { act, render, screen } from "@testing-library/react";
import type { CsvReading, TablePlan } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Around, openBook } from "../../../test/openedBook.js";
import { useTablePlan, type OpenTable } from "./useTable.js";

jest.mock("comlink", () => ({ proxy: (given: unknown) => given }));

interface Asked {
  readonly onProgress: (share: number) => void;
  readonly answer: (plan: TablePlan | null) => void;
}
const mockAsked: Asked[] = [];
jest.mock("../../work/tablesClient.js", () => ({
  tables: () => ({
    planFor: (_: string, __: unknown, ___: number, onProgress: (share: number) => void) =>
      new Promise((answer) => mockAsked.push({ onProgress, answer })),
  }),
}));

const READING: CsvReading = {
  kind: "readings",
  columns: [],
  format: { dates: "dmy", decimal: ".", distance: null },
};
const TABLE = { reading: READING } as OpenTable;

function Planning(): ReactElement {
  const { plan } = useTablePlan(TABLE);
  return <output>{plan.code === "planning" ? `planning ${plan.share}` : plan.code}</output>;
}

test.each([
  ["planned", { kind: "readings" } as TablePlan],
  ["stopped", null],
])("how far it is does not come over what it came to: %s", async (code, plan) => {
  await openBook();
  render(<Planning />, { wrapper: Around });
  const asked = mockAsked.at(-1);
  if (asked === undefined) throw new Error("nothing was asked for");
  act(() => asked.onProgress(0.5));
  expect(screen.getByRole("status")).toHaveTextContent("planning 0.5");
  await act(async () => {
    asked.answer(plan);
    await Promise.resolve();
  });
  expect(screen.getByRole("status")).toHaveTextContent(code);
  act(() => asked.onProgress(0.78));
  expect(screen.getByRole("status")).toHaveTextContent(code);
});
