import type { Book } from "../book/file/book.js";
import type { Digested } from "../book/file/digests.js";
import type { Meter } from "../book/records/machine.js";
import type { Section } from "../book/records/recordSchemas.js";
import { SECTIONS } from "../book/records/sections.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonBookMeters, type BoardFault } from "./board.js";

/** A meter of a machine, as a person names it. */
interface NamedMeter {
  readonly tag: string;
  readonly machine: string;
  readonly meter: Meter;
}

/** What a book holds, and what in it deserves a look. */
export interface BookSummary {
  readonly name: string | null;
  /** What was changed in its file since that was written. */
  readonly changed: readonly Digested[];
  readonly counts: Readonly<Record<Section, number>>;
  /** The first and last date of its entries and readings, null where it has none. */
  readonly dates: { readonly first: string; readonly last: string } | null;
  /** Figures that cannot be true beside the others. */
  readonly faults: readonly (NamedMeter & { readonly fault: BoardFault })[];
  /** Meters that have not been read for long, never, or that stand still. */
  readonly doubtful: readonly (NamedMeter & {
    readonly lastOn: DayNumber | null;
    readonly stoppedOn: DayNumber | null;
  })[];
}

/** What a sound book holds on `today`, and what in it deserves a look. */
export function summaryOf(book: Book, today: DayNumber): Omit<BookSummary, "changed"> {
  const meters = reckonBookMeters(book, today).flatMap(({ machine, meters: own }) =>
    own.map((state) => ({ tag: machine.tag, machine: machine.name, state })),
  );
  const dates = [...(book.entries ?? []), ...(book.readings ?? [])].map((record) => record.date);
  const counts = SECTIONS.map((section) => [section, book[section]?.length ?? 0]);
  return {
    name: book.name ?? null,
    counts: Object.fromEntries(counts) as Record<Section, number>,
    dates: dates.length === 0 ? null : { first: least(dates), last: most(dates) },
    faults: meters.flatMap(({ state, ...named }) =>
      state.faults.map((fault) => ({ ...named, meter: state.meter, fault })),
    ),
    doubtful: meters
      .filter(({ state }) => state.stale || state.stoppedOn !== null)
      .map(({ state: { meter, lastOn, stoppedOn }, ...named }) => ({
        ...named,
        meter,
        lastOn,
        stoppedOn,
      })),
  };
}

const least = (dates: readonly string[]): string =>
  dates.reduce((one, other) => (other < one ? other : one));
const most = (dates: readonly string[]): string =>
  dates.reduce((one, other) => (other > one ? other : one));
