/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { act, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ReactElement } from "react";
import { useState } from "react";
import { useLocation } from "react-router";
import { At, layOutAsOnADesk, openBook, plain } from "../../../test/openedBook.js";
import { ReckonerProvider } from "../../session/ReckonerProvider.js";
import { overlayOpened } from "../../session/session.js";
import { store, useAppSelector } from "../../session/store.js";
import { QuantityField } from "../../ui/QuantityField.js";
import Reckoner from "./Reckoner.js";

beforeAll(async () => {
  layOutAsOnADesk();
  await openBook();
});
beforeEach(() => act(() => void store.dispatch(overlayOpened("reckoner"))));

/** A place with a field that can ask, and where one is. */
function Place(): ReactElement {
  const [text, setText] = useState("");
  const { pathname, search } = useLocation();
  const overlay = useAppSelector((state) => state.session.overlay);
  return (
    <ReckonerProvider>
      <h1 tabIndex={-1}>{`${pathname}${search}`}</h1>
      <QuantityField
        label="Went in"
        value={text}
        wanted={{ unit: "L" }}
        reckon="fill-step"
        onChange={setText}
      />
      {overlay === "reckoner" && <Reckoner />}
    </ReckonerProvider>
  );
}

const shown = (at: string): void => {
  render(
    <At path="/*" address={at}>
      <Place />
    </At>,
  );
};
const answer = (): HTMLElement => screen.getByRole("region", { name: "Answer" });
const valueOf = (label: string): string =>
  plain(screen.getByLabelText<HTMLInputElement>(label).value);
const said = (): string => plain(answer().textContent);

test("a sum is found by a word, filled in from the machine and answered while one types", async () => {
  const user = userEvent.setup();
  shown("/yard/m-bus");
  await user.type(await screen.findByLabelText("Find a sum"), "winter{Enter}");
  await screen.findByText(/^Filled in from/);
  expect(valueOf("The full system holds")).toBe("21 L");
  await user.type(screen.getByLabelText("In it now"), "30");
  await user.type(screen.getByLabelText("Wanted"), "45");
  expect(said()).toMatch(/^Drain 4\.5 L, then fill 4\.5 L of product/);
  expect(within(answer()).getByRole("img", { name: /Where each mix freezes/ })).toBeVisible();
  await user.clear(screen.getByLabelText("Product holds, per cent"));
  await user.type(screen.getByLabelText("Product holds, per cent"), "40");
  expect(said()).toMatch(/^What is filled is weaker than what is wanted/);
  expect(screen.getByText(/Never open a hot system/)).toBeVisible();
});

test("what was asked stands there again when it was laid aside", async () => {
  const user = userEvent.setup();
  shown("/yard/m-bus");
  await user.click(
    await screen.findByRole("button", { name: "What does the tread of a tyre say?" }),
  );
  await user.type(await screen.findByLabelText("Inside"), "1.2");
  expect(said()).toMatch(/^Stop: do not use it so/);
  await user.keyboard("{Escape}");
  expect(screen.queryByRole("dialog")).toBeNull();
  act(() => void store.dispatch(overlayOpened("reckoner")));
  expect(await screen.findByLabelText("Inside")).toHaveValue("1.2");
});

test("an answer goes with the work of the machine one stands on; where none is known there is no way to", async () => {
  const user = userEvent.setup();
  shown("/yard/m-bus");
  await user.click(await screen.findByRole("button", { name: "How far is a battery charged?" }));
  await user.type(await screen.findByLabelText("Volts at rest"), "12.3");
  await user.type(screen.getByLabelText("At rest for"), "8");
  await user.click(screen.getByRole("button", { name: "Keep with work" }));
  const heading = await screen.findByText(/^\/log\/m-bus\?measure=/);
  const measure = new URLSearchParams((heading.textContent ?? "").split("?")[1]).get("measure");
  expect(JSON.parse(measure ?? "")).toEqual({
    name: "battery, at rest",
    readings: [{ value: 12.3, unit: "V" }],
    verdict: "watch",
  });
});

test("off a machine nothing is filled in and nothing is kept", async () => {
  const user = userEvent.setup();
  shown("/ahead");
  await user.click(await screen.findByRole("button", { name: "How far is a battery charged?" }));
  expect(screen.getByLabelText("Volts at rest")).toHaveValue("");
  await user.type(screen.getByLabelText("Volts at rest"), "12.3");
  await user.type(screen.getByLabelText("At rest for"), "8");
  expect(said()).toMatch(/^57 % charged/);
  expect(screen.queryByRole("button", { name: "Keep with work" })).toBeNull();
});

test("a field that calls is handed the figure", async () => {
  const user = userEvent.setup();
  shown("/yard/m-bus");
  await user.keyboard("{Escape}");
  await user.click(await screen.findByRole("button", { name: "Reckon: Went in" }));
  await user.type(await screen.findByLabelText("Poured so far"), "5 5.1");
  await user.click(await screen.findByRole("button", { name: /^10.1.L in so far into/ }));
  expect(screen.queryByRole("dialog")).toBeNull();
  expect(valueOf("Went in")).toBe("10.1 L");
});
