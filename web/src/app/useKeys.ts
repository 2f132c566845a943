import { useEffect } from "react";
import { useNavigate } from "react-router";
import { PLACES } from "./places.js";
import { meterReadingOpened } from "./session.js";
import { useAppDispatch } from "./store.js";

/** Whether keys typed here are meant as text. */
function isInField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest("input, textarea, select, [contenteditable]") !== null
  );
}

/** The single keys that reach every place; they never act inside a field or over an open dialog. */
export function useKeys(): void {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isInField(event.target)) return;
      if (document.querySelector("[role=dialog]") !== null) return;
      const place = PLACES.find((candidate) => candidate.key === event.key);
      if (place !== undefined) {
        event.preventDefault();
        void navigate(place.path);
      } else if (event.key.toLowerCase() === "r") {
        event.preventDefault();
        dispatch(meterReadingOpened(""));
      }
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [dispatch, navigate]);
}
