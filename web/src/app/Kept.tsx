import { useEffect, useLayoutEffect, useRef } from "react";
import { NavigationType, useLocation, useNavigationType } from "react-router";
import { boardLookedAt, WHOLE_BOARD, type BoardLook } from "../session/boardLook.js";
import { useBook } from "../session/openBook.js";
import { useAppDispatch, useAppSelector } from "../session/store.js";

/** Where this tab keeps how it looks at the board of a book. */
const LOOK = "yonderfell-look";
/** Where this tab keeps how far each of its pages was scrolled, by the key of its history. */
const SCROLL = "yonderfell-scroll";
/** So many pages are kept, the newest last. */
const MOST = 50;
/** What a person does who goes somewhere else on the page than it was left. */
const MOVES = ["wheel", "touchstart", "pointerdown", "mousedown", "keydown"] as const;

/** What this tab keeps; null where it keeps nothing or it cannot be read. */
function read(key: string): unknown {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? "null");
  } catch (error) {
    if (error instanceof SyntaxError) return null;
    throw error;
  }
}

function scrolls(): [string, number][] {
  const kept = read(SCROLL);
  return Array.isArray(kept) ? (kept as [string, number][]) : [];
}

function keepScroll(key: string, top: number): void {
  const others = scrolls().filter(([one]) => one !== key);
  sessionStorage.setItem(SCROLL, JSON.stringify([...others, [key, top]].slice(-MOST)));
}

/** Whether the page was come to anew and not loaded again or gone back to. */
function isComeToAnew(): boolean {
  const [load] = performance.getEntriesByType("navigation") as PerformanceNavigationTiming[];
  return load?.type === "navigate";
}

/** Scrolls as far as a page was, whenever it is long enough for it, until the person moves on it: it may grow in several steps. */
function scrollBack(top: number): () => void {
  const growing = new ResizeObserver(() => {
    const isLong = document.documentElement.scrollHeight - window.innerHeight >= top;
    if (isLong && window.scrollY !== top) window.scrollTo(0, top);
  });
  const end = (): void => {
    growing.disconnect();
    for (const move of MOVES) window.removeEventListener(move, end);
  };
  growing.observe(document.body);
  for (const move of MOVES) window.addEventListener(move, end, { passive: true });
  return end;
}

/** The look at the board is found again after a reload; that of another book is not taken over. */
function useKeptLook(): void {
  const { entry } = useBook();
  const dispatch = useAppDispatch();
  const look = useAppSelector((state) => state.boardLook);
  useLayoutEffect(() => {
    const kept = read(LOOK) as { readonly book?: string; readonly look?: BoardLook } | null;
    if (kept !== null) {
      dispatch(boardLookedAt({ ...WHOLE_BOARD, ...(kept.book === entry.id ? kept.look : {}) }));
    }
  }, [dispatch, entry.id]);
  // After it was read: what is read is kept again.
  useEffect(() => {
    sessionStorage.setItem(LOOK, JSON.stringify({ book: entry.id, look }));
  }, [entry.id, look]);
}

/** How far pages were scrolled: one that is come back to, or loaded again, stands where it was left; a new one begins at its top. */
function useKeptScroll(): void {
  const { key, pathname } = useLocation();
  const type = useNavigationType();
  const last = useRef("");
  useLayoutEffect(() => {
    window.history.scrollRestoration = "manual";
    const isFirst = last.current === "";
    const isNewPlace = last.current !== pathname;
    last.current = pathname;
    // Pages that are loaded share a key; with their address they do not.
    const own = `${key} ${pathname}`;
    const [, top = 0] = scrolls().find(([one]) => one === own) ?? [];
    const note = (): void => keepScroll(own, window.scrollY);
    const isBack = isFirst ? !isComeToAnew() : type === NavigationType.Pop;
    const end = isBack && top > 0 ? scrollBack(top) : (): void => undefined;
    if (!isFirst && isNewPlace && !(isBack && top > 0)) window.scrollTo(0, 0);
    // The same page under a new address, such as a list that was narrowed.
    if (type === NavigationType.Replace && !isNewPlace) note();
    // One that is not long enough yet for where it was left is not taken for scrolled to its top.
    const noteWhereItIs = (): void => {
      if (window.scrollY > 0) note();
    };
    // This comes after the first sight, and a page may be left before it has told that it was scrolled.
    if (isFirst && !isBack) noteWhereItIs();
    window.addEventListener("scroll", note, { passive: true });
    window.addEventListener("pagehide", noteWhereItIs);
    return () => {
      end();
      window.removeEventListener("scroll", note);
      window.removeEventListener("pagehide", noteWhereItIs);
    };
  }, [key, pathname, type]);
}

/** What a tab keeps of how it looks at things, over a reload and on the way back. */
export default function Kept(): null {
  useKeptLook();
  useKeptScroll();
  return null;
}
