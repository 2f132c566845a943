/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { addDays, dayOf, movesOutOf, type FullWeek, type Visit } from "@yonderfell/core";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import {
  Around,
  heldVisits,
  layOutAsOnADesk,
  openBook,
  openStorage,
  plain,
  planVisits,
} from "../../../../test/openedBook.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { store } from "../../../session/store.js";
import { visits } from "../../../session/visits.js";
import { weekdayDate } from "../../../words/visitWords.js";
import VisitsPage from "./VisitsPage.js";

const mockSearch = jest.fn<ReturnType<typeof movesOutOf> | Promise<never>, [FullWeek]>();
jest.mock("../../../work/roomClient.js", () => ({
  roomSearch: () => ({
    // Asked at once, answered a moment later, as by a worker.
    movesOutOf: async (asked: FullWeek) => {
      const answer = Promise.allSettled([mockSearch(asked)]);
      await new Promise((resolve) => setTimeout(resolve, 0));
      const [settled] = await answer;
      if (settled.status === "rejected") throw settled.reason;
      return settled.value;
    },
  }),
}));

beforeAll(layOutAsOnADesk);
beforeEach(() => mockSearch.mockImplementation(movesOutOf));

const user = userEvent.setup();

/** The line of the first visit of a machine. */
const lineOf = (tag: string): HTMLElement => {
  const lines = screen.getAllByRole("button");
  const line = lines.find(
    (one) => one.dataset["visit"] !== undefined && one.textContent.includes(`${tag}`),
  );
  if (line === undefined) throw new Error(`no visit of ${tag}`);
  return line;
};

/** The words of a line of the list. */
const wordsOf = (line: HTMLElement): string => plain(line.textContent);

/** Shows the page, with the visit of a machine in hand where one is named. */
async function show(tag?: string): Promise<HTMLElement> {
  await openBook();
  render(<VisitsPage />, { wrapper: Around });
  await screen.findByRole("heading", { name: "All visits ahead" });
  if (tag === undefined) return document.body;
  await user.click(lineOf(tag));
  return screen.getByRole("group", { name: new RegExp(`^Visit of ${tag} on `) });
}

const button = (panel: HTMLElement, name: RegExp | string): HTMLElement =>
  within(panel).getByRole("button", { name });

/** The visits the book holds that it did not at first. */
async function fresh(): Promise<readonly Visit[]> {
  const before = new Set(BOOK.visits?.map(({ id }) => id));
  return [...(await heldVisits()).values()].filter(({ id }) => !before.has(id));
}

/** Waits until the book holds so many visits more. */
async function freshVisits(count: number): Promise<readonly Visit[]> {
  await waitFor(async () => expect(await fresh()).toHaveLength(count));
  await planVisits();
  return fresh();
}

const dateOf = (line: HTMLElement): string => wordsOf(line).slice(0, 10);

test("a visit that is accepted is in the book with all its tasks, and stands in the list as such", async () => {
  const panel = await show("07");
  const names = within(panel).getAllByRole("checkbox");
  await user.click(button(panel, "Accept"));
  const [visit] = await freshVisits(1);
  expect(visit?.machine).toBe("m-bus");
  expect(visit?.tasks).toHaveLength(names.length);
  expect(wordsOf(lineOf("07"))).toMatch(/accepted$/);
});

test("the arrow keys move it, what that costs stands beside it, and it is kept only when it is said so", async () => {
  const panel = await show("12");
  const before = dateOf(lineOf("12"));
  const mover = within(panel).getByRole("group", { name: /^Move it/ });
  button(mover, /Later/).focus();
  await user.keyboard("{ArrowRight}{ArrowRight}");
  const status = within(mover).getByRole("status");
  expect(plain(status.textContent)).toMatch(/[+−]\d/);
  expect(dateOf(lineOf("12"))).not.toBe(before);
  expect(await fresh()).toEqual([]);
  await user.click(button(mover, /Leave it/));
  expect(dateOf(lineOf("12"))).toBe(before);
  button(mover, /Later/).focus();
  await user.keyboard("{PageDown}");
  const moved = within(mover).getByRole("status").textContent;
  await user.click(button(mover, /^Move to/));
  await waitFor(async () => {
    const held = [...(await heldVisits()).values()].filter(({ machine }) => machine === "m-mower");
    const known = BOOK.visits?.find(({ machine }) => machine === "m-mower");
    expect(held[0]?.date).not.toBe(known?.date);
  });
  expect(plain(moved)).toMatch(/^(Mon|Tue|Wed|Thu|Fri) /);
});

test("moved past a hard limit, it says so beside the day, and of which task", async () => {
  const panel = await show("33");
  const mover = within(panel).getByRole("group", { name: /^Move it/ });
  expect(within(panel).queryByText(/^Past the hard limit/)).toBeNull();
  button(mover, /Later/).focus();
  await user.keyboard("{PageDown}{PageDown}");
  const warning = within(panel).getByText(
    "Past the hard limit of haul rope and splice, examination.",
  );
  expect(warning).toHaveAttribute("role", "alert");
  await user.click(button(mover, /^Move to/));
  await freshVisits(1);
  const issues = screen.getByRole("region", { name: "Cannot be kept to" });
  expect(plain(issues.textContent)).toMatch(/The visit of 33 on .* comes after haul rope/);
});

test("a week that holds too much is gone to, and one press makes room in it", async () => {
  await show("12");
  await user.click(screen.getByRole("button", { name: /^The week of / }));
  // What stood open has nothing to do with the week.
  expect(screen.queryByRole("group", { name: /^Visit of / })).toBeNull();
  expect(screen.getByRole("heading", { name: /^Week of / })).toHaveFocus();
  const room = screen.getByRole("region", { name: /more than there are$/ });
  const [move, ...others] = await within(room).findAllByRole("listitem");
  expect(plain(move?.textContent)).toMatch(/^\d\d.* to (Mon|Tue|Wed|Thu|Fri) .*, [\d.]+ h, \+/);
  await user.click(within(room).getByRole("button", { name: /^Move (it|all \d)$/ }));
  const moved = await freshVisits(others.length + 1);
  expect(screen.queryByRole("region", { name: /more than there are$/ })).toBeNull();
  expect(screen.getByRole("heading", { name: /^Week of / })).toHaveFocus();
  const [first] = moved;
  expect(plain(move?.textContent)).toContain(
    ` to ${plain(weekdayDate(dayOf(first?.date ?? ""), TODAY))}`,
  );
});

test("where several weeks are too full it says how many; several moves have a sum and go as one change", async () => {
  const people = BOOK.people?.map((one, at) => ({ ...one, hoursAWeek: at === 0 ? 5 : null }));
  await openBook({ ...BOOK, people: people ?? [], bays: [] });
  mockSearch.mockImplementationOnce(({ visits }) => ({
    moves: visits
      .slice(0, 2)
      .map(({ day }, at) => ({ at, to: { day: addDays(day, 70), more: 2 + at } })),
    remaining: 0,
  }));
  render(<VisitsPage />, { wrapper: Around });
  const over = await screen.findByRole("button", { name: /^The week of / });
  expect(plain(over.parentElement?.textContent)).toMatch(
    / and \d more hold more than there are hours for\./,
  );
  await user.click(over);
  const room = screen.getByRole("region", { name: /more than there are$/ });
  expect(await within(room).findAllByRole("listitem")).toHaveLength(2);
  expect(plain(room.textContent)).toContain("at least cost, +5.00 cr in all:");
  const before = await openStorage().lastSeq();
  await user.click(button(room, "Move all 2"));
  await freshVisits(2);
  expect(await openStorage().lastSeq()).toBe(before + 1);
  expect(plain(store.getState().session.notices.at(-1)?.words)).toMatch(
    /^\w\w is on [^,]+, \w\w is on [^,]+\.$/,
  );
});

test("where no moves make room it says what else would, and a search that fails says so", async () => {
  mockSearch.mockReturnValueOnce(new Promise(() => undefined));
  await show();
  const over = screen.getByRole("button", { name: /^The week of / });
  await user.click(over);
  expect(screen.getByText("Looking for what makes room at least cost…")).toBeVisible();
  await user.click(screen.getByRole("button", { name: "All weeks" }));
  mockSearch.mockReturnValueOnce({ moves: [], remaining: 90 });
  await user.click(over);
  expect(await screen.findByText(/^No visits were found that may go .* Split one/)).toBeVisible();
  await user.click(screen.getByRole("button", { name: "All weeks" }));
  expect(screen.queryByRole("region", { name: /more than there are$/ })).toBeNull();
  mockSearch.mockImplementationOnce(({ visits }) => ({
    moves: visits
      .slice(0, 1)
      .map(({ day }, at) => ({ at, to: { day: addDays(day, 70), more: 2 } })),
    remaining: 90,
  }));
  await user.click(over);
  expect(
    await screen.findByText(/^That leaves 1.5 h more than there are\. Split one/),
  ).toBeVisible();
  await user.click(screen.getByRole("button", { name: "All weeks" }));
  mockSearch.mockRejectedValueOnce(new Error("the worker is gone"));
  await user.click(over);
  expect(await screen.findByText(/^What makes room could not be worked out: /)).toBeVisible();
});

test("some of its tasks are split off to another day", async () => {
  const panel = await show("21");
  const [first] = within(panel).getAllByRole("checkbox");
  await user.click(first as HTMLElement);
  await user.click(button(panel, /^Split off to /));
  const [stays, goes] = await freshVisits(2);
  expect(goes?.tasks).toHaveLength(1);
  expect(stays?.tasks).not.toContain(goes?.tasks[0]);
  expect(goes?.date).not.toBe(stays?.date);
});

test("a task is left out and is not in the visit the book then holds", async () => {
  const panel = await show("21");
  const names = within(panel).getAllByRole("checkbox").length;
  const [leave] = within(panel).getAllByRole("button", { name: /^Leave out / });
  await user.click(leave as HTMLElement);
  const [visit] = await freshVisits(1);
  expect(visit?.tasks).toHaveLength(names - 1);
  expect(visit?.without).toHaveLength(1);
  expect(visit?.tasks).not.toContain(visit?.without?.[0]);
});

test("a task is added, with what it adds told beforehand", async () => {
  const panel = await show("07");
  const choice = within(panel).getByRole("combobox", { name: /^Add a task/ });
  const options = within(choice).getAllByRole<HTMLOptionElement>("option").slice(1);
  for (const one of options) {
    expect(plain(one.textContent)).toMatch(
      /: (\+[\d.]+ cr|adds nothing|too early to count|not due in these weeks)$/,
    );
  }
  const [some] = options;
  await user.selectOptions(choice, some as HTMLOptionElement);
  const [visit] = await freshVisits(1);
  expect(visit?.tasks).toContain(some?.value);
});

test("it is pinned, says something, and is dropped", async () => {
  const panel = await show("07");
  await user.click(button(panel, "Pin to this day"));
  const [pinned] = await freshVisits(1);
  expect(pinned?.pinned).toBe(true);
  const held = await screen.findByRole("group", { name: /^Visit of 07 on / });
  await user.type(within(held).getByRole("textbox", { name: "Note" }), "after the fair");
  await user.click(button(held, "Keep the note"));
  await waitFor(async () => expect((await fresh())[0]?.note).toBe("after the fair"));
  await planVisits();
  const noted = screen.getByRole("group", { name: /^Visit of 07 on / });
  await user.click(button(noted, "Unpin"));
  await waitFor(async () => expect((await fresh())[0]?.pinned).toBe(false));
  await planVisits();
  await user.click(button(screen.getByRole("group", { name: /^Visit of 07 on / }), /^Drop/));
  await freshVisits(0);
});

test("what stands in the way of a change is said, and nothing is lost", async () => {
  const panel = await show("07");
  openStorage().performOn = () => Promise.reject(new Error("the disk is full"));
  await user.click(button(panel, "Accept"));
  const alert = await within(panel).findByText(/It was not saved: .*/);
  expect(alert).toHaveAttribute("role", "alert");
  expect(await fresh()).toEqual([]);
});

test("a week picked on the ridge shows its visits only, all of which are accepted at once", async () => {
  await show("12");
  const ridge = screen.getByRole("group", { name: "Hours of work by week" });
  const weeks = within(ridge).getAllByRole("button");
  expect(weeks[0]?.textContent).toMatch(/visits?, .* of work, .* of it accepted/);
  weeks[0]?.focus();
  await user.keyboard("{ArrowRight}");
  expect(weeks[1]).toHaveFocus();
  await user.keyboard("{ArrowLeft}{Enter}");
  expect(weeks[0]).toHaveAttribute("aria-pressed", "true");
  expect(screen.getByRole("heading", { name: /^Week of / })).toBeInTheDocument();
  // What stood open elsewhere is put away.
  expect(screen.queryByRole("group", { name: /^Visit of 12 on / })).toBeNull();
  const accept = screen.getByRole("button", { name: /^Accept \d+\svisits? of this week$/ });
  const count = Number(/\d+/.exec(accept.textContent)?.[0]);
  await user.click(accept);
  const visits = await freshVisits(count);
  expect(new Set(visits.map(({ machine }) => machine)).size).toBe(count);
  await user.click(screen.getByRole("button", { name: "All weeks" }));
  expect(screen.getByRole("heading", { name: "All visits ahead" })).toBeInTheDocument();
});

test("a machine that can never be spared is told with what frees it, and a press does", async () => {
  await show();
  const issues = screen.getByRole("region", { name: "Cannot be kept to" });
  const [line] = within(issues).getAllByRole("listitem");
  expect(plain(line?.textContent)).toMatch(/There is no day for .* on 01: it cannot be spared/);
  expect(within(issues).getByRole("link", { name: /^Days 01 is needed/ })).toHaveAttribute(
    "href",
    "/yard/m-ambulance/facts",
  );
  await user.click(within(issues).getByRole("button", { name: /^Spare 01 on / }));
  const [visit] = await freshVisits(1);
  expect(visit?.tasks.length).toBeGreaterThan(0);
  expect(screen.queryByRole("region", { name: "Cannot be kept to" })).toBeNull();
});

test("a visit whose day has passed is logged, moved to the next day there is, or dropped", async () => {
  await show();
  const missed = screen.getByRole("region", { name: "Not logged on their day" });
  expect(
    within(missed)
      .getByRole("link", { name: /Log it/ })
      .getAttribute("href"),
  ).toMatch(/^\/log\/m-pump\?task=/);
  const known = BOOK.visits?.find(({ machine }) => machine === "m-pump");
  await user.click(within(missed).getByRole("button", { name: /^Move to / }));
  await waitFor(async () => {
    const held = [...(await heldVisits()).values()].find(({ id }) => id === known?.id);
    expect(held?.date.localeCompare(known?.date ?? "")).toBe(1);
  });
  await planVisits();
  expect(screen.queryByRole("region", { name: "Not logged on their day" })).toBeNull();
});

test("a book without machines says so, and a plan that failed says why and what to do", async () => {
  await openBook({ format: "yonderfell-book", version: 2 });
  const { unmount } = render(<VisitsPage />, { wrapper: Around });
  expect(await screen.findByRole("link", { name: "Add the first machine" })).toBeInTheDocument();
  unmount();
  store.dispatch(visits.failed("the disk is full"));
  render(<VisitsPage />, { wrapper: Around });
  expect(screen.getByRole("status")).toHaveTextContent(
    "The visits could not be planned: the disk is full. Reload the page to try again.",
  );
});
