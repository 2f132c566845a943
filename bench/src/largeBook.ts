import { addDays, formatDay, type Book, type DayNumber } from "@yonderfell/core";
import { between, seededRandom } from "@yonderfell/demo/random";

/** How large a made-up book is. */
export interface BookSize {
  readonly machines: number;
  readonly tasksEach: number;
  readonly readingsEach: number;
  readonly entriesEach: number;
}

/** 1,000 machines, 20,000 tasks, 200,000 readings and entries. */
export const LARGE: BookSize = {
  machines: 1000,
  tasksEach: 20,
  readingsEach: 150,
  entriesEach: 50,
};

const HISTORY_DAYS = 1500;

type Records = Record<"machines" | "tasks" | "readings" | "meterChanges" | "entries", object[]>;

/** A made-up book of a given size, the same for the same seed. */
export function largeBook(size: BookSize, today: DayNumber, seed = 1): Book {
  const records: Records = { machines: [], tasks: [], readings: [], meterChanges: [], entries: [] };
  for (let index = 0; index < size.machines; index += 1) {
    addMachine(records, index, size, today, seededRandom(seed * 100003 + index));
  }
  let seq = 0;
  for (const section of ["readings", "meterChanges", "entries"] as const) {
    records[section] = records[section].map((record) => ({ ...record, seq: (seq += 1) }));
  }
  return { format: "yonderfell-book", version: 2, ...records } as unknown as Book;
}

function addMachine(
  records: Records,
  index: number,
  size: BookSize,
  today: DayNumber,
  random: () => number,
): void {
  const machine = `m${index}`;
  const isHours = index % 4 === 3;
  const [meter, unit, perDay] = isHours ? ["hrs", "h", 3] : ["odo", "km", 60];
  records.machines.push({
    id: machine,
    tag: String(index).padStart(4, "0"),
    name: `Machine ${index}`,
    kind: isHours ? "generator" : "van",
    inService: formatDay(addDays(today, -HISTORY_DAYS)),
    meters: [{ id: meter, measure: isHours ? "hours" : "distance", unit }],
  });
  addTasks(records, machine, meter, perDay, size.tasksEach);
  const count = size.readingsEach + size.entriesEach;
  let life = 0;
  let since = HISTORY_DAYS;
  for (let step = 0; step < count; step += 1) {
    const ago = Math.round(HISTORY_DAYS - ((step + 1) * (HISTORY_DAYS - 3)) / count);
    life += between(random, 0.4, 1.6) * perDay * (since - ago);
    since = ago;
    const value = Math.round(life * 10) / 10;
    const place = { machine, date: formatDay(addDays(today, -ago)) };
    const isEntry =
      Math.floor(((step + 1) * size.entriesEach) / count) >
      Math.floor((step * size.entriesEach) / count);
    if (isEntry) {
      const done = Array.from(
        { length: 3 },
        () => `${machine}-t${Math.floor(random() * size.tasksEach)}`,
      );
      records.entries.push({
        id: `e${index}-${step}`,
        ...place,
        meters: { [meter]: value },
        estimatedMeters: [],
        tasks: [...new Set(done)],
      });
    } else records.readings.push({ id: `r${index}-${step}`, ...place, meter, value });
  }
}

function addTasks(
  records: Records,
  machine: string,
  meter: string,
  perDay: number,
  count: number,
): void {
  for (let index = 0; index < count; index += 1) {
    const every = perDay * (30 + 40 * index);
    const limits = [{ meter, every, grace: every / 30 }, { months: 1 + index }];
    records.tasks.push({
      id: `${machine}-t${index}`,
      machine,
      name: `Task ${index}`,
      regimes: { handbook: limits, cautious: [{ meter, every: every / 2 }] },
      anchor: index % 3 === 0 ? "grid" : "done",
      ...(index % 10 === 9 ? { nth: { of: `${machine}-t${index - 1}`, every: 3 } } : {}),
    });
  }
}
