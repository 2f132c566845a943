/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { Around, layOutAsOnADesk, openBook, openStorage, plain } from "../../../test/openedBook.js";
import { BOOK } from "../../../test/skarrowVale.js";
import { AskCurrency } from "../shared/currency/AskCurrency.js";
import MinutesPage from "./minutes/MinutesPage.js";
import { minutesProblems } from "./minutes/minutesModel.js";
import { minutesProblemWords } from "./minutes/minutesWords.js";
import Yard from "./Yard.js";

beforeAll(layOutAsOnADesk);

test("several machines get a place, a person and a school in one change", async () => {
  await openBook();
  const user = userEvent.setup();
  render(<Yard />, { wrapper: Around });
  await user.click(await screen.findByRole("button", { name: "Choose several" }));
  const bar = screen.getByRole("region", { name: "For several machines" });
  expect(bar).toHaveFocus();
  const give = (): HTMLElement => within(bar).getByRole("button", { name: /^Give it to/ });
  expect(give()).toBeDisabled();
  await user.click(screen.getByRole("checkbox", { name: /^Choose 07 / }));
  await user.click(screen.getByRole("checkbox", { name: /^Choose 12 / }));
  await user.click(screen.getByRole("checkbox", { name: /^Choose 15 / }));
  await user.click(screen.getByRole("checkbox", { name: /^Choose 15 / }));
  expect(give()).toBeDisabled();
  await user.selectOptions(within(bar).getByLabelText("Lives at"), "No place");
  await user.selectOptions(within(bar).getByLabelText("School"), "cautious");
  expect(plain(give().textContent)).toBe("Give it to 2 machines");
  const before = await openStorage().lastSeq();
  await user.click(give());
  await waitFor(async () => expect(await openStorage().lastSeq()).toBe(before + 1));
  await waitFor(() => expect(bar).toHaveFocus());
  const machines = await openStorage().list("machines");
  const of = (tag: string): unknown => machines.find((one) => one.tag === tag);
  expect(of("07")).toMatchObject({ place: null, regime: "cautious" });
  expect(of("12")).toMatchObject({ place: null, regime: "cautious" });
  const lunch = BOOK.machines?.find(({ tag }) => tag === "15");
  expect(of("15")).toMatchObject({ place: lunch?.place, person: lunch?.person });
  // What they have already is no change.
  await user.selectOptions(within(bar).getByLabelText("School"), "cautious");
  await user.click(give());
  expect(await within(bar).findByText("They have all of this already.")).toBeInTheDocument();
  expect(await openStorage().lastSeq()).toBe(before + 1);
  await user.click(within(bar).getByRole("button", { name: "End" }));
  expect(screen.getByRole("button", { name: "Choose several" })).toHaveFocus();
});

test("minutes are said once for all tasks of a name that have none", async () => {
  await openBook();
  const user = userEvent.setup();
  render(<MinutesPage />, { wrapper: Around });
  const untimed = (BOOK.tasks ?? []).filter(
    ({ name, minutes }) => name === "Roadworthiness test" && (minutes ?? null) === null,
  );
  expect(untimed.length).toBeGreaterThan(1);
  const field = await screen.findByLabelText("Minutes of Roadworthiness test");
  await user.type(field, "an hour");
  await user.click(screen.getByRole("button", { name: /^Save the minutes of/ }));
  expect(screen.getByText("minutes, a number above 0")).toBeInTheDocument();
  expect(field).toHaveFocus();
  await user.clear(field);
  await user.type(field, "90");
  const save = screen.getByRole("button", { name: /^Save the minutes of/ });
  expect(plain(save.textContent)).toBe(`Save the minutes of ${untimed.length} tasks`);
  await user.click(save);
  await waitFor(async () => expect(await openStorage().lastSeq()).toBe(1));
  await waitFor(() => expect(screen.getByRole("region", { name: "By name" })).toHaveFocus());
  const tasks = await openStorage().list("tasks");
  const after = tasks.filter(({ name }) => name === "Roadworthiness test");
  expect(after.every(({ minutes }) => minutes === 90)).toBe(true);
  const others = tasks.filter(({ name }) => name !== "Roadworthiness test");
  expect(others.map(({ minutes }) => minutes ?? null)).toEqual(
    (BOOK.tasks ?? [])
      .filter(({ name }) => name !== "Roadworthiness test")
      .map(({ minutes }) => minutes ?? null),
  );
});

test.each([
  ["", "Say how long one of them takes."],
  ["40", ""],
  ["0", "minutes, a number above 0"],
  ["-5", "minutes, a number above 0"],
  ["9000", "at most 6000 minutes"],
])("minutes typed as %j: %j", (text, problem) => {
  const [first] = minutesProblems({ minutes: { oil: text } }, [
    { key: "oil", name: "Oil", tasks: [] },
  ]);
  expect(first === undefined ? "" : minutesProblemWords(first)).toBe(problem);
});

test("the currency is asked where the book has none, and kept for all of it", async () => {
  await openBook();
  const { unmount } = render(<AskCurrency />, { wrapper: Around });
  await waitFor(async () => expect((await openStorage().ownSettings())?.currency).toBe("cr"));
  expect(screen.queryByLabelText("Amounts of money are in")).not.toBeInTheDocument();
  unmount();
  await openBook({ ...BOOK, settings: { ...BOOK.settings, currency: null } });
  const user = userEvent.setup();
  render(<AskCurrency />, { wrapper: Around });
  await user.type(await screen.findByLabelText("Amounts of money are in"), " cr {Enter}");
  await waitFor(async () => expect((await openStorage().ownSettings())?.currency).toBe("cr"));
});
