/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Journey } from "@yonderfell/core";
import {
  Around,
  heldVisits,
  layOutAsOnADesk,
  openBook,
  openStorage,
  plain,
} from "../../../../test/openedBook.js";
import { BOOK } from "../../../../test/skarrowVale.js";
import JourneysPage from "./JourneysPage.js";

beforeAll(layOutAsOnADesk);

const user = userEvent.setup();

/** Shows the page, with the journeys as they are unless some are given. */
async function show(journeys?: readonly Journey[]): Promise<void> {
  await openBook(journeys === undefined ? BOOK : { ...BOOK, journeys });
  render(<JourneysPage />, { wrapper: Around });
}

const work = (): Promise<HTMLElement> =>
  screen.findByRole("region", { name: "Work the journey brings up" });

const journeyOf = (id: string): Journey => {
  const found = BOOK.journeys?.find((one) => (one.id as string) === id);
  if (found === undefined) throw new Error(`no journey ${id}`);
  return found;
};

/** The words of each row of the work, by its task. */
async function rows(): Promise<ReadonlyMap<string, string>> {
  const all = within(await work()).getAllByRole("row");
  const told = all.filter((row) => within(row).queryAllByRole("cell").length > 0);
  return new Map(
    told.map((row) => [
      plain(within(row).getByRole("rowheader").textContent),
      plain(row.textContent),
    ]),
  );
}

test("a journey tells what falls due, what doing it early throws away, and what waiting costs", async () => {
  await show([journeyOf("j-fair")]);
  // What stands behind an amount is read from the book.
  await waitFor(async () =>
    expect((await rows()).get("Engine oil and filter")).toMatch(
      /early, [\d.]+ cr of its life unused/,
    ),
  );
  const oil = (await rows()).get("Engine oil and filter");
  expect(oil).toMatch(/km over, past its grace, weighed as \d+ cr/);
  expect(oil).toMatch(/the way counted 2 times for the load/);
});

test("what must not wait is ticked, and goes into the visit before departure", async () => {
  await show([journeyOf("j-fair")]);
  const before = new Set((await heldVisits()).keys());
  const ticked = within(await work())
    .getAllByRole<HTMLInputElement>("checkbox")
    .filter((box) => box.checked);
  expect(ticked.length).toBeGreaterThan(0);
  const put = screen.getByRole("button", { name: /^Put a visit of \d+\sjobs? in the book$/ });
  expect(plain(put.textContent)).toContain(` ${ticked.length} job`);
  await user.click(put);
  await waitFor(async () => {
    const fresh = [...(await heldVisits()).values()].filter(({ id }) => !before.has(id));
    expect(fresh).toEqual([expect.objectContaining({ machine: "m-bus", date: "2026-12-04" })]);
    expect(fresh[0]?.tasks).toHaveLength(ticked.length);
  });
});

test("what is ticked or not by hand changes what goes into the visit; nothing ticked, no visit", async () => {
  await show([journeyOf("j-fair")]);
  const boxes = within(await work()).getAllByRole<HTMLInputElement>("checkbox");
  for (const box of boxes) if (box.checked) await user.click(box);
  expect(screen.queryByRole("button", { name: /^Put a visit/ })).toBeNull();
  for (const box of boxes) await user.click(box);
  const put = screen.getByRole("button", { name: /^Put a visit/ });
  expect(plain(put.textContent)).toContain(` ${boxes.length} jobs`);
});

test("another day of the visit shows what that throws away", async () => {
  await show([journeyOf("j-fair")]);
  const before = (await rows()).get("Engine oil and filter");
  const choice = screen.getByRole<HTMLSelectElement>("combobox", {
    name: "Visit before departure",
  });
  expect(plain(choice.selectedOptions[0]?.textContent)).toMatch(
    /^\w{3} \d+ Dec, \d+ days kept clear$/,
  );
  const last = [...choice.options].at(-1) as HTMLOptionElement;
  await user.selectOptions(choice, last);
  await waitFor(async () => expect((await rows()).get("Engine oil and filter")).not.toBe(before));
  const title = within(await work()).getAllByRole("columnheader")[2];
  expect(plain(title?.textContent)).toBe(`Done on ${plain(last.textContent).split(",")[0]}`);
});

test("the oils, how far it runs and the cautions stand beside it", async () => {
  await show([journeyOf("j-fair")]);
  await work();
  const said = (title: string): string =>
    plain(screen.getByText(title, { selector: "dt" }).nextElementSibling?.textContent);
  expect(said("Oil and weather")).toMatch(/too thick for −26 °C/);
  expect(said("How far it runs")).toMatch(/1 600 km on the odometer, as the journey says/);
  expect(said("Mind")).toMatch(/handbook/);
});

test("a machine that is needed until departure says so, and offers no visit before it", async () => {
  const needed = [{ from: "2026-11-20", to: "2026-12-12", reason: "fair" }];
  const machines = BOOK.machines?.map((one) => (one.tag === "07" ? { ...one, needed } : one)) ?? [];
  await openBook({ ...BOOK, machines, journeys: [journeyOf("j-fair")] });
  render(<JourneysPage />, { wrapper: Around });
  await work();
  const issues = screen.getAllByRole("listitem").map((one) => plain(one.textContent));
  expect(issues.join(" ")).toMatch(/no day/i);
  expect(screen.queryByRole("combobox", { name: "Visit before departure" })).toBeNull();
  expect(within(await work()).queryAllByRole("checkbox")).toEqual([]);
});

test("what stands in the way of the visit is said", async () => {
  await show([journeyOf("j-fair")]);
  await work();
  openStorage().perform = () => Promise.reject(new Error("the disk is full"));
  await user.click(screen.getByRole("button", { name: /^Put a visit/ }));
  expect(await screen.findByText(/It was not saved/)).toHaveAttribute("role", "alert");
});

test("without journeys the page says what belongs here, with the way to begin", async () => {
  await show([]);
  expect(await screen.findByRole("button", { name: /Add a journey/ })).toBeVisible();
  expect(screen.queryByRole("region", { name: "Work the journey brings up" })).toBeNull();
});
