import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, truncateSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import {
  bookFileText,
  dayOf,
  formatDay,
  type BookCosts,
  type JobState,
  type StockList,
  type DueList,
} from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { run } from "./run.js";

const TODAY = dayOf("2026-11-23");
const ON = ["--on", formatDay(TODAY)];
const FOLDER = mkdtempSync(join(tmpdir(), "yonderfell-cli-"));

/** A file with a text, by name. */
function file(name: string, text: string): string {
  const path = join(FOLDER, name);
  writeFileSync(path, text);
  return path;
}

const BOOK = demonstrationBook(TODAY);
const GOOD = file("good.yonderfell.json", JSON.stringify(BOOK));

/** The demonstration book with something in it changed. */
function broken(name: string, change: (book: typeof BOOK) => object): string {
  return file(`${name}.json`, JSON.stringify({ ...BOOK, ...change(structuredClone(BOOK)) }));
}

const reading = (more: object): object => ({ readings: [{ ...BOOK.readings?.[0], ...more }] });
const limit = (more: object): object => ({
  tasks: [{ id: "t", machine: "m-bus", name: "t", regimes: { handbook: [more] } }],
});

const head = (text: string): string => `{"format":"yonderfell-book","version":1,${text}}`;
const HUGE = file("huge.json", "[");
truncateSync(HUGE, 200 * 1024 * 1024);

const BAD: readonly (readonly [string, string, RegExp])[] = [
  ["no JSON", file("a.json", "hello"), /a\.json: \(the file\): expected a book as JSON/],
  [
    "JSON that breaks off",
    file("b.json", '{\n  "format": "yonderfell-book",\n  ]'),
    /breaks at line 3, column 3/,
  ],
  ["an empty file", file("c.json", ""), /the file is empty/],
  [
    "another format",
    file("d.json", '{"format":"other"}'),
    /d\.json: format: expected "yonderfell-book"/,
  ],
  [
    "a newer version",
    file("e.json", '{"format":"yonderfell-book","version":7}'),
    /version: expected version 2 or older/,
  ],
  ["a wrong type", file("f.json", head('"machines":7')), /machines: expected a list of machines/],
  [
    "a dangling reference",
    broken("g", () => reading({ machine: "nobody" })),
    /readings\[0\]\.machine: expected the id of a machine \(there is no "nobody"\)/,
  ],
  [
    "an impossible date",
    broken("h", () => reading({ date: "2026-02-30" })),
    /readings\[0\]\.date: expected a date of the calendar/,
  ],
  [
    "a number that is not finite",
    file("i.json", head('"settings":{"leadDays":1e999}')),
    /settings\.leadDays: expected/,
  ],
  [
    "an interval of zero",
    broken("j", () => limit({ days: 0 })),
    /regimes\.handbook\[0\]\.days: expected a whole number above 0/,
  ],
  [
    "a negative interval",
    broken("k", () => limit({ meter: "odo", every: -1 })),
    /every: expected a number above 0/,
  ],
  [
    "ids twice",
    broken("l", (book) => ({ machines: [...(book.machines ?? []), ...(book.machines ?? [])] })),
    /machines\[15\]\.id: expected an id of its own .* \(and 14 more\)$/,
  ],
  [
    "replacements in a ring",
    broken("m", (book) => ({
      readings: [
        { ...book.readings?.[0], id: "a", replaces: "b" },
        { ...book.readings?.[1], id: "b", replaces: "a" },
      ],
    })),
    /ring/,
  ],
  ["a missing file", join(FOLDER, "missing.json"), /there is no such file/],
  ["a folder", FOLDER, /it is a folder/],
  ["a file of 200 MB", HUGE, /at most 128 MB \(it has 200 MB\)/],
  ["JSON nested without end", file("n.json", "[".repeat(2_000_000)), /expected a book/],
  ["bytes that are no text", file("o.json", "\u0000\u0001\ufffd"), /a book as JSON/],
  [
    "a line break in an id",
    broken("p", () => reading({ machine: "no\nbody" })),
    /there is no "no\\nbody"/,
  ],
];

test.each(BAD)(
  "%s: one line that says where and what was expected, status 2, nothing on standard output",
  (_, path, words) => {
    for (const command of [
      ["due", path, ...ON, "--json"],
      ["check", path],
    ]) {
      const { status, output, complaint } = run(command, TODAY);
      expect(complaint).toMatch(words);
      expect(complaint.split("\n")).toHaveLength(1);
      expect([status, output]).toEqual([2, ""]);
    }
  },
);

test.each([
  [["due", GOOD], /expected the day, --on/],
  [["due", GOOD, "--on", "2026-02-30"], /--on: expected a date of the calendar/],
  [["due", ...ON], /expected the file of a book/],
  [["due", GOOD, GOOD, ...ON], /expected one file/],
  [["due", GOOD, ...ON, "--status", "late"], /--status: expected overdue, due/],
  [["due", GOOD, ...ON, "--machine", "99"], /--machine: expected the number of a machine/],
  [["due", GOOD, ...ON, "--colour"], /--colour/],
  [
    ["list"],
    /expected due, check, costs, stock, waste, card, methods, job, record, reckon or help/,
  ],
])("%j is answered with what was expected", (words, complaint) => {
  const ending = run(words, TODAY);
  expect(ending).toMatchObject({ status: 2, output: "" });
  expect(ending.complaint).toMatch(complaint);
  expect(ending.complaint).not.toContain("\n");
});

test("ids such as __proto__ and constructor are data like any other", () => {
  const odd =
    head(`"machines":[{"id":"__proto__","tag":"1","name":"n","kind":"k","inService":"2026-01-01","meters":[{"id":"__proto__","measure":"hours","unit":"h"}]}],
    "readings":[{"id":"constructor","machine":"__proto__","meter":"__proto__","date":"2026-11-01","value":90}],
    "tasks":[{"id":"__proto__","machine":"__proto__","name":"t","regimes":{"handbook":[{"meter":"__proto__","every":50}]}}],
    "entries":[{"id":"toString","machine":"__proto__","date":"2026-10-01","meters":{"__proto__":60},"tasks":["__proto__"]}]`);
  const { status, output } = run(["due", file("odd.json", odd), ...ON, "--json"], TODAY);
  const list = JSON.parse(output) as DueList;
  expect(status).toBe(0);
  expect(list.machines[0]?.meters[0]?.id).toBe("__proto__");
  expect(list.machines[0]?.tasks[0]?.limits[0]).toMatchObject({ from: 60, dueAt: 110 });
});

test("the table has a line a task, with its reason in figures of the dial, and then the open findings", () => {
  const { output } = run(["due", GOOD, ...ON], TODAY);
  const lines = output.split("\n");
  expect(lines[0]).toBe("Due on 2026-11-23");
  const findings = lines.indexOf("Open findings");
  expect(findings).toBe(5 + (BOOK.tasks?.length ?? 0));
  expect(lines.slice(findings).join("\n")).toMatch(
    /^21 +Engine uses oil, more each month, engine +attend +now +overdue +2026-11-18 +2026-11-18$/m,
  );
  const oil = lines.find((line) => line.startsWith("07") && line.includes("Engine oil"));
  expect(oil).toMatch(
    /soon +2026-12-12 +2026-12-06\.\.2026-12-20 +70[89]\.\d km +every 12000 km; last 2026-01-15 at 86163 km on the old dial; due at 11924 km$/,
  );
});

test("one machine and the states asked for are shown, all others left out", () => {
  const { output } = run(
    ["due", GOOD, ...ON, "--json", "--machine", "07", "--status", "overdue,due"],
    TODAY,
  );
  const { machines } = JSON.parse(output) as DueList;
  expect(machines.map((machine) => machine.id)).toEqual(["m-bus"]);
  expect(new Set(machines[0]?.tasks.map((task) => task.status))).toEqual(
    new Set(["overdue", "due"]),
  );
});

test("check says in which sections a file was changed since it was written", () => {
  const written = bookFileText(BOOK, "Vale", []);
  const whole = run(["check", file("whole.json", written), ...ON], TODAY);
  expect(whole.output).not.toContain("changed since");
  const edited = written.replace('"name": "Library bus"', '"name": "Moor bus"');
  const { status, output } = run(["check", file("edited.json", edited), ...ON], TODAY);
  expect(status).toBe(0);
  expect(output).toContain("\nchanged since it was written: machines\n");
});

test("check says what a sound book holds and lists faults and doubtful meters without refusing them", () => {
  const { status, output } = run(["check", GOOD, "--on", "2027-03-01"], TODAY);
  expect(status).toBe(0);
  expect(output).toContain("A sound book: 15 machines, 99 tasks");
  expect(output).toMatch(
    /^fault: H1 Hatchback, odo: \d+ km on \d{4}-\d\d-\d\d \(readings "r-h1-odo-412"\)/m,
  );
  expect(output).toMatch(/^doubtful: 07 Library bus, odo: last read 2026-11-22$/m);
});

test("the program itself ends with the status and keeps the two outputs apart", () => {
  const main = resolve(__dirname, "main.ts");
  const start = (words: readonly string[]): ReturnType<typeof spawnSync> =>
    spawnSync(process.execPath, ["--import", "tsx", main, ...words], { encoding: "utf8" });
  expect(start(["due", join(FOLDER, "missing.json"), ...ON])).toMatchObject({
    status: 2,
    stdout: "",
  });
  const good = start(["due", GOOD, ...ON, "--json"]);
  expect(good).toMatchObject({ status: 0, stderr: "" });
  expect((JSON.parse(String(good.stdout)) as DueList).today).toBe("2026-11-23");
}, 30_000);

const SPAN = ["--from", "2026-01-01", "--to", "2026-06-30"];

const OF_WORK = ["fluids", "parts", "work", "costs", "warranty", "isTopUp"];

/** The demonstration with only one entry that says what it took. */
const PAID = broken("paid", ({ entries = [], ...book }) => ({
  ...book,
  entries: entries.map((entry, place) => {
    const fields = Object.entries(entry).filter(([key]) => !OF_WORK.includes(key));
    const bare = Object.fromEntries(fields);
    const work = [{ person: "someone", minutes: 90, rate: 40 }];
    return place === 0
      ? { ...bare, date: "2026-03-02", work, costs: [{ what: "alignment" }] }
      : bare;
  }),
}));

test("what machines cost is told of a span of days, as JSON and for people", () => {
  const { status, output } = run(["costs", PAID, ...SPAN, "--json"], TODAY);
  const costs = JSON.parse(output) as BookCosts;
  expect(status).toBe(0);
  expect(costs).toMatchObject({ from: "2026-01-01", to: "2026-06-30" });
  expect(costs.machines.map(({ id }) => id)).toEqual((BOOK.machines ?? []).map(({ id }) => id));
  expect(costs.machines.filter(({ total }) => total > 0)).toEqual([
    expect.objectContaining({ work: 60, total: 60, missing: 1 }),
  ]);
  const table = run(["costs", PAID, ...SPAN], TODAY).output;
  expect(table).toMatch(/^Costs from 2026-01-01 to 2026-06-30, in cr$/m);
  expect(table).toMatch(/ 60\.00 +1 +0\.00/);
});

test.each([
  [["--to", "2026-06-30"], /expected the first day, --from/],
  [["--from", "2026-06-30"], /expected the last day, --to/],
  [["--from", "2026-06-30", "--to", "2026-06-01"], /--from on or before --to/],
  [["--from", "June", "--to", "2026-06-01"], /--from: expected a date of the calendar/],
])("costs %j is answered with what was expected", (words, said) => {
  const ending = run(["costs", GOOD, ...words], TODAY);
  expect(ending).toMatchObject({ status: 2, output: "" });
  expect(ending.complaint).toMatch(said);
});

test.each([
  ["stock", /^HD 4510 +Oil filter, spin-on +-\d+ +piece +never +2 +the counts do not agree$/m],
  ["stock", /^ +Fellmaster 15W-40 +[\d.]+ +L +2026-05-02 +20 +short$/m],
  ["waste", /^oil +[\d.]+ L +[\d.]+ L +Oil drum by the pit$/m],
  ["waste", /^filters +0 +9 pieces +Filter crate$/m],
])("%s is told for people: %s", (command, expected) => {
  const { status, output } = run([command, GOOD, ...ON], TODAY);
  expect(status).toBe(0);
  expect(output).toMatch(expected);
});

test("stock and waste are told as JSON, in the order of the file", () => {
  const stock = JSON.parse(run(["stock", GOOD, ...ON, "--json"], TODAY).output) as StockList;
  expect(stock.on).toBe("2026-11-23");
  expect(stock.items[0]).toEqual({
    ...{ part: "pt-hd-oilf", onHand: expect.any(Number) as number, unit: "piece" },
    ...{ counted: null, least: 2, short: true },
  });
  const waste = JSON.parse(run(["waste", GOOD, ...ON, "--json"], TODAY).output) as object;
  expect(waste).toMatchObject({ on: "2026-11-23" });
  expect((waste as { kinds: unknown[] }).kinds[0]).toMatchObject({
    ...{ kind: "oil", container: "wc-oil" },
  });
  for (const command of ["stock", "waste"]) {
    expect(run([command, GOOD], TODAY).complaint).toMatch(/expected the day, --on/);
  }
});

const WORKED_JOB = join(__dirname, "../../core/test/vectors/jobs/02-put-down-half-way.json");
const jobFile = (name: string, more: object = {}): string => {
  const { in: asked } = JSON.parse(readFileSync(WORKED_JOB, "utf8")) as { in: object };
  return file(`${name}.json`, JSON.stringify({ ...asked, ...more }));
};

test("where a job stands is told as JSON and for people", () => {
  const told = run(["job", jobFile("j1"), "--json"], TODAY);
  const { out } = JSON.parse(readFileSync(WORKED_JOB, "utf8")) as { out: JobState };
  expect(told.status).toBe(0);
  const { steps, next, unfinished } = JSON.parse(told.output) as JobState;
  expect({ steps, next, unfinished }).toEqual({
    ...{ steps: out.steps, next: out.next, unfinished: out.unfinished },
  });
  const { output } = run(["job", jobFile("j2")], TODAY);
  expect(output).toMatch(/^step5 +held +step3$/m);
  expect(output).toMatch(/^f-engine +11\.9 +0 +-11\.9$/m);
  expect(output).toMatch(/^next: step3$/m);
});

test.each([
  [["job"], /expected the file of a job/],
  [["job", jobFile("j3"), "more"], /expected one file/],
  [["job", jobFile("j4"), "--now", "noon"], /--now: expected milliseconds/],
  [["job", jobFile("j5", { job: { steps: [{ id: "a", kind: "paint" }] } })], /kind: expected do, /],
  [["job", jobFile("j6", { events: [{ id: "e" }] })], /events\[0\]\.at: expected milliseconds/],
  [["job", file("j7.json", "{")], /expected a job with its events as JSON/],
])("%j is answered with what was expected", (words, complaint) => {
  const ending = run(words, TODAY);
  expect(ending).toMatchObject({ status: 2, output: "" });
  expect(ending.complaint).toMatch(complaint);
});

test("methods leave by themselves: those a book keeps, or the library's", () => {
  const kept = JSON.parse(run(["methods", GOOD], TODAY).output) as {
    methods: { kinds: string[] }[];
  };
  expect(kept.methods.map(({ kinds }) => kinds)).toEqual([["mower"]]);
  const library = JSON.parse(run(["methods", "--library"], TODAY).output) as { methods: unknown[] };
  expect(library.methods.length).toBeGreaterThan(20);
  for (const words of [["methods"], ["methods", GOOD, "more"], ["methods", GOOD, "--library"]]) {
    expect(run(words, TODAY)).toMatchObject({ status: 2, output: "" });
  }
  expect(run(["methods", "--all"], TODAY).complaint).toMatch(/--all/);
});

test("a card is made for tasks by name or id; as a table it tells what to lay out", () => {
  const made = run(["card", GOOD, "07", "engine oil and filter", "t-bus-coolant", "--json"], TODAY);
  expect(made.status).toBe(0);
  const answer = JSON.parse(made.output) as {
    readonly tasks: readonly string[];
    readonly steps: readonly { readonly kind: string }[];
    readonly issues: readonly unknown[];
  };
  expect(answer.tasks).toEqual(["t-bus-oil", "t-bus-coolant"]);
  expect(answer.issues).toEqual([]);
  expect(answer.steps.filter(({ kind }) => kind === "drain")).toHaveLength(2);
  const table = run(["card", GOOD, "07", "t-bus-oil"], TODAY).output;
  expect(table).toMatch(/^Card for 07 Library bus/);
  expect(table).toMatch(/Laid out: 12\.6 L Fellmaster 15W-40; 1 x HD 4510/);
  expect(table).toMatch(/Drain pan: 12\.6 L at least/);
});

test.each([
  [["card"], /expected the file of a book/],
  [["card", GOOD], /expected a machine/],
  [["card", GOOD, "07"], /expected one task or more/],
  [["card", GOOD, "99", "oil"], /no machine "99"/],
  [["card", GOOD, "07", "tea"], /07 has no task "tea" \(it has .*Engine oil and filter/],
  [["card", GOOD, "07", "t-bus-oil", "--paper"], /--paper/],
])("%j is answered with what was expected", (words, complaint) => {
  const ending = run(words, TODAY);
  expect(ending).toMatchObject({ status: 2, output: "" });
  expect(ending.complaint).toMatch(complaint);
});
