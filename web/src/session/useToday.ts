import { useEffect } from "react";
import { dayCame } from "./session.js";
import { useAppDispatch } from "./store.js";
import { currentDay } from "../data/today.js";

const LOOK_EVERY_MS = 30_000;

/** Keeps the day current: looked at now and then, and when the page is come back to. */
export function useToday(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const look = (): void => {
      dispatch(dayCame(currentDay()));
    };
    const timer = setInterval(look, LOOK_EVERY_MS);
    document.addEventListener("visibilitychange", look);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", look);
    };
  }, [dispatch]);
}
