import type { Book } from "../book/file/book.js";
import type { MachineId } from "../book/records/ids.js";
import { dayOf } from "../calendar/dayNumber.js";
import type { RecordedSections } from "./makeRecord.js";
import { warrantyTurns } from "./warranty.js";

const L = (value: number): object => ({ value, unit: "L" });
const BOOK = {
  machines: [
    {
      ...{ id: "bus", tag: "07", name: "Bus", kind: "bus", inService: "2025-01-01" },
      meters: [{ id: "odo", measure: "distance", unit: "km" }],
    },
  ],
  tasks: [
    {
      ...{ id: "oil", machine: "bus", name: "Oil", uses: [{ fluid: "sump" }] },
      regimes: { handbook: [{ meter: "odo", every: 10000, grace: 500 }, { months: 12 }] },
    },
    { id: "wash", machine: "bus", name: "Wash", regimes: { handbook: [] } },
  ],
  fluids: [
    { id: "sump", machine: "bus", system: "engine", kind: "engine oil" },
    { id: "box", machine: "bus", system: "gearbox", kind: "gear oil" },
  ],
  people: [{ id: "et", name: "Edda Thwaite" }],
  parts: [{ id: "pt", number: "HD 4510", name: "Oil filter" }],
  products: [{ id: "fell", name: "Fellmaster", kind: "engine oil", claims: ["CK-4"] }],
  readings: [{ id: "r", machine: "bus", meter: "odo", date: "2025-01-01", value: 0 }],
  entries: [
    {
      ...{ id: "a", machine: "bus", date: "2025-08-01", tasks: ["oil", "wash"] },
      meters: { odo: 10200 },
      fluids: [
        { fluid: "sump", product: "fell", in: L(12) },
        { fluid: "box", in: L(1) },
      ],
      parts: [{ part: "pt", count: 1 }],
      work: [{ person: "et", minutes: 60 }],
    },
    {
      ...{ id: "b", machine: "bus", date: "2026-08-03", tasks: ["oil"], meters: { odo: 14000 } },
    },
  ],
} as unknown as Book as RecordedSections;

const asked = { machine: "bus" as MachineId, from: null, to: dayOf("2026-11-30") };
const turns = warrantyTurns(BOOK, { ...asked, issued: asked.to }) ?? [];

test("each turn stands with its dial, the product of its own system with its claims, the numbers and who", () => {
  expect(turns[0]).toEqual({
    ...{ task: "oil", name: "Oil", date: "2025-08-01", inTime: "within grace" },
    dials: [{ meter: "odometer", unit: "km", dial: 10200, life: 10200 }],
    // What went into the gearbox is no matter of the engine's oil.
    fluids: [{ system: "engine", product: "Fellmaster", claims: ["CK-4"], in: L(12) }],
    parts: [{ number: "HD 4510", name: "Oil filter", count: 1 }],
    who: ["Edda Thwaite"],
    limits: [
      {
        ...{ kind: "meter", meter: "odometer", unit: "km", dueAt: 10000, dueOn: null },
        ...{ remaining: -200, governs: true },
      },
      {
        ...{ kind: "calendar", meter: null, unit: null, dueAt: null, dueOn: "2026-01-01" },
        ...{ remaining: 153, governs: false },
      },
    ],
  });
});

test("of a task that uses no fluid all that went in is told, and without a limit nobody judges it", () => {
  expect(turns[1]).toMatchObject({ task: "wash", inTime: "no limit", limits: [] });
  expect(turns[1]?.fluids).toHaveLength(2);
});

test("a limit of the calendar decides where it is the one that was passed", () => {
  const [, calendar] = turns[2]?.limits ?? [];
  expect(turns[2]).toMatchObject({ date: "2026-08-03", inTime: "late" });
  expect(calendar).toMatchObject({ dueOn: "2026-08-01", remaining: -2, governs: true });
});

test("only the days asked for are told; a machine that is not there has none", () => {
  const from = dayOf("2026-01-01");
  expect(warrantyTurns(BOOK, { ...asked, from, issued: asked.to })).toHaveLength(1);
  const nobody = { ...asked, machine: "none" as MachineId, issued: asked.to };
  expect(warrantyTurns(BOOK, nobody)).toBeNull();
});
