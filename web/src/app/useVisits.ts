import { useEffect } from "react";
import { useAppDispatch, useAppSelector } from "./store.js";
import { visitsWanted, type VisitsState } from "./visits.js";

/** The visits of the open book, planned from now on if they were not yet. */
export function useVisits(): VisitsState {
  const dispatch = useAppDispatch();
  useEffect(() => {
    dispatch(visitsWanted());
  }, [dispatch]);
  return useAppSelector((state) => state.visits);
}
