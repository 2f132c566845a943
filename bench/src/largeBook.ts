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

type Records = Record<
  "machines" | "tasks" | "readings" | "meterChanges" | "entries" | "fluids" | "rounds",
  object[]
>;

/** What all its machines take, and what they are looked at by. */
const SHARED = {
  parts: [{ id: "filter", name: "Filter", number: "HD 4510", least: 2 }],
  products: [{ id: "oil", name: "Fellmaster", kind: "engine oil", base: "mineral" }],
  people: [{ id: "edda", name: "Edda Tarn", initials: "ET", rate: 42 }],
  checklists: [
    {
      id: "wheels",
      name: "Wheels off",
      checks: [{ id: "pads", name: "Pads", how: "measure", unit: "mm", wears: "down", least: 3 }],
    },
  ],
};
/** One entry in so many buys what the shelf needs for the next ones. */
const BOUGHT_EVERY = 20;
/** One step in so many is a round. */
const ROUND_EVERY = 25;
const NEW_PADS = 12;

/** A made-up book of a given size, the same for the same seed. */
export function largeBook(size: BookSize, today: DayNumber, seed = 1): Book {
  const records: Records = {
    ...{ machines: [], tasks: [], readings: [], meterChanges: [], entries: [] },
    ...{ fluids: [], rounds: [] },
  };
  for (let index = 0; index < size.machines; index += 1) {
    addMachine(records, index, size, today, seededRandom(seed * 100003 + index));
  }
  let seq = 0;
  for (const section of ["readings", "meterChanges", "entries", "rounds"] as const) {
    records[section] = records[section].map((record) => ({ ...record, seq: (seq += 1) }));
  }
  const stockMoves = records.entries
    .filter((_, index) => index % BOUGHT_EVERY === 0)
    .map((entry, index) => ({
      ...{ id: `s${index}`, seq: (seq += 1), part: "filter", amount: BOUGHT_EVERY },
      ...{ why: "bought", date: (entry as { readonly date: string }).date },
    }));
  const book = { format: "yonderfell-book", version: 2, ...records, ...SHARED, stockMoves };
  return book as unknown as Book;
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
  records.fluids.push({
    ...{ id: `${machine}-oil`, machine, system: "engine", kind: "engine oil", product: "oil" },
    capacities: [{ id: "c", source: "handbook", condition: "with filter", quantity: litres(12) }],
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
        ...workOf(machine, random),
      });
    } else records.readings.push({ id: `r${index}-${step}`, ...place, meter, value });
    if (step % ROUND_EVERY === 0) {
      const left = NEW_PADS - (8 * step) / count;
      records.rounds.push({
        ...{ id: `n${index}-${step}`, ...place, checklist: "wheels", by: "edda" },
        ...{ meters: { [meter]: value }, finished: true },
        results: [{ check: "pads", readings: [{ value: left, unit: "mm" }], verdict: "sound" }],
      });
    }
  }
}

const litres = (value: number): object => ({ value, unit: "L" });

/** What the work of an entry took. */
function workOf(machine: string, random: () => number): object {
  const filled = Math.round(between(random, 115, 125)) / 10;
  return {
    fluids: [
      {
        ...{ fluid: `${machine}-oil`, product: "oil", out: litres(filled - 0.4) },
        ...{ in: litres(filled), onMark: true, price: 4.1, from: "stock" },
      },
    ],
    parts: [{ part: "filter", count: 1, price: 14.6, from: "stock" }],
    work: [{ person: "edda", minutes: Math.round(between(random, 20, 120)), rate: 42 }],
  };
}

/** By wear, for one task in so many. */
const MEASURED_EVERY = 10;
const worn = (meter: string): object => ({
  ...{ checklist: "wheels", check: "pads", meter, limit: 3 },
});

function addTasks(
  records: Records,
  machine: string,
  meter: string,
  perDay: number,
  count: number,
): void {
  for (let index = 0; index < count; index += 1) {
    const every = perDay * (30 + 40 * index);
    const limits = [
      { meter, every, grace: every / 30 },
      { months: 1 + index },
      ...(index % MEASURED_EVERY === 3 ? [worn(meter)] : []),
    ];
    records.tasks.push({
      id: `${machine}-t${index}`,
      machine,
      name: `Task ${index}`,
      regimes: { handbook: limits, cautious: [{ meter, every: every / 2 }] },
      ...(index === 0 ? { uses: [{ fluid: `${machine}-oil` }] } : {}),
      anchor: index % 3 === 0 ? "grid" : "done",
      ...(index % 10 === 9 ? { nth: { of: `${machine}-t${index - 1}`, every: 3 } } : {}),
    });
  }
}
