/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { addDays, formatDay, reckonBoard, type DayNumber } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useLocation } from "react-router";
import { At, layOutAsOnADesk, openBook, plain } from "../../../../test/openedBook.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import TodayPage from "./TodayPage.js";

// The worker's own work, without the worker.
jest.mock("../../../work/dayClient.js", () => ({
  otherDays: () => ({
    boardOn: (_database: string, day: DayNumber) => Promise.resolve(reckonBoard(BOOK, day)),
  }),
}));

beforeAll(layOutAsOnADesk);

function Address(): ReactElement {
  const { search } = useLocation();
  return <output>{search}</output>;
}

async function show(address: string): Promise<void> {
  await openBook();
  render(
    <At path="/ahead/today" address={address}>
      <TodayPage />
      <Address />
    </At>,
  );
}

const lines = (): string[] =>
  screen.queryAllByRole("listitem").map((line) => plain(line.textContent));

test("the sheet of another day is what that day asks for", async () => {
  const day = addDays(TODAY, 21);
  await show(`/ahead/today?on=${formatDay(day)}`);
  expect(screen.getByText("Reckoning the day…")).toBeInTheDocument();
  await waitFor(() => expect(screen.queryByText("Reckoning the day…")).not.toBeInTheDocument());
  expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("14 Dec 2026");
  // Due on 10 December, and soon today.
  const gas = lines().find((line) => line.includes("Gas installation, certificate"));
  expect(gas).toContain("Overdue since 10 Dec, 12-month limit, no grace");
  expect(screen.getByText(/if nothing is done or read until then/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole("button", { name: "Back to today" }));
  expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("Today");
  expect(screen.getByText("", { selector: "output" })).toBeInTheDocument();
});

test("the sheet of one person holds that person's machines alone, and the address keeps it", async () => {
  await show("/ahead/today");
  const all = lines();
  const person = BOOK.people?.find(({ id }) => id === BOOK.machines?.[0]?.person);
  const own = new Set(
    (BOOK.machines ?? []).filter((one) => one.person === person?.id).map(({ tag }) => tag),
  );
  const choice = await screen.findByLabelText("Whose machines");
  await userEvent.selectOptions(choice, person?.name ?? "");
  const theirs = all.filter((line) => [...own].some((tag) => line.startsWith(tag)));
  expect(theirs.length).toBeGreaterThan(0);
  expect(theirs.length).toBeLessThan(all.length);
  expect(lines()).toEqual(theirs);
  expect(screen.getByText(`?who=${person?.id ?? ""}`)).toBeInTheDocument();
  expect(screen.getByText(new RegExp(`For ${person?.name ?? ""}`))).toBeInTheDocument();
  await userEvent.selectOptions(choice, "Nobody’s");
  const nobody = new Set((BOOK.machines ?? []).filter((one) => !one.person).map(({ tag }) => tag));
  expect(lines()).toEqual(all.filter((line) => [...nobody].some((tag) => line.startsWith(tag))));
});
