import {
  dayOf,
  DANGERS,
  FLUID_KINDS,
  jobState,
  cardFrom,
  type CardFrom,
  makeCard,
  METHODS,
  type MadeCard,
  type MachineId,
  type Task,
  type TaskId,
  waysToChoose,
} from "@yonderfell/core";
import { demonstrationBook } from "./demonstrationBook.js";

const TODAY = dayOf("2026-11-23");
const BOOK = demonstrationBook(TODAY);
const TASKS = BOOK.tasks ?? [];

function cardOf(tasks: readonly Task[]): MadeCard {
  const [first] = tasks;
  if (first === undefined) throw new Error("a card needs a task");
  return makeCard(tasks, fromOf(first.machine));
}

function fromOf(id: MachineId): CardFrom {
  const machine = (BOOK.machines ?? []).find((one) => one.id === id);
  if (machine === undefined) throw new Error(`no machine ${id}`);
  return cardFrom(BOOK, machine, TODAY);
}

const named = (...ids: string[]): Task[] =>
  ids.map((id) => {
    const task = TASKS.find((one) => one.id === id);
    if (task === undefined) throw new Error(`no task ${id}`);
    return task;
  });
const kinds = ({ steps }: MadeCard): string[] => steps.map(({ kind }) => kind);
const place = (card: MadeCard, words: RegExp): number =>
  card.steps.findIndex(({ name }) => words.test(name ?? ""));

test("each task of the demonstration makes a card that can be begun, with a step for it or a word to others", () => {
  for (const task of TASKS) {
    const card = cardOf([task]);
    expect([task.id, card.issues]).toEqual([task.id, []]);
    const isLash = /valve (lash|clearance)/i.test(task.name);
    const isOutside = (task.outside ?? null) !== null || (isLash && !/coolant/.test(task.name));
    const own = card.steps.filter(({ kind }) => kind !== "caution");
    expect([task.id, own.length > 0]).toEqual([task.id, !isOutside]);
    expect(card.forOthers).toHaveLength(isOutside || isLash ? 1 : 0);
  }
});

test("all tasks of a machine together make one card that can be begun; each keeps its steps", () => {
  for (const { id } of BOOK.machines ?? []) {
    const tasks = TASKS.filter(({ machine }) => machine === id);
    if (tasks.length === 0) continue;
    const card = cardOf(tasks);
    expect([id, card.issues]).toEqual([id, []]);
    const others = new Set(card.forOthers.map(({ task }) => task));
    const own = tasks.filter((task) => !others.has(task.id) || /coolant/.test(task.name));
    const withSteps = new Set<string>(card.steps.flatMap(({ tasks: of }) => of ?? []));
    expect(own.filter((task) => !withSteps.has(task.id))).toEqual([]);
    expect(new Set(card.steps.map((step) => step.id)).size).toBe(card.steps.length);
  }
});

test("an oil change: the filler before the drain, the magnet before the plug, filter and washer, then filled, then run", () => {
  const card = cardOf(named("t-bus-oil"));
  const order = kinds(card).filter((kind) => kind !== "caution");
  expect(order.indexOf("open")).toBeLessThan(order.indexOf("drain"));
  expect(order.indexOf("fill")).toBeLessThan(order.indexOf("run"));
  expect(place(card, /magnet/)).toBeLessThan(place(card, /back with a new/));
  const fits = card.steps.filter(({ kind }) => kind === "fit");
  expect(fits.map(({ name }) => name)).toEqual([
    expect.stringContaining("Oil filter"),
    expect.stringContaining("Copper washer"),
  ]);
  expect(card.steps.find(({ kind }) => kind === "drain")?.expected).toBeCloseTo(12.6, 9);
  expect(card.pan).toBeCloseTo(12.6, 9);
  expect(card.takes.fluids[0]?.product?.name).toBe("Fellmaster 15W-40");
  // Its bonnet is opened before all and shut after all, each once.
  const opened = place(card, /^Open up/);
  expect(opened).toBeGreaterThan(-1);
  expect(opened).toBeLessThan(card.steps.findIndex(({ kind }) => kind === "open"));
  expect(card.steps.at(-1)?.name).toMatch(/^Shut again/);
  expect(card.steps.at(-2)?.kind).toBe("reset");
});

test("oil and coolant together: both fillers before anything is drained, both full before it runs, each caution once", () => {
  const card = cardOf(named("t-bus-oil", "t-bus-coolant", "t-bus-gearbox"));
  const order = kinds(card);
  expect(order.lastIndexOf("open")).toBeLessThan(order.indexOf("drain"));
  expect(order.lastIndexOf("fill")).toBeLessThan(order.indexOf("run"));
  const cautions = card.steps.filter(({ kind }) => kind === "caution").map(({ name }) => name);
  expect(new Set(cautions).size).toBe(cautions.length);
  expect(card.tools.length).toBeGreaterThan(0);
});

test("two tasks of one system open, drain and fill it once, with the most that one of them takes", () => {
  const [oil] = named("t-bus-oil");
  if (oil === undefined) throw new Error("the bus has its oil changed");
  const flush: Task = {
    ...{ ...oil, id: "t-bus-flush" as TaskId, name: "Engine oil, flushed" },
    uses: [{ fluid: "f-bus-oil" as never, quantity: { value: 14, unit: "L" } }],
  };
  for (const tasks of [
    [oil, flush],
    [flush, oil],
  ]) {
    const card = cardOf(tasks);
    expect(card.issues).toEqual([]);
    for (const kind of ["open", "drain", "fill"]) {
      const steps = card.steps.filter((step) => step.kind === kind);
      expect(steps).toHaveLength(1);
      expect([...(steps[0]?.tasks ?? [])].sort() as string[]).toEqual(["t-bus-flush", "t-bus-oil"]);
      if (kind !== "open") expect(steps[0]?.expected).toBe(14);
    }
    expect(card.pan).toBe(14);
    expect(card.takes.fluids).toHaveLength(1);
  }
});

test("done in order, step by step, nothing is held and nothing is left unfinished", () => {
  for (const ids of [["t-bus-oil", "t-bus-coolant"], ["t-bus-brake-fluid"], ["t-bus-brakes"]]) {
    const card = cardOf(named(...ids));
    let at = 0;
    const told = (step: string, event: object): object => ({
      ...{ id: `e${String((at += 1)).padStart(4, "0")}`, at, by: "ET", step },
      ...event,
    });
    const events = card.steps.flatMap(({ id, kind, points = [] }) => {
      const each = (points ?? []).length === 0 ? [{}] : (points ?? []).map((point) => ({ point }));
      switch (kind) {
        case "drain":
          return [told(id, { do: "out", amount: 4 }), told(id, { do: "tick" })];
        case "passes":
          return [
            ...[told(id, { do: "in", amount: 1 }), told(id, { do: "out", amount: 1 })],
            told(id, { do: "tick" }),
          ];
        case "fill":
          return [
            ...[told(id, { do: "in", amount: 4 }), told(id, { do: "level", level: "mark" })],
            told(id, { do: "tick" }),
          ];
        case "look":
          return [
            ...each.map((point) => told(id, { do: "judge", verdict: "sound", ...point })),
            told(id, { do: "tick" }),
          ];
        case "measure":
          return [told(id, { do: "reading", value: 5 }), told(id, { do: "tick" })];
        case "wait":
          return [told(id, { do: "start" }), told(id, { do: "tick", reason: "cold already" })];
        case "do":
        case "caution":
        case "open":
        case "close":
        case "torque":
        case "fit":
        case "run":
        case "reset":
          return each.map((point) => told(id, { do: "tick", ...point }));
      }
    });
    const state = jobState(card, events as never);
    expect(state.rejected).toEqual([]);
    expect(state.outOfOrder).toEqual([]);
    expect(state.unfinished).toEqual([]);
    expect(state.tasks.map((task) => task.state)).toEqual(ids.map(() => "done"));
  }
});

const PROBE: readonly (readonly [string, readonly string[]])[] = [
  ["it starts or moves by itself", ["t-bus-oil"]],
  ["raised machine", ["t-bus-brakes"]],
  ["hot cooling system", ["t-bus-coolant"]],
  ["hot oil and exhausts", ["t-bus-oil"]],
  ["used oil on skin", ["t-bus-gearbox"]],
  ["waste", ["t-bus-oil"]],
  ["fuel and vapour", ["t-bus-fuel"]],
  ["pressurised jets", ["t-carr-hyd"]],
  ["raised arms and tilt cabs", ["t-mower-hydraulic"]],
  ["brakes and steering", ["t-bus-brakes"]],
  ["fluids that harm paint", ["t-bus-brake-fluid"]],
  ["refrigerant", ["t-lunch-fridge"]],
  ["batteries", ["t-post-loop"]],
  ["stored energy", ["t-hatch-belt"]],
  ["heavy parts", ["t-bus-brakes"]],
  ["running engine indoors", ["t-bus-oil"]],
  ["rotating parts", ["t-mower-belt"]],
];

test.each(PROBE)("%s: its caution stands before the first step it concerns", (danger, ids) => {
  const found = DANGERS.find((one) => one.danger === danger);
  if (found === undefined) throw new Error(`no danger ${danger}`);
  const tasks = named(...ids).map((task) => ({ ...task, outside: null }));
  const card = cardOf(tasks);
  const caution = card.steps.findIndex(({ name }) => name === found.name);
  expect(caution).toBeGreaterThanOrEqual(0);
  const concerned = card.steps.findIndex((step) => {
    const kind = (BOOK.fluids ?? []).find(({ id }) => id === step.system)?.kind ?? null;
    const about = tasks.map(({ name }) => name).join(" ");
    return step.kind !== "caution" && found.concerns({ ...step, from: [], fluidKind: kind, about });
  });
  expect(concerned).toBeGreaterThan(caution);
});

test("every danger is probed", () => {
  expect(PROBE.map(([danger]) => danger)).toEqual(DANGERS.map(({ danger }) => danger));
});

const MACHINES = BOOK.machines ?? [];

test.each(METHODS.map((method) => [method.name, method] as const))(
  "%s: a card without issues for every machine that has what it needs; of the others what the plate lacks",
  (name, { uses, others, words }) => {
    const isOfFluid = FLUID_KINDS.some((kind) => uses.includes(kind));
    let made = 0;
    for (const { id } of MACHINES) {
      const some = TASKS.find(({ machine }) => machine === id);
      if (some === undefined) continue;
      const from = fromOf(id);
      const fluids = from.plate.fluids.filter(({ kind }) => uses.includes(kind));
      const task: Task = {
        ...{
          ...some,
          id: "t-tried" as TaskId,
          name: `Work: ${name}`,
          outside: null,
          method: null,
          steps: [],
        },
        uses: fluids.map((fluid) => ({ fluid: fluid.id })),
      };
      const card = makeCard([task], { ...from, chosen: new Map([[task.id, name]]) });
      expect([id, card.issues]).toEqual([id, []]);
      for (const step of card.steps) expect(step.name).toMatch(/^[^a-z$][^$]*$/);
      if (others !== undefined) {
        expect(words?.test(name)).toBe(true);
        expect([card.steps, card.forOthers[0]?.ask]).toEqual([[], others.ask]);
      } else if (isOfFluid && fluids.length === 0) {
        expect(card.lacks).toContainEqual({ code: "system", task: task.id });
      } else {
        made += 1;
        expect(card.lacks.map(({ code }) => code)).not.toContain("system");
        const without = fluids.filter((fluid) => (fluid.level ?? null) === null);
        const told = card.lacks.flatMap((lack) => (lack.code === "level" ? [lack.system] : []));
        expect(told).toEqual(expect.arrayContaining(without.map(({ system }) => system)));
      }
    }
    if (others === undefined) expect(made).toBeGreaterThan(0);
  },
);

test("of a fluid every way of the library for its kind can be chosen beside the usual one, whatever was chosen before", () => {
  const [task] = named("t-bus-oil");
  if (task === undefined) throw new Error("no task");
  const from = fromOf(task.machine);
  const { usual, isOwn, others } = waysToChoose(task, from);
  expect([usual, isOwn]).toEqual(["engine oil by its drain", false]);
  expect(others).toEqual(["engine oil by suction", "engine oil with a sample"]);
  const chosen = new Map([[task.id, "engine oil by suction"]]);
  expect(waysToChoose(task, { ...from, chosen })).toEqual({ usual, isOwn, others });
  const names = (with_: CardFrom): string =>
    makeCard([task], with_)
      .steps.map(({ name }) => name)
      .join("\n");
  expect(names({ ...from, chosen })).toContain("Suck out");
  expect(names(from)).not.toContain("Suck out");
});

test("each method with words is the one that its own name asks for", () => {
  for (const { name, words } of METHODS.filter((method) => method.words !== undefined)) {
    expect([name, words?.test(name)]).toEqual([name, true]);
  }
});

test("what the plate does not have is said, and the words stay whole", () => {
  const tasks = named("t-pump-oil");
  const from = fromOf(tasks[0]?.machine as MachineId);
  const bare = { fluids: [], servicePoints: [], specifications: [], fitments: [] };
  const none = makeCard(tasks, { ...from, plate: bare });
  expect(none.lacks).toEqual([{ code: "system", task: "t-pump-oil" as TaskId }]);
  expect(none.issues).toEqual([]);
  const some = makeCard(tasks, { ...from, plate: { ...from.plate, servicePoints: [] } });
  expect(some.lacks.some(({ code }) => code === "point")).toBe(true);
  for (const { name } of some.steps) expect(name).toMatch(/^[A-Z][^$]+$/);
});
