import type { Book } from "../../book/file/book.js";
import type { Entry } from "../../book/records/entry.js";
import type { MachineId, MeterId } from "../../book/records/ids.js";
import { recordsByMachine, type MachineRecords } from "../../book/slice/machineRecords.js";
import { ownValue } from "../../book/records/ownValue.js";
import type { Reading } from "../../book/records/reading.js";
import { DEFAULT_SETTINGS } from "../../book/records/settings.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { figureDoubt } from "../../meter/figureDoubt.js";
import { reckonMeters, type MeterReckoning } from "../../meter/reckonMeter.js";
import type { CsvDoubt } from "./csvIssue.js";
import type { CsvItem } from "./csvPlan.js";

type Reckonings = ReadonlyMap<MeterId, MeterReckoning>;

/** The dial figures a record gives, by meter. */
function figuresOf(kind: "readings" | "entries", item: CsvItem): (readonly [MeterId, number])[] {
  if (kind === "readings") {
    const { meter, value } = item.record as Reading;
    return [[meter, value]];
  }
  const { meters } = item.record as Entry;
  return Object.keys(meters ?? {}).flatMap((meter): (readonly [MeterId, number])[] => {
    const figure = ownValue(meters, meter);
    return figure === undefined ? [] : [[meter as MeterId, figure]];
  });
}

/**
 * The figures of a table that do not agree with those of the book, or with each other (due rules §2):
 * what would be a fault once all is brought in, and what the book as it stands speaks against.
 */
export function figureDoubts(
  before: Book,
  after: Book,
  kind: "readings" | "entries",
  items: readonly CsvItem[],
  today: DayNumber,
): ReadonlyMap<CsvItem, readonly CsvDoubt[]> {
  const byMachine = new Map<MachineId, CsvItem[]>();
  for (const item of items) {
    const { machine, void: isVoid } = item.record as Reading | Entry;
    if (isVoid === true) continue;
    const own = byMachine.get(machine);
    if (own === undefined) byMachine.set(machine, [item]);
    else own.push(item);
  }
  const recordsBefore = recordsByMachine(before);
  const recordsAfter = recordsByMachine(after);
  const doubts = new Map<CsvItem, readonly CsvDoubt[]>();
  for (const [machine, own] of byMachine) {
    const was = recordsBefore.get(machine);
    const is = recordsAfter.get(machine);
    if (was === undefined || is === undefined) continue;
    const stood = reckonMeters(was, DEFAULT_SETTINGS, today);
    const stands = reckonMeters(is, DEFAULT_SETTINGS, today);
    const faults = new Map(
      [...stands].map(([meter, { faults: points }]) => [
        meter,
        new Set(points.filter(({ section }) => section === kind).map(({ id }) => id)),
      ]),
    );
    const byHand = kind === "readings" ? figuresByHand(was) : null;
    for (const item of own) {
      const found = [
        ...(byHand === null ? [] : handDoubt(item, byHand, stands)),
        ...doubtsOf(kind, item, stood, stands, faults),
      ];
      if (found.length > 0) doubts.set(item, found);
    }
  }
  return doubts;
}

/** What somebody read off the dials of a machine, by meter and day. */
function figuresByHand({ readings, entries, rounds }: MachineRecords): ReadonlyMap<string, number> {
  const figures = new Map<string, number>();
  for (const { meter, date, value, source } of readings) {
    if ((source ?? "dial") === "dial") figures.set(`${meter} ${dayOf(date)}`, value);
  }
  for (const { record, day } of [...entries, ...rounds]) {
    const estimated: readonly string[] = record.estimatedMeters ?? [];
    for (const [meter, value] of Object.entries(record.meters ?? {})) {
      if (!estimated.includes(meter)) figures.set(`${meter} ${day}`, value);
    }
  }
  return figures;
}

/** Whether a figure of a feed says something else than what was read by hand that day: it never stands in its place unasked. */
function handDoubt(
  item: CsvItem,
  byHand: ReadonlyMap<string, number>,
  stands: Reckonings,
): CsvDoubt[] {
  const { source, meter: id, date, value } = item.record as Reading;
  const read = byHand.get(`${id} ${dayOf(date)}`);
  const meter = stands.get(id)?.meter;
  if (source !== "feed" || read === undefined || meter === undefined || read === value) return [];
  return [{ code: "read-by-hand", meter, value: read }];
}

function doubtsOf(
  kind: "readings" | "entries",
  item: CsvItem,
  stood: Reckonings,
  stands: Reckonings,
  faults: ReadonlyMap<MeterId, ReadonlySet<string>>,
): CsvDoubt[] {
  const { id, date, confirmed } = item.record as Reading | Entry;
  const day = dayOf(date);
  return figuresOf(kind, item).flatMap(([meter, figure]): CsvDoubt[] => {
    const was = stood.get(meter);
    const is = stands.get(meter);
    if (was === undefined || is === undefined || day > is.today) return [];
    const isFault = faults.get(meter)?.has(id) === true;
    // A correction is not spoken against by what it corrects.
    const speaks = item.before === null ? figureDoubt(was, day, figure) : null;
    const doubt = isFault ? (figureDoubt(is, day, figure) ?? speaks) : speaks;
    if (doubt === null || (confirmed === true && doubt.code === "impossible-rise")) return [];
    return [{ code: "figure-in-doubt", meter: is.meter, doubt }];
  });
}
