/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { act, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { reckonBoard, type Book } from "@yonderfell/core";
import { Around, layOutAsOnADesk, openBook, plain } from "../../../../test/openedBook.js";
import { BOOK, TODAY } from "../../../../test/skarrowVale.js";
import { store } from "../../../session/store.js";
import { visits } from "../../../session/visits.js";
import TodayPage from "./TodayPage.js";

beforeAll(layOutAsOnADesk);

async function show(book?: Book): Promise<void> {
  await openBook(book);
  render(<TodayPage />, { wrapper: Around });
}

const part = (title: string): HTMLElement => screen.getByRole("region", { name: title });
const linesOf = (title: string): string[] =>
  within(part(title))
    .getAllByRole("listitem")
    .map((line) => plain(line.textContent));

test("what presses most stands first, each heading once", async () => {
  await show();
  const titles = screen.getAllByRole("heading", { level: 2 }).map((one) => one.textContent);
  const order = [
    ...["Out of service", "Not to be used until done", "Visits", "Due by law or warranty"],
    ...["To follow up", "Overdue and due", "Found, to put right or look at"],
    ...["With each use", "Meters to read"],
  ];
  expect(titles).toEqual(order.filter((title) => titles.includes(title)));
  expect(titles.length).toBeGreaterThan(4);
});

test("a machine out of service is told with its reason, since when and by whom", async () => {
  await show();
  expect(linesOf("Out of service")).toEqual([
    expect.stringMatching(
      /^25 Tracked carrier, out of serviceCrack in the left idler arm.*Since 17 Nov, by Edda Thwaite$/,
    ),
  ]);
});

test("each line of work says its state, why, and has a way to log it", async () => {
  await show();
  for (const title of ["Due by law or warranty", "Overdue and due"]) {
    for (const line of within(part(title)).getAllByRole("listitem")) {
      expect(plain(line.textContent)).toMatch(/(overdue|due|soon)/);
      expect(within(line).getByRole("link", { name: /^Log .* on / })).toHaveAttribute(
        "href",
        expect.stringMatching(/^\/log\/m-.*\?task=t-/),
      );
    }
  }
  expect(linesOf("Due by law or warranty").every((line) => line.includes("no grace"))).toBe(true);
});

test("work for others says what to tell them", async () => {
  const telling: Book = {
    ...BOOK,
    tasks: (BOOK.tasks ?? []).map((task) =>
      task.name === "Brake fluid"
        ? { ...task, outside: { because: "licensed", tell: "Bleed from the far wheel" } }
        : task,
    ),
  };
  await show(telling);
  expect(linesOf("Overdue and due").join("\n")).toContain("For others: Bleed from the far wheel");
});

test("the missed visit stands among the visits of the day, with all of its tasks to log", async () => {
  await show();
  const [line] = within(part("Visits")).getAllByRole("listitem");
  expect(plain(line?.textContent)).toMatch(/^31 Bog pump, .*Was for .* and is not logged/);
  const link = within(line as HTMLElement).getByRole("link", { name: "Log the visit of 31" });
  expect(link.getAttribute("href")?.match(/task=/g)).toHaveLength(2);
});

test("a stale meter says how long it has not been read, and opens the line to read it", async () => {
  const user = userEvent.setup();
  await show({ ...BOOK, settings: { ...BOOK.settings, staleAfterDays: 3 } });
  const [line] = within(part("Meters to read")).getAllByRole("listitem");
  expect(plain(line?.textContent)).toMatch(/Last read \d+ (days|weeks|months) ago, [\d ]+/);
  const tag = plain(line?.textContent).slice(0, 2);
  await user.click(within(line as HTMLElement).getByRole("button", { name: /^Read / }));
  expect(store.getState().session).toMatchObject({ overlay: "reading", readingLine: `${tag} ` });
});

test("the sheet is printed on a press", async () => {
  const user = userEvent.setup();
  await show();
  const print = jest.spyOn(window, "print").mockImplementation(() => undefined);
  await user.click(screen.getByRole("button", { name: "Print the day sheet" }));
  expect(print).toHaveBeenCalledTimes(1);
});

test("while visits are put together, and where they cannot be, the sheet says so", async () => {
  await openBook();
  act(() => void store.dispatch(visits.closed()));
  render(<TodayPage />, { wrapper: Around });
  expect(part("Visits")).toHaveTextContent("Being put together…");
  act(() => void store.dispatch(visits.failed("the disk is full")));
  expect(part("Visits")).toHaveTextContent(
    "They could not be planned: the disk is full. Reload the page to try again.",
  );
  await act(() => openBook());
  expect(part("Visits")).not.toHaveTextContent("planned");
  expect(linesOf("Visits")).toHaveLength(1);
});

test("a day that asks for nothing says so, once all is known", async () => {
  const quiet: Book = {
    ...BOOK,
    tasks: [],
    ...{ entries: [], visits: [], journeys: [], readings: [], meterChanges: [], reminders: [] },
    findings: [],
    ...{ fitments: [], setAside: [], wants: [] },
    machines: (BOOK.machines ?? []).map(({ id, tag, name, kind }) => ({ id, tag, name, kind })),
  };
  expect(reckonBoard(quiet, TODAY).flatMap(({ tasks }) => tasks)).toEqual([]);
  await show(quiet);
  expect(screen.getByText("Nothing asks for you today.")).toBeInTheDocument();
  act(() => void store.dispatch(visits.reckoning()));
  expect(screen.queryByText("Nothing asks for you today.")).toBeNull();
});
