import { reckonBoard, type Book, type VisitId, type Visit } from "@yonderfell/core";
import { configure } from "@testing-library/react";
import { act, type ReactElement, type ReactNode } from "react";
import { Provider } from "react-redux";
import { MemoryRouter, Route, Routes } from "react-router";
import { board } from "../src/session/board.js";
import { OpenBookContext, type OpenBook } from "../src/session/openBook.js";
import { boardLookedAt, WHOLE_BOARD } from "../src/session/boardLook.js";
import { dayCame } from "../src/session/session.js";
import { store } from "../src/session/store.js";
import { visits } from "../src/session/visits.js";
import type { BookStorage } from "../src/data/bookStorage.js";
import { DexieStorage } from "../src/data/dexieStorage.js";
import { VisitKeeper } from "../src/work/visitKeeper.js";
import { refreshed } from "./refreshed.js";
import { BOOK, TODAY } from "./skarrowVale.js";

/** Databases are told apart by number: one that is still open must not stand in the way of the next. */
let count = 0;

/** What screens are tested on: the storage of the browser over a stand-in for its database, so that live queries fire. */
function openAnew(): OpenBook {
  const entry = {
    id: "b",
    name: "Skarrow Vale",
    isDemonstration: false,
    database: `opened-${(count += 1)}`,
    openedAt: "2026-11-23T09:00:00.000Z",
  };
  return { entry, storage: new DexieStorage(entry.database) };
}

let opened: OpenBook | null = null;
let keeper: VisitKeeper | null = null;

/** The storage of the book that is open. */
export function openStorage(): BookStorage {
  if (opened === null) throw new Error("no book is open yet");
  return opened.storage;
}

/** Opens a book anew, with its board and its visits in the store. */
export async function openBook(book: Book = BOOK): Promise<void> {
  opened = openAnew();
  await opened.storage.fill(book);
  keeper = new VisitKeeper(opened.storage);
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
  const update = keeper === null ? null : await refreshed(keeper, TODAY);
  if (update !== null) act(() => void store.dispatch(visits.updated(update)));
}

/** The visits that the open book holds, by id. */
export async function heldVisits(): Promise<ReadonlyMap<VisitId, Visit>> {
  const visits = await openStorage().list("visits");
  return new Map(visits.map((visit) => [visit.id, visit]));
}

/** What a part of the interface stands in. */
export function Around({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <Provider store={store}>
      <OpenBookContext value={opened}>
        <MemoryRouter>{children}</MemoryRouter>
      </OpenBookContext>
    </Provider>
  );
}

/** A screen at an address, as the way to it stands in the program. */
export function At({
  path,
  address,
  children,
}: {
  /** `/yard/:machineId/facts`. */
  readonly path: string;
  readonly address: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <Provider store={store}>
      <OpenBookContext value={opened}>
        <MemoryRouter initialEntries={[address]}>
          <Routes>
            <Route path={path} element={children} />
            <Route path="*" element={null} />
          </Routes>
        </MemoryRouter>
      </OpenBookContext>
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
