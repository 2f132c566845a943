import {
  coldOf,
  addDays,
  bookCosts,
  currentStop,
  dayOf,
  formatDay,
  learning,
  machinePlateOf,
  planOffers,
  planOfMachine,
  plateFindings,
  readBookData,
  reckonBook,
  sharedBookOf,
  stockOn,
  vinDoubt,
  checkLimits,
  type MachineId,
  proposedVerdict,
  sharedCauses,
  unevenPairs,
} from "@yonderfell/core";
import { demonstrationBook } from "./index.js";

const TODAY = dayOf("2026-11-23");

test("the same day gives the same bytes", () => {
  expect(JSON.stringify(demonstrationBook(TODAY))).toBe(JSON.stringify(demonstrationBook(TODAY)));
});

test.each([0, 29, 97, 188, 265, 460])("the book of day + %i is valid and looks alive", (later) => {
  const today = addDays(TODAY, later);
  const book = readBookData(JSON.parse(JSON.stringify(demonstrationBook(today))));
  if (!book.ok) throw new Error(JSON.stringify(book.issues[0]));
  const statuses = new Set(
    reckonBook(book.value, today).flatMap((machine) => machine.tasks.map((task) => task.status)),
  );
  expect([...statuses]).toEqual(
    expect.arrayContaining(["overdue", "due", "soon", "clear", "unknown", "finished"]),
  );
});

test("every machine has records since it came, of nearly three years at the most, and none is dated after the day", () => {
  const book = demonstrationBook(TODAY);
  for (const machine of book.machines ?? []) {
    const dates = [...(book.readings ?? []), ...(book.entries ?? [])]
      .filter((record) => record.machine === machine.id)
      .map((record) => record.date)
      .sort();
    const came = machine.acquired ?? machine.inService ?? "";
    const since = came > formatDay(addDays(TODAY, -1095)) ? came : formatDay(addDays(TODAY, -1095));
    expect(dates[0]! >= since).toBe(true);
    expect(dates[0]! < formatDay(addDays(dayOf(since), 200))).toBe(true);
    expect(dates.at(-1)! <= formatDay(TODAY)).toBe(true);
  }
});

test("fifteen machines of unlike kinds, with plates, parts, a replaced odometer, a dead hour meter, lay-ups, and one out of service", () => {
  const book = demonstrationBook(TODAY);
  const machines = book.machines ?? [];
  expect(machines).toHaveLength(15);
  expect(new Set(machines.map((machine) => machine.kind)).size).toBeGreaterThan(10);
  expect(machines.filter((machine) => (machine.laidUp ?? []).length > 0)).toHaveLength(3);
  expect(machines.filter((machine) => currentStop(machine) !== null).map((one) => one.tag)).toEqual(
    ["25"],
  );
  const meters = reckonBook(book, TODAY).flatMap((machine) => machine.meters);
  expect(meters.filter((meter) => meter.stoppedOn !== null)).toHaveLength(1);
  expect(book.meterChanges).toHaveLength(1);
});

test("plates hold what a mechanic should see: a weak battery, a wrong wiper and tyre, oils that do not cover, sources that disagree", () => {
  const book = demonstrationBook(TODAY);
  const shared = sharedBookOf(book);
  const found = (book.machines ?? []).flatMap((machine) =>
    plateFindings(
      machine,
      machinePlateOf(book, machine.id),
      shared,
      coldOf(machine, book.settings),
    ).map((one) => `${machine.tag} ${one.code}`),
  );
  expect(found).toEqual(
    expect.arrayContaining([
      "07 mismatch",
      "03 mismatch",
      "18 mismatch",
      "H1 mismatch",
      "12 product-does-not-cover",
      "33 product-does-not-cover",
      "18 product-does-not-cover",
      "25 capacities-disagree",
      "15 capacities-disagree",
    ]),
  );
});

test("every vehicle identification number has its check digit", () => {
  const numbers = (demonstrationBook(TODAY).machines ?? []).flatMap((machine) => machine.vin ?? []);
  expect(numbers.length).toBeGreaterThan(5);
  expect(numbers.map(vinDoubt)).toEqual(numbers.map(() => null));
});

test("the mistyped reading of the hatchback is found as its one fault", () => {
  const hatchback = reckonBook(demonstrationBook(TODAY), TODAY).find(
    (reckoning) => reckoning.machine.tag === "H1",
  );
  expect(hatchback?.meters.map((meter) => meter.faults.length)).toEqual([1]);
});

test("plans hold a ladder, an every-third task, a raised code, a postponed change, a thing for life and a baseline half way", () => {
  const book = demonstrationBook(TODAY);
  const tasks = book.tasks ?? [];
  expect(tasks.filter((one) => one.ladder === "hours").map((one) => one.nth?.every ?? 1)).toEqual([
    1, 2, 4, 8,
  ]);
  expect(tasks.filter((one) => one.nth?.every === 3)).toHaveLength(1);
  const bases = reckonBook(book, TODAY).flatMap((machine) =>
    machine.tasks.flatMap((task) =>
      task.limits.map(({ basis }) => `${task.task.id} ${basis.code} ${task.status}`),
    ),
  );
  expect(bases).toEqual(
    expect.arrayContaining([
      "t-mini-brake tested-sound clear",
      "t-lunch-brake wanted due",
      "t-lunch-plugs wanted due",
    ]),
  );
  expect(tasks.some((one) => one.regimes?.["handbook"]?.length === 0)).toBe(true);
  const lorry = (book.machines ?? []).find((one) => one.baseline);
  expect(lorry?.baseline?.finished ?? null).toBeNull();
  expect(lorry?.baseline?.left).toEqual(["t-lorry-axle"]);
});

test("two sister machines share tasks, one of which has changed at the sister since", () => {
  const book = demonstrationBook(TODAY);
  const machines = book.machines ?? [];
  const tasks = book.tasks ?? [];
  const sister = machines.find(({ id }) => id === "m-bus");
  const own = machines.find(({ id }) => id === "m-minibus");
  if (sister === undefined || own === undefined) throw new Error("both are in the book");
  expect(own.kind).toBe(sister.kind);
  const plan = planOfMachine(
    sister,
    tasks.filter(({ machine }) => machine === sister.id),
  );
  const offers = planOffers(plan, own, tasks, (key) => `new-${key}`);
  const standing = offers.filter((offer) => offer.standing !== "new");
  expect(standing.map((offer) => [offer.own?.id, offer.standing])).toEqual([
    ["t-mini-brake", "changed"],
    ["t-mini-brakes", "same"],
  ]);
});

test.each([0, 97, 265])(
  "on day + %i shelves, costs and findings hold what they should",
  (later) => {
    const today = addDays(TODAY, later);
    const book = demonstrationBook(today);
    const stock = stockOn(book, today).items;
    expect(stock.filter(({ onHand }) => onHand < 0)).toHaveLength(1);
    expect(stock.filter(({ counted }) => counted !== null).length).toBeGreaterThan(10);
    expect(stock.filter(({ short }) => short).length).toBeGreaterThan(1);
    const costs = bookCosts(book, formatDay(addDays(today, -1094)), formatDay(today)).machines;
    expect(costs.every(({ total }) => total > 0)).toBe(true);
    expect(costs.filter(({ missing }) => missing > 0).length).toBeGreaterThan(3);
    expect(costs.filter(({ warranty }) => warranty > 0).length).toBeGreaterThan(1);
    const machines = reckonBook(book, today);
    const findings = machines.flatMap((one) => one.findings.map(({ status }) => status));
    expect(findings).toEqual(expect.arrayContaining(["overdue", "declined", "soon"]));
    expect((book.findings ?? []).length).toBe(findings.length + 3);
    const pads = machines.flatMap((one) =>
      one.tasks.filter(({ task }) => task.id === "t-hatch-pads").flatMap(({ limits }) => limits),
    );
    expect(pads.map(({ kind, basis }) => `${kind} ${basis.code}`)).toEqual([
      "measured measured",
      "measured measured",
    ]);
  },
);

test("two years of rounds: every verdict is that of its figures, what is not sound has its finding, a stop is released", () => {
  const book = demonstrationBook(TODAY);
  const { rounds = [], checklists = [], findings = [], machines = [] } = book;
  const days = rounds.map(({ date }) => dayOf(date));
  expect(Math.max(...days) - Math.min(...days)).toBeGreaterThan(700);
  let judged = 0;
  for (const { checklist, results = [] } of rounds) {
    const list = checklists.find(({ id }) => id === checklist);
    for (const result of results) {
      const check = (list?.checks ?? []).find(({ id }) => id === result.check);
      if (check === undefined) throw new Error(`no check ${result.check}`);
      const verdict = proposedVerdict(check, checkLimits(check, []), result);
      if (verdict === null) continue;
      judged += 1;
      expect([result.check, result.readings, verdict]).toEqual([
        ...[result.check, result.readings, result.verdict],
      ]);
    }
  }
  expect(judged).toBeGreaterThan(40);
  for (const { round, check, point = null } of findings) {
    const walked = rounds.find(({ id }) => id === round);
    if (!round || !check) continue;
    const results = (walked?.results ?? []).filter((one) => one.check === check);
    const at = results.filter((one) => point === null || one.point === point);
    expect(at.some(({ verdict }) => ["watch", "attend", "stop"].includes(verdict ?? ""))).toBe(
      true,
    );
  }
  const mini = rounds.find(({ id }) => id === "n-03-96");
  const wheels = checklists.find(({ id }) => id === "cl-wheels");
  if (mini === undefined || wheels === undefined) throw new Error("the minibus was walked round");
  expect(sharedCauses(mini, wheels).map(({ cause }) => cause)).toEqual([
    "alignment, or worn joints",
  ]);
  expect(unevenPairs(mini, wheels)).toEqual([]);
  const stops = machines.flatMap((machine) => machine.stops ?? []);
  expect(stops.filter(({ released }) => released)).toHaveLength(1);
});

test("the gritter's engine uses more and more oil", () => {
  const book = demonstrationBook(TODAY);
  const topUps = (book.entries ?? []).filter(
    ({ isTopUp, machine }) => isTopUp === true && machine === "m-gritter",
  );
  const litres = topUps.map(({ fluids }) => fluids?.[0]?.in?.value ?? 0);
  expect(litres.at(-1)).toBeGreaterThan(3 * (litres[0] ?? 0));
});

test.each([0, 13, 29, 97, 150, 188, 220, 265, 310, 365, 460])(
  "on day + %i the records teach something of each sort",
  (later) => {
    const today = addDays(TODAY, later);
    const { open, aside, lives } = learning(demonstrationBook(today), today, null);
    const proposed = open.map(({ proposal }) => `${proposal.subject.machine} ${proposal.about}`);
    expect(proposed).toEqual(
      expect.arrayContaining(["m-mower interval", "m-mower consumption", "m-hatch capacity"]),
    );
    expect(aside).toMatchObject([{ lesson: { answer: "never" } }]);
    expect(lives.length).toBeGreaterThan(10);
  },
);

test("of a machine with few services too little is known to say what it usually takes", () => {
  const { of } = learning(demonstrationBook(TODAY), TODAY, "m-gritter" as MachineId);
  const [engine] = of?.consumption ?? [];
  expect(engine?.spans.length).toBeGreaterThan(0);
  expect(engine).toMatchObject({ usual: null, isDoubled: false });
});
