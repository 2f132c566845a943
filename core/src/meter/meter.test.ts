import fc from "fast-check";
import { bookOf, done, read, VAN, type BookParts } from "../../test/books.js";
import { addDays, dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { reckonBook } from "../schedule/reckonBook.js";
import { badStep, siftPoints } from "./keptPoints.js";
import type { Point } from "./points.js";
import type { MeterReckoning } from "./reckonMeter.js";

/** The van's odometer as reckoned on a day. */
function odometer(parts: BookParts, on: string): MeterReckoning {
  const [machine] = reckonBook(bookOf(parts), dayOf(on));
  const meter = machine?.meters[0];
  if (meter === undefined) throw new Error("the van has an odometer");
  return meter;
}

const keptLives = (meter: MeterReckoning): number[] => meter.kept.map((point) => point.life);

test("a replaced meter goes on counting in life", () => {
  const meterChanges = [
    {
      id: "c",
      machine: "van",
      meter: "odo",
      date: "2026-02-01",
      oldFinal: 1000,
      newStart: 0,
      lost: 20,
    },
  ];
  const readings = [read("2026-01-01", 900), read("2026-03-01", 300)];
  const meter = odometer({ readings, meterChanges }, "2026-03-01");
  expect(keptLives(meter)).toEqual([900, 1020, 1320]);
  expect(meter.dial).toBe(300);
});

test("a roll-over has the dial's highest figure as its end", () => {
  const meterChanges = [
    { id: "c", machine: "van", meter: "odo", date: "2026-02-01", oldFinal: 100000, newStart: 0 },
  ];
  const readings = [read("2026-01-20", 99900), read("2026-02-10", 400)];
  expect(odometer({ readings, meterChanges }, "2026-02-10").life).toBe(100400);
});

test.each([
  [1000, 1000],
  [2, 1002],
  [499, 1499],
  [501, 501],
  [500, 1500],
])(
  "on the day of a change a figure of %d is on the dial it is nearer to, life %d",
  (value, life) => {
    const meterChanges = [
      { id: "c", machine: "van", meter: "odo", date: "2026-02-01", oldFinal: 1000, newStart: 0 },
    ];
    const meter = odometer({ readings: [read("2026-02-01", value)], meterChanges }, "2026-02-01");
    expect(meter.life).toBe(Math.max(life, 1000));
  },
);

test("one mistyped reading does not poison the others", () => {
  const readings = [
    read("2026-01-01", 1000),
    read("2026-01-10", 91100),
    read("2026-01-20", 1200),
    read("2026-01-30", 1300),
  ];
  const meter = odometer({ readings }, "2026-02-01");
  expect(keptLives(meter)).toEqual([1000, 1200, 1300]);
  expect(meter.faults.map((fault) => fault.life)).toEqual([91100]);
});

test("a confirmed rise is kept however steep", () => {
  const readings = [read("2026-01-01", 1000), read("2026-01-02", 91100, { confirmed: true })];
  expect(keptLives(odometer({ readings }, "2026-02-01"))).toEqual([1000, 91100]);
});

test("on a tie the earlier of two readings stands", () => {
  const readings = [read("2026-01-01", 5000), read("2026-01-10", 1000)];
  expect(keptLives(odometer({ readings }, "2026-02-01"))).toEqual([5000]);
});

test("of several figures of one day the largest stands and the others are no faults", () => {
  const readings = [read("2026-01-01", 1000), read("2026-01-01", 1040), read("2026-01-01", 900)];
  const meter = odometer({ readings }, "2026-01-01");
  expect(keptLives(meter)).toEqual([1040]);
  expect(meter.faults).toEqual([]);
});

test("points after a stop are left out until the meter is changed", () => {
  const machines = [{ ...VAN, meters: [{ ...VAN.meters[0], stoppedOn: "2026-02-01" }] }];
  const readings = [read("2026-01-01", 1000), read("2026-01-31", 1300), read("2026-02-20", 1305)];
  const stopped = odometer({ machines, readings }, "2026-03-01");
  expect(keptLives(stopped)).toEqual([1000, 1300]);
  expect(stopped.life).toBe(1300 + 29 * 10);
  const meterChanges = [
    {
      id: "c",
      machine: "van",
      meter: "odo",
      date: "2026-02-25",
      oldFinal: 1305,
      newStart: 0,
      lost: 200,
    },
  ];
  expect(keptLives(odometer({ machines, readings, meterChanges }, "2026-03-01"))).toEqual([
    1000, 1300, 1305, 1505,
  ]);
});

test("a declared rate counts until readings span a fortnight, also where it is 0", () => {
  const machines = [{ ...VAN, meters: [{ ...VAN.meters[0], perDay: 0 }] }];
  const soon = [read("2026-01-01", 1000), read("2026-01-14", 1130)];
  expect(odometer({ machines, readings: soon }, "2026-01-20").rate.perDay).toBe(0);
  const later = [read("2026-01-01", 1000), read("2026-01-15", 1140)];
  expect(odometer({ machines, readings: later }, "2026-01-20").rate.perDay).toBeCloseTo(10, 9);
});

test("the latest pairs count most in the rate", () => {
  const readings = [read("2025-01-01", 0), read("2025-12-31", 3640), read("2026-01-20", 4640)];
  const { perDay } = odometer({ readings }, "2026-01-20").rate;
  expect(perDay).toBeGreaterThan(12);
  expect(perDay).toBeLessThan(50);
});

/** The kept positions by trying every selection of points: the longest, and of those the one that is earlier from the first position on. */
function keptByTrying(points: readonly Point[], ceiling: number): number[] {
  let best: number[] = [];
  for (let mask = 1; mask < 1 << points.length; mask += 1) {
    const chosen = points.flatMap((_, index) => (mask & (1 << index) ? [index] : []));
    const isGood = chosen.every((index, at) => {
      const earlier = points[chosen[at - 1] ?? -1];
      return earlier === undefined || badStep(earlier, points[index]!, ceiling) === null;
    });
    const isEarlier =
      chosen.length === best.length &&
      chosen.join() !== best.join() &&
      chosen.find((index, at) => index !== best[at])! <
        best.find((index, at) => index !== chosen[at])!;
    if (isGood && (chosen.length > best.length || isEarlier)) best = chosen;
  }
  return best;
}

test("the kept points are those that trying every selection gives", () => {
  const point = fc.record({
    gap: fc.integer({ min: 1, max: 4 }),
    life: fc.integer({ min: 0, max: 30 }),
    confirmed: fc.boolean(),
  });
  fc.assert(
    fc.property(fc.array(point, { minLength: 1, maxLength: 9 }), (list) => {
      let day = 0;
      const points = list.map(({ gap, life, confirmed }, index): Point => ({
        ...{ day: (day += gap) as DayNumber, life, confirmed, estimated: false, change: false },
        ...{ section: "readings", id: String(index) },
      }));
      const { kept } = siftPoints(points, 4);
      expect(kept.map((one) => Number(one.id))).toEqual(keptByTrying(points, 4));
    }),
    { numRuns: 400 },
  );
});

test("life never goes back, whatever is typed", () => {
  const typed = fc.array(
    fc.record({
      ago: fc.nat({ max: 400 }),
      value: fc.double({ min: 0, max: 60000, noNaN: true }),
      isEntry: fc.boolean(),
      estimated: fc.boolean(),
      confirmed: fc.boolean(),
    }),
    { maxLength: 25 },
  );
  const changes = fc.uniqueArray(
    fc.record({ ago: fc.nat({ max: 400 }), oldFinal: fc.nat({ max: 60000 }) }),
    {
      maxLength: 3,
      selector: ({ ago }) => ago,
    },
  );
  const today = dayOf("2026-11-23");
  const dated = (ago: number): string => formatDay(addDays(today, -ago));
  fc.assert(
    fc.property(typed, changes, (figures, dials) => {
      const readings = figures
        .filter((one) => !one.isEntry)
        .map(({ ago, value, estimated, confirmed }, index) =>
          read(dated(ago), value, { id: `r${index}`, estimated, confirmed }),
        );
      const entries = figures
        .filter((one) => one.isEntry)
        .map(({ ago, value, estimated }, index) =>
          done(`e${index}`, dated(ago), [], {
            meters: { odo: value },
            estimatedMeters: estimated ? ["odo"] : [],
          }),
        );
      const meterChanges = dials.map(({ ago, oldFinal }, index) => ({
        ...{
          id: `c${index}`,
          machine: "van",
          meter: "odo",
          date: dated(ago),
          oldFinal,
          newStart: 0,
        },
      }));
      const { kept, faults, life } = odometer({ readings, entries, meterChanges }, "2026-11-23");
      const rises = kept.every(
        (point, index) => index === 0 || point.life >= (kept[index - 1]?.life ?? 0) - 1e-6,
      );
      expect(rises).toBe(true);
      expect(life ?? 0).toBeGreaterThanOrEqual((kept.at(-1)?.life ?? 0) - 1e-6);
      expect(kept.length).toBeGreaterThanOrEqual(faults.length > 0 ? 1 : 0);
    }),
  );
});
