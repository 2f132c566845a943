import { bookOf, done, task } from "../../test/books.js";
import type { MachineId, TaskId, VisitId } from "../book/records/ids.js";
import type { Visit } from "../book/records/visit.js";
import { addDays, dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { needsAhead, type AheadBook, type VisitsAhead } from "./needsAhead.js";
import { inTheEnd, ownWork, quoteTotal } from "./quote.js";
import { usedInYear } from "./usedInYear.js";

const TODAY = dayOf("2026-11-23");
const L = (value: number): object => ({ value, unit: "L" });
const inDays = (days: number): DayNumber => addDays(TODAY, days);
const VAN_ID = "van" as MachineId;

const BOOK = {
  ...bookOf({
    tasks: [
      {
        ...task("oil", [{ months: 12 }]),
        ...{ uses: [{ fluid: "sump", condition: "with filter" }], minutes: 60 },
      },
      { ...task("box", [{ months: 36 }]), uses: [{ fluid: "gear" }] },
    ],
    fluids: [
      {
        ...{ id: "sump", machine: "van", system: "engine", kind: "engine oil", product: "oil" },
        capacities: [{ source: "handbook", condition: "with filter", quantity: L(6) }],
      },
      { id: "gear", machine: "van", system: "gearbox", kind: "gear oil" },
    ],
    products: [
      {
        ...{ id: "oil", name: "Fell 15W-40", kind: "engine oil" },
        packs: [{ quantity: L(20), prices: [{ source: "Corrie", price: 80 }] }],
      },
    ],
    entries: [
      done("e1", "2026-05-01", ["oil"], {
        fluids: [{ fluid: "sump", product: "oil", in: L(5.5) }],
        parts: [{ part: "filter", count: 1 }],
      }),
    ],
  }),
  parts: [
    {
      ...{ id: "filter", name: "Oil filter, spin-on", number: "F 1" },
      prices: [{ source: "Corrie", price: 9 }],
    },
    { id: "washer", name: "Copper washer 24 mm", number: "W 24", pack: 10 },
    { id: "lamp", name: "Lamp", number: "L 1" },
  ],
  fitments: [{ id: "f", machine: "van", part: "filter", tasks: ["oil"] }],
  servicePoints: [
    {
      ...{ id: "plug", machine: "van", fluid: "sump", purpose: "drain", name: "Sump plug" },
      seal: "copper washer 24 mm, new each time",
    },
    { id: "fill", machine: "van", fluid: "sump", purpose: "fill", name: "Filler", seal: "O-ring" },
  ],
  findings: [
    {
      ...{ id: "fd", machine: "van", found: "2026-11-01", what: "lamp", decision: "next visit" },
      parts: [{ part: "lamp", count: 2 }],
    },
    {
      ...{ id: "fw", machine: "van", found: "2026-11-01", what: "weep", decision: "watch" },
      parts: [{ part: "filter" }],
    },
  ],
  visits: [
    {
      ...{ id: "v", machine: "van", date: formatDay(inDays(9)), tasks: ["oil", "box"] },
      accepted: "2026-11-20",
    },
  ],
  people: [{ id: "p", name: "Edda", initials: "E", rate: 40 }],
} as unknown as AheadBook;

const visits = (
  ...list: readonly (readonly [days: number, visit: string | null, tasks: readonly string[]])[]
): VisitsAhead =>
  new Map([
    [
      VAN_ID,
      list.map(([days, visit, tasks]) => ({
        ...{ day: inDays(days), visit: visit as VisitId | null, tasks: tasks as TaskId[] },
      })),
    ],
  ]);
const needsOf = (ahead: VisitsAhead, days = 60, book = BOOK) =>
  needsAhead(book, ahead, { today: TODAY, until: inDays(days), machines: null });

test("a visit needs its fluids, parts and the seals that are opened for it; what is not recorded is named", () => {
  const { needs, gaps } = needsOf(visits([9, "v", ["oil", "box"]]));
  expect(needs).toMatchObject([
    { item: { part: "filter" }, amount: 1, on: inDays(9), of: { code: "visit", tasks: ["oil"] } },
    { item: { product: "oil" }, amount: 6, of: { visit: "v" } },
    { item: { part: "washer" }, amount: 1, of: { code: "seal", point: "plug" } },
    { item: { part: "lamp" }, amount: 2, on: inDays(9), of: { code: "finding" } },
  ]);
  expect(gaps).toMatchObject([
    { code: "product", what: "gearbox" },
    { code: "capacity", what: "gearbox" },
    { code: "seal", what: "Filler: O-ring" },
  ]);
});

test("what is wanted after the horizon is left out, and of another machine", () => {
  const far = needsOf(visits([90, null, ["oil"]]));
  expect(far.needs.map(({ item }) => item)).toEqual([{ part: "lamp" }]);
  const others = needsAhead(BOOK, visits([9, "v", ["oil"]]), {
    ...{ today: TODAY, until: inDays(60), machines: new Set(["bus" as MachineId]) },
  });
  expect(others).toEqual({ needs: [], gaps: [] });
});

test("what a journey brings forward is not bought a second time for the visit that is proposed for it", () => {
  const journey = { id: "j", machine: "van", name: "Fair", days: 200 };
  const journeys = [{ ...journey, date: formatDay(inDays(20)) }];
  const book = { ...BOOK, journeys, visits: [] } as unknown as AheadBook;
  const { needs } = needsOf(visits([120, null, ["oil"]]), 200, book);
  const oils = needs.filter(({ item }) => "product" in item);
  expect(oils).toMatchObject([
    { amount: 6, of: { code: "journey", journey: "j", tasks: ["oil"] } },
  ]);
});

test("what a journey takes on its way leaves out proposals after it departs, and none before", () => {
  const journey = { id: "j", machine: "van", name: "Fair", days: 60 };
  const journeys = [{ ...journey, date: formatDay(inDays(20)) }];
  const [oil] = BOOK.tasks ?? [];
  const tasks = [{ ...oil, regimes: { handbook: [{ days: 20 }] } }];
  const book = { ...BOOK, journeys, tasks, visits: [] } as unknown as AheadBook;
  const proposed = [5, 25, 45, 65, 85].map((days) => [days, null, ["oil"]] as const);
  const { needs } = needsOf(visits(...proposed), 100, book);
  const oils = needs.filter(({ item }) => "product" in item);
  const along = oils.filter(({ of }) => of.code === "journey");
  const times = (along[0]?.amount ?? 0) / 6;
  expect(times).toBeGreaterThan(1);
  const left = oils.flatMap(({ of, on }) => (of.code === "visit" ? [on] : []));
  expect(left).toEqual([inDays(5), ...[25, 45, 65, 85].slice(times).map(inDays)]);
});

test("a year takes what work used in the 365 days before", () => {
  expect([...usedInYear(BOOK, TODAY)]).toEqual([
    ["part filter", 1],
    ["product oil", 5.5],
  ]);
  expect(usedInYear(BOOK, dayOf("2027-06-01")).size).toBe(0);
});

const VISIT = {
  ...{ id: "v", machine: "van", date: "2026-12-01", tasks: ["oil"], accepted: "2026-11-20" },
  quote: {
    ...{ workshop: "Tolver", on: "2026-11-20" },
    lines: [
      { what: "Labour, 1 hour", amount: 70 },
      { what: "Engine oil, 6 litres", amount: 50 },
      { what: "Travel", amount: 20 },
    ],
  },
} as unknown as Visit;

test("own work stands beside a quote: what is not in it stands out, and what only it has", () => {
  const { tasks = [], fluids = [], fitments = [], servicePoints = [], parts = [] } = BOOK;
  const plate = { fluids, fitments, servicePoints, specifications: [] };
  const from = {
    ...{ machine: VAN_ID, plate, parts, products: BOOK.products ?? [], stockMoves: [] },
    people: BOOK.people ?? [],
    containers: [{ id: "c", name: "Drum", kind: "oil", inUse: true, fee: 0.5 }] as never,
  };
  const own = ownWork(VISIT, inDays(8), tasks, from);
  expect(own.lines.map(({ kind, cost, inQuote }) => [kind, cost, inQuote])).toEqual([
    ["part", 9, null],
    ["fluid", 24, 1],
    ["seal", null, null],
    ["work", 40, 0],
    ["waste", 3, null],
  ]);
  expect(own).toMatchObject({ total: 76, missing: 1, quote: 140, onlyQuoted: [2] });
});

test("a quote is its whole where that is said, else the sum of its lines; in the end it is what was logged since it was decided on", () => {
  if (!VISIT.quote) throw new Error("a quote");
  expect(quoteTotal({ ...VISIT.quote, total: 120 })).toBe(120);
  expect(quoteTotal({ ...VISIT.quote, lines: [] })).toBeNull();
  const entry = done("e2", "2026-12-01", ["oil"], {
    parts: [{ part: "filter", count: 1, price: 9 }],
    work: [{ person: "p", minutes: 30, rate: 40 }],
    costs: [{ what: "bolt" }],
  });
  const before = done("e0", "2026-11-01", ["oil"], {});
  const { entries = [] } = bookOf({ entries: [before, entry] });
  expect(inTheEnd(VISIT, entries)).toMatchObject({
    total: 29,
    missing: 1,
    entries: [{ id: "e2" }],
  });
  expect(inTheEnd(VISIT, [])).toBeNull();
});
