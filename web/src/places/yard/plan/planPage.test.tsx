/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { At, layOutAsOnADesk, openBook, openStorage } from "../../../../test/openedBook.js";
import { BOOK } from "../../../../test/skarrowVale.js";
import BaselinePage from "./BaselinePage.js";
import PlanPage from "./PlanPage.js";

beforeAll(layOutAsOnADesk);

test("a school chosen while the choice before is not yet certain is taken next, and not lost", async () => {
  await openBook(BOOK);
  const storage = openStorage();
  const perform = storage.perform.bind(storage);
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  // Durable, and not yet said to be: its second trace is being written.
  jest.spyOn(storage, "perform").mockImplementationOnce(async (...given) => {
    const result = await perform(...given);
    await held;
    return result;
  });
  render(
    <At path="/yard/:machineId/plan" address="/yard/m-bus/plan">
      <PlanPage />
    </At>,
  );
  const school = await screen.findByLabelText("School");
  fireEvent.change(school, { target: { value: "cautious" } });
  await waitFor(() => expect(school).toHaveValue("cautious"));
  fireEvent.change(school, { target: { value: "handbook" } });
  letGo();
  await waitFor(() => expect(school).toHaveValue("handbook"));
});

test("what is typed of several tasks stays while one more is ticked, and is decided for all of them", async () => {
  await openBook(BOOK);
  const machine = BOOK.machines?.find(({ history }) => history === "unknown");
  if (machine === undefined) throw new Error("no machine without records");
  render(
    <At path="/yard/:machineId/plan/baseline" address={`/yard/${machine.id}/plan/baseline`}>
      <BaselinePage />
    </At>,
  );
  const boxes = await screen.findAllByRole<HTMLInputElement>("checkbox");
  const [one, other] = boxes as [HTMLInputElement, HTMLInputElement];
  fireEvent.click(one);
  const group = screen.getByRole("group", { name: "Several in one go" });
  fireEvent.click(within(group).getByRole("button", { name: /^1\stask: records show it/ }));
  fireEvent.change(within(group).getByLabelText("By which record"), {
    target: { value: "stamped booklet" },
  });
  fireEvent.click(other);
  expect(within(group).getByLabelText("By which record")).toHaveValue("stamped booklet");
  const before = (await openStorage().list("entries")).length;
  fireEvent.click(within(group).getByRole("button", { name: "It was done then" }));
  await waitFor(async () =>
    expect((await openStorage().list("entries")).length).toBeGreaterThan(before),
  );
  const entry = (await openStorage().list("entries")).at(-1);
  expect(entry).toMatchObject({ machine: machine.id, note: "stamped booklet" });
  expect(entry?.tasks?.length).toBe(2);
});
