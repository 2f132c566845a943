import type { Book } from "../../book/file/book.js";
import type { Entry } from "../../book/records/entry.js";
import type { MachineId, MeterId } from "../../book/records/ids.js";
import { recordsByMachine } from "../../book/slice/machineRecords.js";
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
    for (const item of own) {
      const found = doubtsOf(kind, item, stood, stands, faults);
      if (found.length > 0) doubts.set(item, found);
    }
  }
  return doubts;
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
