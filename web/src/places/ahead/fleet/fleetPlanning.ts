import { gapOf, type FleetNews, type FleetTold } from "@yonderfell/core";

/** A fleet plan as far as it is found. */
export interface FleetPlanning {
  readonly phase: "preparing" | "searching" | "done" | "stopped" | "failed";
  /** Of the preparation, 0 to 1. */
  readonly prepared: number;
  /** The best plan so far; null before the first. */
  readonly told: FleetTold | null;
  /** Why it could not be planned, or not by the solver; empty where it could. */
  readonly reason: string;
}

/** Before anything is known. */
export const BEGINNING: FleetPlanning = { phase: "preparing", prepared: 0, told: null, reason: "" };

/** What is known after some news. */
export function afterNews(before: FleetPlanning, news: FleetNews): FleetPlanning {
  switch (news.code) {
    case "preparing": {
      const prepared = news.done / Math.max(1, news.of);
      return { ...before, prepared, phase: prepared < 1 ? "preparing" : "searching" };
    }
    case "found":
      return { ...before, told: news.told };
    case "bound": {
      const { told } = before;
      return told === null ? before : { ...before, told: withBound(told, news.bound) };
    }
    case "no-solver":
      return { ...before, reason: news.reason };
  }
}

function withBound(told: FleetTold, bound: number): FleetTold {
  return { ...told, bound, gap: gapOf(told.cost.sharing, bound) };
}
