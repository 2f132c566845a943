import { useEffect } from "react";
import { useAppDispatch, useAppSelector } from "./store.js";
import { visits, type VisitsState } from "./visits.js";

/** The visits of the open book, planned from now on if they were not yet. */
export function useVisits(): VisitsState {
  const dispatch = useAppDispatch();
  useEffect(() => {
    dispatch(visits.wanted());
  }, [dispatch]);
  return useAppSelector((state) => state.visits);
}
