/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { fireEvent, render, screen, waitFor } from "@testing-library/react";
import { At, layOutAsOnADesk, openBook, openStorage } from "../../../../test/openedBook.js";
import { BOOK } from "../../../../test/skarrowVale.js";
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
