import type { ToldEvent } from "./card.js";

/** Compares two texts by the code points of their characters. */
function byCodePoint(one: string, other: string): number {
  const [here, there] = [[...one], [...other]];
  for (let at = 0; at < Math.min(here.length, there.length); at += 1) {
    const difference =
      ((here[at] as string).codePointAt(0) ?? 0) - ((there[at] as string).codePointAt(0) ?? 0);
    if (difference !== 0) return difference;
  }
  return here.length - there.length;
}

/** Whether one event happened after another: by time, then by id (job rules §2). */
export const isAfter = (one: ToldEvent, other: ToldEvent): boolean =>
  one.at - other.at > 0 || (one.at === other.at && byCodePoint(one.id, other.id) > 0);

/** Events in the order in which they happened: by time, then by id (job rules §2). */
export function inOrder(events: readonly ToldEvent[]): ToldEvent[] {
  return [...events].sort((one, other) => one.at - other.at || byCodePoint(one.id, other.id));
}

/** Events in order, without those that were taken out and what took them out. */
export interface StandingEvents {
  readonly events: readonly ToldEvent[];
  /** What would take out something that it cannot. */
  readonly cannotUndo: ReadonlySet<ToldEvent>;
}

/** The events that stand: an undo takes one before it out that is no undo itself, as if it had never been. */
export function standingEvents(told: readonly ToldEvent[]): StandingEvents {
  const ordered = inOrder(told);
  const before = new Map<string, ToldEvent>();
  const gone = new Set<ToldEvent>();
  const cannotUndo = new Set<ToldEvent>();
  for (const event of ordered) {
    if (event.do !== "undo") {
      before.set(event.id, event);
      continue;
    }
    const meant = typeof event.undoes === "string" ? before.get(event.undoes) : undefined;
    if (meant === undefined) cannotUndo.add(event);
    else {
      gone.add(meant);
      gone.add(event);
    }
  }
  return { events: ordered.filter((event) => !gone.has(event)), cannotUndo };
}
