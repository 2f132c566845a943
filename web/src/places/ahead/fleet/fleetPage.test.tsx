/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { dayOf, findFleetPlan, type Book, type FleetNews } from "@yonderfell/core";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import {
  Around,
  layOutAsOnADesk,
  openBook,
  openStorage,
  plain,
} from "../../../../test/openedBook.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import FleetPage from "./FleetPage.js";

const mockEnd = jest.fn();
/** Whether the search goes on after what it found without the solver. */
let mockGoesOn = false;
const mockStorage = (): ReturnType<typeof openStorage> => openStorage();
jest.mock("../../../work/fleetClient.js", () => ({
  endFleet: () => void mockEnd(),
  findFleet: async (_: string, __: unknown, tell: (news: FleetNews) => void) => {
    await new Promise((resolve) => setTimeout(resolve, 0));
    const none = (): Promise<never> => Promise.reject(new Error("not here"));
    await findFleetPlan(await mockStorage().everything(), TODAY, none, tell);
    if (mockGoesOn) await new Promise(() => undefined);
  },
}));

beforeAll(layOutAsOnADesk);
beforeEach(() => {
  mockGoesOn = false;
  mockEnd.mockClear();
});

const user = userEvent.setup();

/** Few hours, so that machines give way. */
const SHORT: Book = {
  ...BOOK,
  people: (BOOK.people ?? []).map((person) => ({ ...person, hoursAWeek: 1.5 })),
};

async function show(book: Book): Promise<void> {
  await openBook(book);
  render(<FleetPage />, { wrapper: Around });
  await screen.findByRole("heading", { name: "What the plan changes" });
}

test("the plan is taken whole in one change, and nothing is left of it to change", async () => {
  await show(SHORT);
  expect(screen.getByRole("heading", { name: "What cannot be held" })).toBeInTheDocument();
  const before = (await openStorage().list("visits")).length;
  await user.click(screen.getByRole("button", { name: "Take the whole plan" }));
  await waitFor(async () => {
    expect((await openStorage().list("visits")).length).toBeGreaterThan(before + 10);
  });
  const last = await openStorage().lastSeq();
  const [line] = (await openStorage().changesAfter(last - 1)) ?? [];
  expect(line?.change.command).toBe("take-fleet-plan");
  await screen.findByText("Nothing: what is accepted is what the plan would do.");
});

test("one week of it is taken, and then one machine", async () => {
  await show(SHORT);
  const dates = async (): Promise<string[]> =>
    (await openStorage().list("visits")).map(({ machine, date }) => `${machine} ${date}`);
  const before = await dates();
  const [first] = screen.getAllByRole("button", { name: "Take this week" });
  if (first === undefined) throw new Error("no week");
  await user.click(first);
  await waitFor(async () => expect((await dates()).length).toBeGreaterThan(before.length));
  const taken = (await dates()).filter((one) => !before.includes(one));
  const days = taken.map((one) => dayOf(one.split(" ")[1] ?? ""));
  expect(Math.max(...days) - Math.min(...days)).toBeLessThan(7);
  await screen.findByRole("button", { name: "Take the whole plan" });
  await user.click(screen.getByRole("radio", { name: "By machine" }));
  const [own] = screen.getAllByRole("button", { name: /^Take \w\w$/ });
  if (own === undefined) throw new Error("no machine");
  const between = await dates();
  await user.click(own);
  await waitFor(async () => expect((await dates()).length).toBeGreaterThan(between.length));
  const more = (await dates()).filter((one) => !between.includes(one));
  expect(new Set(more.map((one) => one.split(" ")[0])).size).toBe(1);
});

test("a search that goes on can be stopped: what was found stands, and it can be looked on", async () => {
  mockGoesOn = true;
  await show(SHORT);
  await user.click(await screen.findByRole("button", { name: "Good enough, stop" }));
  expect(mockEnd).toHaveBeenCalled();
  expect(screen.getByText("Stopped: the best that was found.")).toBeInTheDocument();
  expect(screen.getByRole("button", { name: "Take the whole plan" })).toBeInTheDocument();
  mockGoesOn = false;
  await user.click(screen.getByRole("button", { name: "Look again" }));
  await screen.findByText(/The solver could not be loaded: not here/);
});

test("a week is looked at by itself from the ridge", async () => {
  await show(SHORT);
  const ridge = screen.getByRole("group", { name: "Hours of work by week" });
  const weeks = within(ridge).getAllByRole("button");
  const [week] = weeks;
  if (week === undefined) throw new Error("no week");
  expect(plain(week.textContent)).toMatch(/^Week of Mon 23 Nov: .* by the plan of .* there are/);
  await user.click(week);
  expect(
    plain(screen.getByRole("heading", { name: /^What it changes in the week of/ }).textContent),
  ).toBe("What it changes in the week of Mon 23 Nov");
  await user.click(screen.getByRole("button", { name: "All weeks" }));
  expect(screen.getByRole("heading", { name: "What the plan changes" })).toBeInTheDocument();
});

test("without hours recorded it says where to say them", async () => {
  const people = (BOOK.people ?? []).map(({ hoursAWeek: _, ...person }) => person);
  const bays = (BOOK.bays ?? []).map(({ hoursAWeek: _, ...bay }) => bay);
  await openBook({ ...BOOK, people, bays });
  render(<FleetPage />, { wrapper: Around });
  expect(
    await screen.findByRole("link", { name: /^Say how many hours a week people work/ }),
  ).toHaveAttribute("href", "/workshop");
});
