import {
  applyChange,
  cardFrom,
  dayOf,
  dropOwnWay,
  jobState,
  jobWork,
  keepMethod,
  keepOwnWay,
  libraryMethods,
  makeCard,
  methodsFile,
  readMethodsFile,
  takeInMethods,
  type Book,
  type CommandContext,
  type Job,
  type JobEvent,
  type JobStep,
  type Machine,
  type Task,
} from "@yonderfell/core";
import { demonstrationBook } from "./demonstrationBook.js";

const TODAY = dayOf("2026-11-23");
const BOOK = demonstrationBook(TODAY);

const jobWith = (task: string): Job => {
  const job = (BOOK.jobs ?? []).find(({ tasks }) => (tasks ?? []).some((id) => id === task));
  if (job === undefined) throw new Error(`no job with ${task}`);
  return job;
};
const eventsOf = ({ id }: Job): readonly JobEvent[] =>
  (BOOK.jobEvents ?? []).filter(({ job }) => job === id);
const machine = (id: string, book: Book = BOOK): Machine => {
  const found = (book.machines ?? []).find((one) => one.id === id);
  if (found === undefined) throw new Error(`no machine ${id}`);
  return found;
};
const task = (id: string): Task => {
  const found = (BOOK.tasks ?? []).find((one) => one.id === id);
  if (found === undefined) throw new Error(`no task ${id}`);
  return found;
};
const context: CommandContext = { today: TODAY, newId: () => "new", nextSeq: () => 9999 };

test("the library bus is half done: all its oil is out, three litres are in, and it may not be started", () => {
  const job = jobWith("t-bus-oil");
  const state = jobState(job, eventsOf(job));
  expect(state.rejected).toEqual([]);
  expect(state.systems.map(({ system, out, in: filled }) => [system, out, filled])).toEqual([
    ["f-bus-oil", 11.9, 3],
  ]);
  expect(state.fills[0]?.next).toBeGreaterThan(0);
  expect(state.unfinished.map(({ code }) => code)).toContain("drained-not-filled");
  expect(state.tasks.map((one) => one.state)).toEqual(["partly", "partly"]);
  const runs = (job.steps ?? []).filter(({ kind }) => kind === "run").map(({ id }) => id);
  expect(runs.length).toBeGreaterThan(0);
  for (const id of runs) {
    expect(state.steps.find((step) => step.id === id)?.heldBy.length).toBeGreaterThan(0);
  }
});

test("one job waits for a part, one was finished this morning with its entry", () => {
  expect(jobWith("t-mower-belt").down?.why).toMatch(/belts/);
  const finished = jobWith("t-tow-bearing");
  const entry = (BOOK.entries ?? []).find(({ id }) => id === finished.finished?.entry);
  expect(entry).toMatchObject({ date: "2026-11-23", tasks: ["t-tow-bearing"], job: finished.id });
  expect(entry?.work?.[0]?.minutes).toBeGreaterThan(0);
});

/** Goes on with the job of the bus to its end, and says what its entry would hold. */
function busWork(): ReturnType<typeof jobWork> {
  const job = jobWith("t-bus-oil");
  const events = [...eventsOf(job)];
  let at = Math.max(...events.map((event) => event.at));
  const tell = (step: string, what: object): void => {
    at += 60_000;
    const id = `z${String(events.length).padStart(4, "0")}`;
    const told = { id, at, by: "pe-rigg", step, job: job.id, machine: job.machine, ...what };
    events.push(told as JobEvent);
  };
  for (const { id, kind, mayNotApply, minutes } of job.steps ?? []) {
    const { state } = jobState(job, events).steps.find((step) => step.id === id) ?? {};
    if (state === "done" || state === "skipped") continue;
    if (kind === "fill") {
      tell(id, { do: "in", amount: 9.6 });
      tell(id, { do: "level", level: "mark" });
    }
    if (kind === "look") tell(id, { do: "judge", verdict: "sound" });
    if (kind === "wait") {
      tell(id, { do: "start" });
      at += (minutes ?? 0) * 60_000;
    }
    if (kind === "reset") tell(id, { do: "skip", reason: "no lamp was lit" });
    else if (mayNotApply === true && kind === "do") tell(id, { do: "skip", reason: "not so here" });
    else tell(id, { do: "tick" });
  }
  const state = jobState(job, events);
  expect([state.rejected, state.unfinished]).toEqual([[], []]);
  return jobWork(job, events, cardFrom(BOOK, machine("m-bus"), TODAY), {
    people: BOOK.people ?? [],
    taskName: (id) => task(id).name,
  });
}

test("what a job took and found is what its entry is proposed with", () => {
  const { tasks, took, note } = busWork();
  expect(tasks).toEqual(["t-bus-oil", "t-bus-fuel"]);
  expect(note).toBe("");
  expect(took.fluids).toEqual([
    expect.objectContaining({
      ...{ fluid: "f-bus-oil", condition: "with filter", product: "p-fell-15w40", onMark: true },
      ...{ out: { value: 11.9, unit: "L" }, in: { value: 12.6, unit: "L" }, from: "stock" },
    }),
  ]);
  expect(took.fluids?.[0]?.price).toBeGreaterThan(0);
  expect(took.parts?.map(({ part, count }) => [part, count])).toEqual([
    ["pt-hd-oilf", 1],
    ["pt-washer-24", 1],
    ["pt-hd-fuel", 1],
  ]);
  expect(took.work?.map(({ person }) => person)).toEqual(["pe-thwaite", "pe-rigg"]);
  expect(took.torques).toContainEqual(
    expect.objectContaining({ torque: { value: 60, unit: "Nm" }, by: "pe-thwaite" }),
  );
  expect(took.met?.length).toBeGreaterThan(3);
  expect(took.left).toContainEqual({
    step: "Reset the machine's own reminder",
    reason: "no lamp was lit",
  });
  expect(took.measures?.every(({ verdict }) => verdict === "sound")).toBe(true);
});

test("a job put off part way says in its note what stays due and why, and does no task", () => {
  const job = jobWith("t-bus-oil");
  const { tasks, note, took } = jobWork(
    job,
    eventsOf(job),
    cardFrom(BOOK, machine("m-bus"), TODAY),
    { people: [], taskName: (id) => task(id).name },
  );
  expect(tasks).toEqual([]);
  expect(note).toMatch(
    /^Engine oil and filter is partly: .+\. Fuel filter and water trap is partly: /,
  );
  expect(took.fluids?.[0]).toMatchObject({ in: { value: 3, unit: "L" } });
  expect(took.fluids?.[0]).not.toHaveProperty("onMark");
});

test("a machine's own way comes before the library's, and can be given up again", () => {
  const oil = task("t-gen-oil");
  const words = (one: Task): string =>
    makeCard([one], cardFrom(BOOK, machine("m-generator"), TODAY))
      .steps.map(({ name }) => name)
      .join("\n");
  expect(words(oil)).toContain("Pump the sump out by its own hose, set level");
  const dropped = dropOwnWay({ machines: [machine("m-generator")], tasks: [oil] }, oil.id);
  if (!dropped.ok) throw new Error("it has its own way");
  const usual = dropped.value.records[0]?.after as Task;
  expect(words(usual)).toContain("Suck out, probe to the bottom");
});

test("a way kept for a kind of machine is filled in from the plate of each, and no other kind's", () => {
  const book: Book = {
    ...BOOK,
    machines: [...(BOOK.machines ?? []), { ...machine("m-mower"), id: "m-two" as Machine["id"] }],
    servicePoints: [
      ...(BOOK.servicePoints ?? []),
      { id: "sp-two", machine: "m-two", purpose: "grease", name: "Rotor bearing", count: 2 },
    ] as NonNullable<Book["servicePoints"]>,
  };
  const grease = {
    ...task("t-mower-grease"),
    id: "t-two" as Task["id"],
    machine: "m-two" as never,
  };
  const card = makeCard([grease], cardFrom(book, machine("m-two", book), TODAY));
  const points = card.steps.flatMap(({ points: own }) => own ?? []);
  expect(points).toEqual(["Rotor bearing 1", "Rotor bearing 2"]);
  expect(card.tools).toContain("rags");
  const other = makeCard(
    [grease],
    cardFrom(book, { ...machine("m-two", book), kind: "van" }, TODAY),
  );
  expect(other.tools).not.toContain("rags");
});

test("parts of a kept method are those of the machine, and a method kept again takes the place of the first", () => {
  const oil = task("t-bus-oil");
  const { steps } = makeCard([oil], cardFrom(BOOK, machine("m-bus"), TODAY));
  const kept = keepMethod(
    { methods: [] },
    { task: oil, kind: "bus", uses: ["engine oil"], steps },
    context,
  );
  if (!kept.ok) throw new Error("it has steps");
  const { methods = [] } = applyChange<Book>({ ...BOOK, methods: [] }, kept.value);
  const [method] = methods;
  expect(method?.steps?.filter(({ part }) => part === "$parts")).toHaveLength(1);
  expect(method?.steps?.every(({ name }) => !/Fellmaster|HD 4510/.test(name ?? ""))).toBe(true);
  const mini = task("t-mini-oil");
  const from = cardFrom({ ...BOOK, methods }, machine("m-minibus"), TODAY);
  expect(makeCard([mini], from).issues).toEqual([]);
  expect(makeCard([mini], from).steps.some(({ name }) => /Tarnside/.test(name ?? ""))).toBe(true);
  const again = keepMethod(
    { methods },
    { task: oil, kind: "bus", uses: [], steps: steps.slice(0, 9) },
    context,
  );
  expect(again.ok && again.value.records[0]?.before).toBe(method);
});

test("a way kept from a task that names no fluid still finds its system, on the machine and on others of its kind", () => {
  const oil = task("t-mower-oil");
  const from = cardFrom(BOOK, machine("m-mower"), TODAY);
  const { steps, tools } = makeCard([oil], from);
  const kept = keepMethod({ methods: [] }, { task: oil, kind: "mower", uses: [], steps }, context);
  const own = keepOwnWay({ machines: [machine("m-mower")], tasks: [oil] }, oil.id, steps);
  if (!kept.ok || !own.ok) throw new Error("it has steps");
  const { methods = [] } = applyChange<Book>({ ...BOOK, methods: [] }, kept.value);
  const ways = [
    makeCard([oil], { ...from, methods }),
    makeCard([own.value.records[0]?.after as Task], { ...from, methods: [] }),
  ];
  for (const card of ways) {
    expect(card.issues).toEqual([]);
    expect(card.pan).toBeCloseTo(7.6, 9);
    expect(card.tools).toEqual(tools);
  }
});

test("methods leave as a file by themselves and are taken in once", () => {
  const file = methodsFile(libraryMethods());
  const read = readMethodsFile(JSON.parse(JSON.stringify(file)));
  if (!("methods" in read)) throw new Error(JSON.stringify(read.issue));
  expect(read.methods).toHaveLength(libraryMethods().length);
  const first = takeInMethods([], read.methods, () => "n");
  expect(first.records).toHaveLength(read.methods.length);
  expect(takeInMethods(read.methods, read.methods, () => "n").records).toEqual([]);
  const changed = read.methods.map((one) => ({ ...one, name: `${one.name}, ours` }));
  expect(takeInMethods(changed, read.methods.slice(0, 1), () => "n").records[0]?.id).toBe("n");
  expect(readMethodsFile({ ...file, format: "yonderfell-book" })).toMatchObject({
    issue: { path: ["format"] },
  });
  const [one] = read.methods;
  expect(readMethodsFile({ ...file, methods: [one, one] })).toMatchObject({
    issue: { code: "duplicate-id" },
  });
});

test("what is to be laid out says what the shelf has too little of", () => {
  const from = cardFrom(BOOK, machine("m-bus"), TODAY);
  const { short, takes } = makeCard([task("t-bus-oil")], from);
  const oil = short.find(({ product }) => product === "p-fell-15w40");
  expect(oil?.needed).toBeCloseTo(12.6, 9);
  expect(oil?.onHand).toBeLessThan(12.6);
  const taken = new Set(takes.parts.map(({ part }) => part.id as string));
  for (const { part } of short) if (part !== null) expect(taken).toContain(part);
  expect(makeCard([task("t-bus-oil")], { ...from, onHand: null }).short).toEqual([]);
});

test("a finding becomes the work that puts it right, seen before and looked at after", () => {
  const finding = (BOOK.findings ?? []).find(({ id }) => id === "fd-hatch-hose");
  if (finding === undefined) throw new Error("the hatchback has cracks in a hose");
  const { steps, issues } = makeCard([], cardFrom(BOOK, machine("m-hatch"), TODAY), [finding]);
  expect(issues).toEqual([]);
  const work = steps.filter(({ kind }: JobStep) => kind !== "caution");
  expect(work.map(({ kind }) => kind)).toEqual(["look", "do", "look"]);
  expect(work[1]?.name).toBe("Put right: Renew both front hoses");
  expect(steps.some(({ name }) => /Brakes and steering/.test(name ?? ""))).toBe(true);
});
