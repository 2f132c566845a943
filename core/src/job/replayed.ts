import type { JobCard, ToldEvent } from "./card.js";
import { Replay } from "./replay.js";
import { standingEvents } from "./told.js";

/** A job after all its events, whatever order they are given in (job rules §2). */
export function replayed({ steps }: JobCard, events: readonly ToldEvent[]): Replay {
  const replay = new Replay(steps ?? []);
  const { events: standing, cannotUndo } = standingEvents(events);
  for (const event of standing) {
    if (cannotUndo.has(event)) replay.refuseUndo(event);
    else replay.add(event);
  }
  return replay;
}
