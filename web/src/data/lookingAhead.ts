import type { CommandContext, DayNumber } from "@yonderfell/core";

/** Room for the numbers of one look ahead under the largest safe one. */
const ROOM = 1_000_000;

/** What a command is told when it is only tried: its ids and numbers come after all others, and nothing made with them is stored. */
export function lookingAhead(today: DayNumber): CommandContext {
  let count = 0;
  const next = (): number => (count += 1);
  return {
    today,
    newId: () => `looking-ahead-${next()}`,
    nextSeq: () => Number.MAX_SAFE_INTEGER - ROOM + next(),
  };
}
