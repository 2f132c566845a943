/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { act, render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { reckonBoard } from "@yonderfell/core";
import {
  Around,
  layOutAsOnADesk,
  openBook,
  openStorage,
  plain,
} from "../../../../test/openedBook.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { boardLookedAt, WHOLE_BOARD } from "../../../session/boardLook.js";
import { preferred } from "../../../session/preferences.js";
import { store } from "../../../session/store.js";
import { sentence } from "../../../words/format.js";
import { shownOf } from "./boardGroups.js";
import Ahead from "../Ahead.js";

beforeAll(layOutAsOnADesk);

const user = userEvent.setup();

async function show(): Promise<void> {
  await openBook();
  store.dispatch(preferred({ aheadAs: "reach", reach: 730 }));
  render(<Ahead />, { wrapper: Around });
  await screen.findByRole("combobox", { name: "Grouped by" });
}

const choose = (label: string, words: string): Promise<void> =>
  user.selectOptions(screen.getByRole("combobox", { name: label }), words);

/** The ids of the strips in sight. */
const strips = (inside: ParentNode = document): string[] =>
  [...inside.querySelectorAll<HTMLElement>("[data-strip]")].map(
    (strip) => strip.dataset["strip"] ?? "",
  );

/** Waits until some strips are in sight, but fewer than so many; answers how many. */
const fewerThan = (most: number): Promise<number> =>
  waitFor(() => {
    const { length } = strips();
    expect(length).toBeGreaterThan(0);
    expect(length).toBeLessThan(most);
    return length;
  });

test("put together by state, the headings are the states and no strip is lost", async () => {
  await show();
  const before = strips();
  await choose("Grouped by", "state");
  const titles = await waitFor(() => {
    const all = screen.getAllByRole("heading", { level: 2 }).map((one) => one.textContent);
    expect(all[0]).toBe("Overdue");
    return all;
  });
  const states = ["Overdue", "Due", "Soon", "Clear", "Unknown", "Finished"];
  expect(titles).toEqual([...states, "Found, no day set"]);
  expect([...strips()].sort()).toEqual([...before].sort());
});

test("no machine stands under a wrong heading while the names of places are not read", async () => {
  await openBook();
  let give = (): void => undefined;
  const waiting = new Promise<void>((resolve) => {
    give = resolve;
  });
  const storage = openStorage();
  const list = storage.list.bind(storage);
  jest.spyOn(storage, "list").mockImplementation(async (section) => {
    await waiting;
    return list(section);
  });
  store.dispatch(boardLookedAt({ group: "place" }));
  store.dispatch(preferred({ aheadAs: "reach", reach: 730 }));
  render(<Ahead />, { wrapper: Around });
  await screen.findByRole("combobox", { name: "Grouped by" });
  expect(screen.queryAllByRole("heading", { level: 2 })).toEqual([]);
  give();
  const [first] = await screen.findAllByRole("heading", { level: 2 });
  expect(first).toHaveTextContent("At home");
});

test("only what is due, of one place", async () => {
  await show();
  const all = strips().length;
  await choose("Shows", "what is due");
  const due = await fewerThan(all);
  await waitFor(() =>
    expect(screen.getByRole("option", { name: "at Long Shed" })).toBeInTheDocument(),
  );
  await choose("of", "at Long Shed");
  expect(store.getState().boardLook.of).toEqual({ by: "place", value: "pl-shed" });
  await fewerThan(due);
});

test("where there is nothing of what is asked for, one press shows everything again", async () => {
  await show();
  const all = strips().length;
  const board = reckonBoard(BOOK, TODAY);
  const kinds = [...new Set(board.map(({ machine }) => machine.kind))];
  const isIdle = (value: string): boolean =>
    shownOf(board, { show: "due", of: { by: "kind", value } }).length === 0;
  await choose("Shows", "what is due");
  await choose("of", sentence(kinds.find(isIdle) ?? ""));
  await user.click(await screen.findByRole("button", { name: "Show everything" }));
  await waitFor(() => expect(strips()).toHaveLength(all));
  expect(store.getState().boardLook).toEqual(WHOLE_BOARD);
});

test("how far it looks ahead is kept for the next time", async () => {
  await show();
  await choose("Looks ahead", "2 weeks");
  expect(store.getState().preferences.reach).toBe(14);
});

test("as a table it has a row a task, in the order asked for, with the order said", async () => {
  await show();
  const count = strips().length;
  await user.click(screen.getByRole("button", { name: "Table" }));
  const table = await screen.findByRole("table");
  const names = (): string[] =>
    within(table)
      .getAllByRole("rowheader")
      .map((one) => plain(one.textContent));
  const found = within(screen.getByRole("region", { name: "Found on these machines" }));
  expect(names().length + found.getAllByRole("listitem").length).toBe(count);
  await user.click(within(table).getByRole("button", { name: "Task" }));
  const sorted = names();
  expect(sorted).toEqual(
    [...sorted].sort((one, other) => one.localeCompare(other, undefined, { numeric: true })),
  );
  const title = within(table).getByRole("columnheader", { name: "Task" });
  expect(title).toHaveAttribute("aria-sort", "ascending");
  await user.click(within(table).getByRole("button", { name: "Task" }));
  expect(title).toHaveAttribute("aria-sort", "descending");
  expect(names()).not.toEqual(sorted);
});

test("what is left of a limit by the calendar is told as time, with the limit under it", async () => {
  await show();
  await user.click(screen.getByRole("button", { name: "Table" }));
  const table = await screen.findByRole("table");
  const rows = within(table)
    .getAllByRole("row")
    .map((row) => plain(row.textContent));
  const brake = rows.find((row) => row.includes("07Library busBrake fluid"));
  expect(brake).toMatch(/20 Oct 2026\d* ?5 weeks over24-month limit/);
  const oil = rows.find((row) => row.includes("07Library busEngine oil and filter"));
  expect(oil).toMatch(/709 km leftLast done/);
});

/** Does something while the page is laid out for paper. */
function onPaper(look: (paper: HTMLElement) => void): void {
  act(() => void window.dispatchEvent(new Event("beforeprint")));
  const paper = document.querySelector<HTMLElement>(".board-print");
  if (paper === null) throw new Error("nothing is drawn for paper");
  look(paper);
  act(() => void window.dispatchEvent(new Event("afterprint")));
  expect(document.querySelector(".board-print")).toBeNull();
}

test("on paper stand all strips of what is looked at, with the marks explained and what is shown said", async () => {
  await show();
  await choose("Shows", "what is due");
  await choose("Grouped by", "kind");
  await fewerThan(30);
  const shown = strips();
  onPaper((paper) => {
    expect(strips(paper).sort()).toEqual([...shown].sort());
    expect(plain(paper.textContent)).toContain("Mon 23 Nov 2026: What is due, by kind");
    expect(plain(paper.textContent)).toContain("Stones: none clear, one soon, two due");
    expect(within(paper).queryAllByRole("link", { name: /^Log/ })).toEqual([]);
  });
});

test("the table on paper has all rows, each with its reason, and nothing to press", async () => {
  await show();
  const count = strips().length;
  await user.click(screen.getByRole("button", { name: "Table" }));
  await screen.findByRole("table");
  onPaper((paper) => {
    const rows = [...paper.querySelectorAll("tbody tr")];
    expect(rows.length + paper.querySelectorAll("li").length).toBe(count);
    const reasons = rows.map((row) => plain(row.lastElementChild?.textContent));
    expect(reasons.filter((reason) => reason !== "").length).toBeGreaterThan(rows.length * 0.9);
    expect(paper.querySelectorAll("button")).toHaveLength(0);
    const titles = [...paper.querySelectorAll("thead th")].map((one) => one.textContent);
    expect(titles).toEqual(["State", "Machine", "Task", "Likely", "Left", "Because"]);
  });
});

test("a view is kept in the book under its name, looked at again, and taken out", async () => {
  await show();
  await choose("Grouped by", "kind");
  await choose("Shows", "what is due");
  await user.click(screen.getByRole("button", { name: "Views" }));
  const dialog = await screen.findByRole("dialog", { name: "Views" });
  await user.type(
    await within(dialog).findByRole("textbox", { name: "Keep what is shown now as" }),
    "Due by kind",
  );
  await user.click(within(dialog).getByRole("button", { name: "Keep" }));
  await waitFor(async () => {
    const views = (await openStorage().ownSettings())?.views ?? [];
    expect(views.at(-1)).toMatchObject({ name: "Due by kind", group: "kind", show: "due" });
  });
  await user.keyboard("{Escape}");
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  await choose("Grouped by", "machine");
  await choose("Shows", "everything");
  await user.click(screen.getByRole("button", { name: "Views" }));
  const again = await screen.findByRole("dialog", { name: "Views" });
  await user.click(await within(again).findByRole("button", { name: /^Due by kind/ }));
  expect(store.getState().boardLook).toMatchObject({ group: "kind", show: "due" });
  await user.click(screen.getByRole("button", { name: "Views" }));
  await user.click(await screen.findByRole("button", { name: "Take out Due by kind" }));
  await waitFor(async () => {
    const names = ((await openStorage().ownSettings())?.views ?? []).map(({ name }) => name);
    expect(names).not.toContain("Due by kind");
  });
});

test("the summary counts what presses and leads to the most pressing work", async () => {
  await show();
  expect(screen.getByText(/^\w+ (is|are) overdue, \w+ (is|are) due\.$/)).toBeInTheDocument();
  const first = screen.getByRole("link", { name: /^First: brake fluid on 07, 5\sweeks over/ });
  expect(first).toHaveAttribute("href", expect.stringMatching(/^\/log\/m-bus\?task=/));
});
