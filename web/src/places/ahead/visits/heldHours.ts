import { hoursOf, type Week } from "@yonderfell/core";
import type { ListedVisit } from "./visitModel.js";

/** The hours of a week's work that the book holds; the rest is only proposed. */
export function heldHours({ visits }: Week<ListedVisit>): number {
  return visits.reduce((sum, one) => sum + (one.planned.visit === null ? 0 : hoursOf(one)), 0);
}
