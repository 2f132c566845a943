import { dayFromParts, type DayNumber } from "@yonderfell/core";

/** The day it is where the person is. */
export function currentDay(now: Date = new Date()): DayNumber {
  return dayFromParts(now.getFullYear(), now.getMonth() + 1, now.getDate());
}
