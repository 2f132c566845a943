import { put, type RecordChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { Entry } from "../book/records/entry.js";
import type { MeterId, ReadingId } from "../book/records/ids.js";
import type { Round } from "../book/records/round.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { Point } from "./points.js";

/**
 * Sets aside the figures of `points` of a meter, so that another can stand: a reading is superseded
 * by a void one, an entry or a round by one without that meter's figure. Null where a point is a meter change,
 * which only a correction of that change can mend.
 */
export function makeRoom(
  book: MachineBook,
  meter: MeterId,
  points: readonly Point[],
  context: CommandContext,
): RecordChange[] | null {
  const changes: RecordChange[] = [];
  for (const point of points) {
    const change = setAside(book, meter, point, context);
    if (change === null) return null;
    changes.push(change);
  }
  return changes;
}

function setAside(
  book: MachineBook,
  meter: MeterId,
  { section, id }: Point,
  { newId, nextSeq }: CommandContext,
): RecordChange | null {
  if (section === "readings") {
    const reading = book.readings.find((record) => record.id === id);
    if (reading === undefined) return null;
    const own = { id: newId() as ReadingId, seq: nextSeq(), replaces: reading.id, void: true };
    return put("readings", { ...reading, ...own });
  }
  if (section === "meterChanges") return null;
  const records: readonly (Entry | Round)[] = book[section];
  const record = records.find((one) => one.id === id);
  if (record === undefined) return null;
  const figures = Object.entries(record.meters ?? {}).filter(([key]) => key !== meter);
  const without = {
    ...record,
    id: newId(),
    seq: nextSeq(),
    replaces: record.id,
    meters: Object.fromEntries(figures),
    estimatedMeters: (record.estimatedMeters ?? []).filter((estimated) => estimated !== meter),
  };
  return put(section, without as unknown as Entry & Round);
}
