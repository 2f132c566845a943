import { reckonBoard, type Book, type VisitId, type Visit } from "@yonderfell/core";
import { configure } from "@testing-library/react";
import { act, type ReactElement, type ReactNode } from "react";
import { Provider } from "react-redux";
import { MemoryRouter } from "react-router";
import { board } from "../src/app/board.js";
import { boardLookedAt, WHOLE_BOARD } from "../src/app/boardLook.js";
import { dayCame } from "../src/app/session.js";
import { store } from "../src/app/store.js";
import { visits } from "../src/app/visits.js";
import { MemoryStorage } from "../src/data/memoryStorage.js";
import { VisitKeeper } from "../src/work/visitKeeper.js";
import { refreshed } from "./refreshed.js";
import { BOOK, countingSurroundings, TODAY } from "./skarrowVale.js";

/**
 * A book open in memory, in place of the module that opens one in the browser:
 * `jest.mock("…/app/openBook.js", () => jest.requireActual("…/test/openedBook.js"))`.
 */
let opened = { entry: { id: "b", name: "Skarrow Vale" }, storage: new MemoryStorage() };
let keeper = new VisitKeeper(opened.storage);
let around = countingSurroundings();

/** The book that is open, as screens ask for it. */
export const useBook = (): typeof opened => opened;

/** What a command is told of the world. */
export const surroundings = (): typeof around => around;

/** The storage of the book that is open. */
export const openStorage = (): MemoryStorage => opened.storage;

/** Opens a book anew, with its board and its visits in the store. */
export async function openBookInMemory(book: Book = BOOK): Promise<void> {
  const storage = new MemoryStorage();
  await storage.fill(book);
  opened = { ...opened, storage };
  keeper = new VisitKeeper(storage);
  around = countingSurroundings();
  store.dispatch(dayCame(TODAY));
  store.dispatch(boardLookedAt(WHOLE_BOARD));
  store.dispatch(visits.closed());
  const machines = reckonBoard(book, TODAY);
  const whole = { seq: 0, today: TODAY, isWhole: true, isCurrent: true, machines };
  store.dispatch(board.updated(whole));
  await planVisits();
}

/** Has the visits planned anew, as the worker does after each change. */
export async function planVisits(): Promise<void> {
  const update = await refreshed(keeper, TODAY);
  if (update !== null) act(() => void store.dispatch(visits.updated(update)));
}

/** The visits that the open book holds, by id. */
export async function heldVisits(): Promise<ReadonlyMap<VisitId, Visit>> {
  const visits = await opened.storage.list("visits");
  return new Map(visits.map((visit) => [visit.id, visit]));
}

/** What a part of the interface stands in. */
export function Around({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <Provider store={store}>
      <MemoryRouter>{children}</MemoryRouter>
    </Provider>
  );
}

/** Words without what only keeps them together on a line. */
export const plain = (text: string | null | undefined): string =>
  (text ?? "").replaceAll("\u00a0", " ").replaceAll("\u2060", "");

/** So long is waited for what is to come; patience, not a measure. */
const PATIENCE_MS = 20_000;

/** The test page has no layout: every element is as wide as a desk, and nothing watches its size. */
export function layOutAsOnADesk(): void {
  configure({ asyncUtilTimeout: PATIENCE_MS });
  Object.defineProperty(HTMLElement.prototype, "clientWidth", { configurable: true, value: 1220 });
  Object.defineProperty(Element.prototype, "scrollIntoView", {
    configurable: true,
    writable: true,
    value: () => undefined,
  });
  readStylesAsWritten();
  const nothing = (): void => undefined;
  globalThis.ResizeObserver = class {
    observe = nothing;
    unobserve = nothing;
    disconnect = nothing;
  };
}

/**
 * There are no style sheets here, so that what an element looks like is what is written on it, and hidden what is
 * marked so. Working the cascade out for every element that is asked for by its role takes most of such a test.
 */
function readStylesAsWritten(): void {
  const hidden = document.createElement("div").style;
  hidden.display = "none";
  globalThis.getComputedStyle = (element: Element): CSSStyleDeclaration =>
    element.hasAttribute("hidden") ? hidden : (element as HTMLElement).style;
}
