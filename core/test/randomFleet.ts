import fc from "fast-check";
import type { Book } from "../src/book/file/book.js";
import type { FleetBook } from "../src/plan/fleet/prepareFleet.js";
import { bookOf, type BookParts } from "./books.js";
import { inDays } from "./plans.js";
import { randomMachine, type DrawnMachine } from "./randomMachine.js";

/** How large a drawn fleet is. */
export interface FleetSize {
  readonly machines: number;
  /** Weeks after this one. */
  readonly weeks: number;
}

type Loose = Readonly<Record<string, unknown>>;

/** The records of a drawn machine under names of its own, so that several stand in one book. */
function named({ parts, visits, journeys }: DrawnMachine, name: string): Record<string, Loose[]> {
  const of = (id: unknown): string => `${name}-${String(id)}`;
  const all = (ids: unknown): string[] => ((ids ?? []) as readonly unknown[]).map(of);
  const records = <K extends keyof BookParts>(key: K): readonly Loose[] =>
    (parts[key] ?? []) as unknown as readonly Loose[];
  const owned = (record: Loose): Loose => ({ ...record, id: of(record["id"]), machine: name });
  return {
    machines: records("machines").map((one) => ({ ...one, id: name, tag: name })),
    tasks: records("tasks").map(owned),
    readings: records("readings").map(owned),
    entries: records("entries").map((one) => ({ ...owned(one), tasks: all(one["tasks"]) })),
    visits: (visits as readonly unknown[] as readonly Loose[]).map((one) => ({
      ...owned(one),
      tasks: all(one["tasks"]),
      without: all(one["without"]),
    })),
    journeys: (journeys as readonly unknown[] as readonly Loose[]).map(owned),
  };
}

const SKILLS = ["gas", "weld"];
const drawnWord = fc.option(fc.constantFrom("gas", "weld", "pit"), { freq: 2 });

/** Some machines in a shed with too few hours, skills of people, bays that do not take all, and days off. */
export function randomFleet({ machines: count, weeks }: FleetSize): fc.Arbitrary<FleetBook> {
  return fc
    .record({
      machines: fc.array(randomMachine, { minLength: count, maxLength: count }),
      people: fc.array(
        fc.record({
          hoursAWeek: fc.constantFrom(0.25, 0.5, 1, 2, null),
          skills: fc.subarray(SKILLS),
        }),
        { minLength: 1, maxLength: 3 },
      ),
      bays: fc.array(
        fc.record({ hoursAWeek: fc.constantFrom(1, 3), takes: fc.subarray(["pit"]) }),
        {
          maxLength: 2,
        },
      ),
      needs: fc.array(drawnWord, { minLength: 4, maxLength: 4 }),
      pinned: fc.boolean(),
      closed: fc.option(fc.integer({ min: 0, max: 20 })),
      overHour: fc.constantFrom(5, 40, 100),
    })
    .map(({ machines, people, bays, needs, pinned, closed, overHour }) => {
      const all = machines.map((one, at) => named(one, `m${at}`));
      const of = (key: string): Loose[] => all.flatMap((one) => one[key] ?? []);
      const reason = "holiday";
      const parts = {
        machines: of("machines"),
        tasks: of("tasks").map((task, at) => {
          const need = needs[at % needs.length] ?? null;
          return need === null ? task : { ...task, needs: [need] };
        }),
        readings: of("readings"),
        entries: of("entries").map((entry, at) => ({ ...entry, seq: at + 1 })),
        visits: of("visits").map((one, at) => (pinned && at === 0 ? { ...one, pinned } : one)),
        journeys: of("journeys"),
        people: people.map((one, at) => ({
          id: `p${at}`,
          name: `P${at}`,
          initials: `P${at}`,
          ...one,
        })),
        bays: bays.map((one, at) => ({ id: `b${at}`, name: `B${at}`, ...one })),
        closures:
          closed === null
            ? []
            : [{ id: "c", from: inDays(closed), to: inDays(closed + 3), what: "workshop", reason }],
        settings: { planning: { weeks, overHour } },
      };
      return bookOf(parts) satisfies Book;
    });
}
