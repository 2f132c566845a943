import { bookOf, read, task, VAN } from "../../../test/books.js";
import { reckonMachineBook } from "../../board/board.js";
import { settingsOf } from "../../book/records/settings.js";
import type { MachineId } from "../../book/records/ids.js";
import { machineBookOf } from "../../book/slice/machineBook.js";
import { recordsByMachine } from "../../book/slice/machineRecords.js";
import { dayOf } from "../../calendar/dayNumber.js";
import { compareSchools } from "../../plan/schools.js";
import type { NeedsSource } from "../../stores/taskNeeds.js";
import type { LimitReckoning } from "../limitReckoning.js";

const TODAY = dayOf("2026-06-01");
const LIST = {
  id: "wheels",
  name: "Wheels",
  checks: [{ id: "pad", name: "Pad", how: "measure", unit: "mm", wears: "down" }],
};
const PADS = task("pads", [{ meter: "odo", every: 60_000 }], {
  regimes: {
    handbook: [{ meter: "odo", every: 60_000 }],
    measured: [{ checklist: "wheels", check: "pad", meter: "odo", limit: 3 }],
  },
  regime: "measured",
});

const walked = (
  id: string,
  date: string,
  odo: number,
  value: number,
  more: object = {},
): object => ({
  ...{ id, seq: dayOf(date), machine: "van", checklist: "wheels", date, finished: true },
  ...{ meters: { odo }, results: [{ check: "pad", readings: [{ value, unit: "mm" }] }], ...more },
});
const ROUNDS = [
  walked("r1", "2026-01-10", 1000, 8),
  walked("r2", "2026-03-10", 2000, 7),
  walked("r3", "2026-05-10", 3000, 6),
];

const bookWith = (rounds: readonly object[]) =>
  bookOf({
    ...{ machines: [VAN], tasks: [PADS], rounds },
    readings: [read("2026-01-01", 900), read("2026-06-01", 3300)],
    ...{ checklists: [LIST] },
  });

function padsOf(rounds: readonly object[]): LimitReckoning {
  const own = machineBookOf(bookWith(rounds), "van" as MachineId);
  if (own === null) throw new Error("there is a van");
  const [pads] = reckonMachineBook(own, settingsOf({}), TODAY).tasks;
  const [limit] = pads?.limits ?? [];
  if (limit === undefined) throw new Error("the pads have a limit");
  return limit;
}

test("a measured limit is due where the line of what was read meets it, and says from how many", () => {
  const limit = padsOf(ROUNDS);
  expect(limit).toMatchObject({ kind: "measured", dueAt: 6000 });
  expect(limit.basis).toMatchObject({ code: "measured", points: 3, slope: -0.001 });
  expect(limit.forecast?.early).toBeLessThanOrEqual(limit.forecast?.likely ?? 0);
});

test("it follows a reading that is corrected, and one that is struck out", () => {
  const corrected = walked("r3b", "2026-05-10", 3000, 7, { replaces: "r3", seq: 9e6 });
  expect(padsOf([...ROUNDS, corrected])).not.toMatchObject({ dueAt: 6000 });
  const struck = walked("r3c", "2026-05-10", 3000, 6, { replaces: "r3", seq: 9e6, void: true });
  // Two lives are fewer than three: the line through them is the same, and rough.
  const without = padsOf([...ROUNDS, struck]);
  expect(without).toMatchObject({ dueAt: 6000, basis: { points: 2 } });
});

test("nothing measured, no date", () => {
  expect(padsOf([])).toMatchObject({ dueAt: null, basis: { code: "not-measured" } });
});

test("the measured school counts it beside the others", () => {
  const records = recordsByMachine(bookWith(ROUNDS)).get("van" as MachineId);
  if (records === undefined) throw new Error("there is a van");
  const plate = { fluids: [], fitments: [], servicePoints: [], specifications: [] };
  const source = { plate, parts: [], products: [], rate: 60 } as unknown as NeedsSource;
  const [handbook, measured] = compareSchools(records, settingsOf({}), source, TODAY, 2);
  expect(handbook).toMatchObject({ school: "handbook", turns: 0 });
  expect(measured).toMatchObject({ school: "measured", turns: 1 });
});
