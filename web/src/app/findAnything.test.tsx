/** @jest-environment jsdom */
import "@testing-library/jest-dom";
import { act, render, screen, waitFor } from "@testing-library/react";
import userEvent, { type UserEvent } from "@testing-library/user-event";
import { useLocation } from "react-router";
import type { ReactElement } from "react";
import { Around, layOutAsOnADesk, openBook } from "../../test/openedBook.js";
import type { Found } from "../work/finder.js";
import FindAnything from "./FindAnything.js";

type Answer = (found: readonly Found[]) => void;
const mockWaiting = new Map<string, Answer>();
const mockFailing = new Map<string, (error: Error) => void>();
jest.mock("../work/findClient.js", () => ({
  search: () => ({
    find: (_book: string, words: string) =>
      new Promise<readonly Found[]>((resolve, reject) => {
        mockWaiting.set(words, resolve);
        mockFailing.set(words, reject);
      }),
  }),
}));

const machine = (id: string, title: string): Found =>
  ({ kind: "machine", id, machine: id, tag: id, title, detail: "", date: "" }) as Found;
const BUS = machine("m07", "Service bus");
const VAN = machine("m02", "Post van");
const BOAT = machine("m09", "Harbour boat");

function Address(): ReactElement {
  return <output>{useLocation().pathname}</output>;
}

/** Opens Find and gives what the person works it with. */
async function openFind(): Promise<UserEvent> {
  await openBook();
  render(
    <Around>
      <Address />
      <FindAnything />
    </Around>,
  );
  return userEvent.setup();
}

/** The search answers the words at last. */
async function answer(words: string, found: readonly Found[]): Promise<void> {
  await waitFor(() => expect(mockWaiting.has(words)).toBe(true));
  await act(async () => Promise.resolve(mockWaiting.get(words)?.(found)));
}

const inHand = (): string =>
  document.querySelector("[cmdk-item][data-selected=true]")?.textContent ?? "";
const address = (): string => document.querySelector("output")?.textContent ?? "";

beforeEach(() => {
  layOutAsOnADesk();
  mockWaiting.clear();
  mockFailing.clear();
});

test("keys pressed before the answer is there are worked on the answer, not on the one before it", async () => {
  const user = await openFind();
  await user.keyboard("0");
  await answer("0", [BUS, BOAT, VAN]);
  await user.keyboard("7{ArrowDown}{Enter}");
  expect(address()).toBe("/");
  await answer("07", [BOAT, VAN, BUS]);
  await waitFor(() => expect(address()).toBe("/yard/m02"));
});

test("a key that was held is forgotten when more is written", async () => {
  const user = await openFind();
  await user.keyboard("0{ArrowDown}7");
  await answer("07", [BOAT, BUS]);
  expect(inHand()).toContain("Harbour boat");
  await user.keyboard("{ArrowDown}");
  await waitFor(() => expect(inHand()).toContain("Service bus"));
  expect(address()).toBe("/");
});

test("a command that is named waits for no answer", async () => {
  const user = await openFind();
  await user.keyboard("hand-over{Enter}");
  await waitFor(() => expect(address()).toBe("/hand-over"));
});

test("a search that fails says so, and the next one is none the worse", async () => {
  const user = await openFind();
  await user.keyboard("0");
  await waitFor(() => expect(mockFailing.has("0")).toBe(true));
  await act(async () =>
    Promise.resolve(mockFailing.get("0")?.(new Error("the database is closed"))),
  );
  expect(screen.getByRole("status")).toHaveTextContent("It cannot be looked for");
  await user.keyboard("7");
  await answer("07", [BOAT]);
  expect(screen.getByRole("status")).toHaveTextContent("");
  await user.keyboard("{Enter}");
  await waitFor(() => expect(address()).toBe("/yard/m09"));
});

test("the line in hand is the one that is told and the one in sight", async () => {
  const shown = jest.spyOn(Element.prototype, "scrollIntoView");
  const user = await openFind();
  await user.keyboard("0");
  await answer("0", [BUS, BOAT, VAN]);
  const field = screen.getByRole("combobox");
  const told = (): string =>
    document.getElementById(field.getAttribute("aria-activedescendant") ?? "")?.textContent ?? "";
  expect(told()).toContain("Service bus");
  await user.keyboard("{ArrowDown}");
  expect(told()).toContain("Harbour boat");
  await user.keyboard("{End}");
  expect(told()).toContain("Post van");
  expect(shown.mock.contexts.at(-1)).toHaveTextContent("Post van");
  await user.keyboard("7");
  await answer("07", [VAN, BUS]);
  expect(told()).toContain("Post van");
  expect(inHand()).toContain("Post van");
  await user.keyboard("{ArrowDown}");
  expect(told()).toContain("Service bus");
});

test("the line under the mouse is in hand, and keys go on from there", async () => {
  const user = await openFind();
  await user.keyboard("0");
  await answer("0", [BUS, BOAT, VAN]);
  await user.hover(screen.getByText("Harbour boat"));
  expect(inHand()).toContain("Harbour boat");
  await user.keyboard("{End}{ArrowUp}");
  expect(inHand()).toContain("Harbour boat");
  await user.keyboard("{Home}{Enter}");
  expect(address()).toBe("/yard/m07");
});
