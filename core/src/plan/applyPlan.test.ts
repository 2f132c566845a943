import { bookOf, task, VAN, type BookParts } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { MachineId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { readBook } from "../book/file/readBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import { applyPlan, planOffers } from "./applyPlan.js";
import { LIBRARY, plansFor } from "./library.js";
import { planOfMachine, type Plan } from "./plan.js";

const HRS = { id: "hrs", measure: "hours", unit: "h" };
const BOTH = { ...VAN, meters: [...VAN.meters, HRS] };
const MILES = { ...VAN, meters: [{ id: "odo", measure: "distance", unit: "mi" }] };

function context(): CommandContext {
  let count = 0;
  const next = (): number => (count += 1);
  return { today: dayOf("2026-11-23"), newId: () => `new-${next()}`, nextSeq: next };
}

function vanBook(machine: object, parts: BookParts = {}): MachineBook {
  const book = machineBookOf(bookOf({ machines: [machine], ...parts }), "van" as MachineId);
  if (book === null) throw new Error("no van");
  return book;
}

const keysOf = (plan: Plan): Set<string> => new Set(plan.tasks.map(({ key }) => key));

/** The van with a whole plan on it. */
function applied(plan: Plan, machine: object = BOTH, parts: BookParts = {}): MachineBook {
  const book = vanBook(machine, parts);
  const result = applyPlan(book, plan, keysOf(plan), context());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return applyChange(book, result.value);
}

const planNamed = (name: string): Plan => {
  const found = LIBRARY.find((one) => one.name === name);
  if (found === undefined) throw new Error(`no plan ${name}`);
  return found;
};

describe("the library", () => {
  test("has a plan for each of the twelve kinds, with keys of their own", () => {
    expect(LIBRARY).toHaveLength(12);
    for (const plan of LIBRARY) expect(keysOf(plan).size).toBe(plan.tasks.length);
  });

  test.each(LIBRARY.map((plan) => [plan.name, plan] as const))(
    "the whole plan of a %s makes a sound book on a machine with both meters, and stays as it was taken",
    (_, plan) => {
      const book = applied(plan);
      const read = readBook(JSON.stringify({ format: "yonderfell-book", version: 2, ...book }));
      expect(read.ok ? [] : read.issues).toEqual([]);
      expect(book.tasks).toHaveLength(plan.tasks.length);
      const again = planOffers(plan, book.machines[0], book.tasks, String);
      expect(new Set(again.map(({ standing }) => standing))).toEqual(new Set(["same"]));
    },
  );

  test("those meant for a kind come first", () => {
    expect(plansFor("Electric van")[0]?.name).toBe("electric vehicle");
    expect(plansFor("something else")).toHaveLength(12);
  });
});

describe("a plan on a machine", () => {
  test("counts on the machine's own meter, in its unit, in round figures", () => {
    const oil = applied(planNamed("car"), MILES).tasks.find(({ name }) =>
      name.startsWith("Engine"),
    );
    expect(oil?.regimes?.["handbook"]).toEqual([{ meter: "odo", every: 9300 }, { months: 12 }]);
    expect(oil?.regimes?.["cautious"]?.[0]).toEqual({ meter: "odo", every: 4700 });
  });

  test("without an hour meter what counts hours only is told, and the calendar stays", () => {
    const offers = planOffers(planNamed("generator"), VAN as unknown as Machine, [], String);
    const oil = offers.find(({ task: one }) => one.key === "oil");
    expect(oil?.candidate.regimes).toEqual({ handbook: [{ months: 12 }] });
    const hours = planOffers(planNamed("tracked carrier"), VAN as unknown as Machine, [], String);
    expect(hours.find(({ task: one }) => one.key === "tracks")?.issue).toEqual({
      code: "no-meter",
      measure: "hours",
    });
  });

  test("what leans on a task that is not chosen is refused by name", () => {
    const book = vanBook(VAN);
    const result = applyPlan(book, planNamed("heavy lorry"), new Set(["air"]), context());
    expect(result.ok ? [] : result.issues).toEqual([
      { code: "not-applicable", task: "Air filter", why: { code: "leans-on", key: "oil" } },
    ]);
    expect(applyPlan(book, planNamed("car"), new Set(), context())).toEqual({
      ok: false,
      issues: [{ code: "nothing-chosen" }],
    });
  });

  test("what leans on a task that is there already is tied to that one", () => {
    const lorry = planNamed("heavy lorry");
    const book = vanBook(VAN);
    const first = applyPlan(book, lorry, new Set(["oil"]), context());
    if (!first.ok) throw new Error("refused");
    const withOil = applyChange(book, first.value);
    const second = applyPlan(withOil, lorry, new Set(["air"]), {
      ...context(),
      newId: () => "the air",
    });
    expect(second.ok && second.value.records).toMatchObject([
      { id: "the air", before: null, after: { nth: { of: withOil.tasks[0]?.id, every: 2 } } },
    ]);
  });
});

describe("a plan that changes later", () => {
  const OLD: Plan = {
    name: "test",
    machine: null,
    tasks: [
      { key: "a", name: "A", regimes: { handbook: [{ measure: "calendar", months: 12 }] } },
      { key: "b", name: "B", regimes: { handbook: [{ measure: "calendar", months: 6 }] } },
    ],
  };
  const NEW: Plan = {
    ...OLD,
    tasks: [
      { key: "a", name: "A", regimes: { handbook: [{ measure: "calendar", months: 9 }] } },
      OLD.tasks[1] as Plan["tasks"][number],
      { key: "c", name: "C", regimes: { handbook: [{ measure: "calendar", days: 7 }] } },
    ],
  };

  test("offers its differences, and taking one keeps the task and what hangs on it", () => {
    const book = applied(OLD);
    const [own] = book.tasks;
    const offers = planOffers(NEW, book.machines[0], book.tasks, String);
    expect(offers.map(({ task: one, standing }) => `${one.key} ${standing}`)).toEqual([
      "a changed",
      "b same",
      "c new",
    ]);
    const result = applyPlan(book, NEW, keysOf(NEW), { ...context(), newId: () => "c id" });
    if (!result.ok) throw new Error("refused");
    expect(result.value.records).toMatchObject([
      { id: own?.id, before: own, after: { id: own?.id, regimes: { handbook: [{ months: 9 }] } } },
      { id: "c id", before: null },
    ]);
  });

  test("a rule changed on the machine by hand is not a difference of the plan", () => {
    const book = applied(OLD);
    const tasks = book.tasks.map((one) => ({ ...one, regimes: { handbook: [{ months: 3 }] } }));
    const offers = planOffers(OLD, book.machines[0], tasks, String);
    expect(offers.every(({ standing }) => standing === "same")).toBe(true);
  });
});

describe("the plan of a sister", () => {
  const SOURCE = { ...VAN, id: "sister", tag: "V2" };
  const tasks = [
    task("oil", [{ meter: "odo", every: 8000, grace: 200 }, { months: 12 }], {
      machine: "sister",
      minutes: 40,
      regimeReason: "its own",
      outside: { because: "warranty" },
    }),
    { id: "air", machine: "sister", name: "air", nth: { of: "oil", every: 2 } },
    {
      id: "nuts",
      machine: "sister",
      name: "nuts",
      follows: { task: "oil", meter: "odo", amount: 50 },
    },
    task("test", [{ months: 12, from: "2024-01-05", hard: true }], {
      machine: "sister",
      anchor: "grid",
    }),
  ];

  test("is copied with its ties, on the other's meters, without days of the sister's own", () => {
    const book = bookOf({ machines: [SOURCE, MILES], tasks });
    const sister = book.machines?.[0] as Machine;
    const plan = planOfMachine(sister, book.tasks ?? []);
    const own = applied(plan, MILES).tasks;
    const idOf = (name: string): unknown => own.find((one) => one.name === name)?.id;
    expect(own.map(({ name, regimes, nth, follows }) => ({ name, regimes, nth, follows }))).toEqual(
      [
        {
          name: "oil",
          regimes: { handbook: [{ meter: "odo", every: 5000, grace: 120 }, { months: 12 }] },
          nth: null,
          follows: null,
        },
        { name: "air", regimes: null, nth: { of: idOf("oil"), every: 2 }, follows: null },
        {
          name: "nuts",
          regimes: null,
          nth: null,
          follows: { task: idOf("oil"), meter: "odo", amount: 31 },
        },
        {
          name: "test",
          regimes: { handbook: [{ months: 12, hard: true }] },
          nth: null,
          follows: null,
        },
      ],
    );
    expect(own[0]).toMatchObject({ minutes: 40, outside: { because: "warranty" } });
    expect(own[0]?.origin).toMatchObject({ machine: "sister", key: "oil" });
  });
});
