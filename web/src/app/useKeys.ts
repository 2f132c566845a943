import { useEffect } from "react";
import { useNavigate } from "react-router";
import { PLACES } from "./places.js";
import {
  keyPressedAhead,
  meterReadingOpened,
  overlayClosed,
  overlayOpened,
} from "../session/session.js";
import { useAppDispatch, useAppSelector, useAppStore } from "../session/store.js";
import { useUndo } from "../session/useUndo.js";

/** Whether keys typed here are meant as text. */
function isInField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest("input, textarea, select, [contenteditable]") !== null
  );
}

/** The key as one writes it: `ctrl+shift+z`, `/`, `1`. */
function pressed(event: KeyboardEvent): string {
  const isHeld = event.ctrlKey || event.metaKey;
  const key = event.key.toLowerCase();
  if (!isHeld) return event.altKey ? "" : key;
  return `ctrl+${event.shiftKey ? "shift+" : ""}${key}`;
}

/** The keys that reach every place and command; they never act inside a field or over an open dialog. */
export function useKeys(): void {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const undo = useUndo();
  const hasSingleKeys = useAppSelector((state) => state.preferences.hasSingleKeys);
  useEffect(() => {
    const always = new Map<string, () => void>([
      ["ctrl+z", () => void undo("undo")],
      ["ctrl+shift+z", () => void undo("redo")],
      ["ctrl+k", () => dispatch(overlayOpened("find"))],
    ]);
    const single = new Map<string, () => void>([
      ...PLACES.map(({ key, path }) => [key, () => void navigate(path)] as const),
      ["r", () => dispatch(meterReadingOpened(""))],
      ["k", () => dispatch(overlayOpened("reckoner"))],
      ["/", () => dispatch(overlayOpened("find"))],
      ["?", () => dispatch(overlayOpened("keys"))],
    ]);
    const typeAhead = (event: KeyboardEvent): void => {
      const { key, ctrlKey, metaKey, altKey } = event;
      const isText = key.length === 1 && !ctrlKey && !metaKey && !altKey;
      if (key === "Escape") dispatch(overlayClosed());
      else if (isText || key === "Backspace") dispatch(keyPressedAhead(key));
      else return;
      event.preventDefault();
    };
    const onKey = (event: KeyboardEvent): void => {
      if (isInField(event.target) || document.querySelector("[role=dialog]") !== null) return;
      // A dialog that was asked for and is still being fetched: the keys are meant for it.
      if (store.getState().session.overlay !== null) return typeAhead(event);
      const key = pressed(event);
      const act = always.get(key) ?? (hasSingleKeys ? single.get(key) : undefined);
      if (act === undefined) return;
      event.preventDefault();
      act();
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [dispatch, navigate, store, undo, hasSingleKeys]);
}
