import { bookOf, done, read, task, VAN } from "../../../test/books.js";
import { changeOf } from "../../../test/changeOf.js";
import { applyChange } from "../../book/change/change.js";
import type { Book } from "../../book/file/book.js";
import { readBookData } from "../../book/file/readBook.js";
import type { MachineId, MeterId } from "../../book/records/ids.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { capacityAnswers, plainCapacity } from "../../fluid/capacity.js";
import { bringBack, setAside, takeProposal, takeSampledInterval } from "./answer.js";
import { learning } from "./learning.js";
import { capacityProposal, NOT_NOW_DAYS, type ProposalStanding } from "./proposals.js";

const TODAY = dayOf("2026-06-01");
const VAN_ID = "van" as MachineId;

let count = 0;
const context = (today: DayNumber = TODAY) => ({
  ...{ today, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) },
});

/** The slice a command on the van reads. */
const slice = (book: Book) => {
  const [machine] = book.machines ?? [];
  if (machine === undefined) throw new Error("there is a van");
  return {
    machines: [machine] as const,
    ...{ tasks: book.tasks ?? [], fluids: book.fluids ?? [] },
    ...{ findings: book.findings ?? [], lessons: book.lessons ?? [] },
  };
};

const OIL = task("oil", [{ meter: "odo", every: 10_000 }], { uses: [{ fluid: "sump" }] });
const SUMP = { id: "sump", machine: "van", system: "Engine", kind: "engine oil" };
/** The oil changed at a dial figure, with what else the entry says. */
const changed = (id: string, date: string, odo: number, more: object = {}): object =>
  done(id, date, ["oil"], { meters: { odo }, ...more });
const measured = (verdict: string): object => ({ measures: [{ name: "magnet", verdict }] });

const book = (entries: object[], more: object = {}): Book => ({
  ...bookOf({ tasks: [OIL], fluids: [SUMP], entries }),
  ...(more as Partial<Book>),
});
const open = (of: Book, today = TODAY): readonly ProposalStanding[] =>
  learning(of, today, null).open;
const only = (of: Book, today = TODAY): ProposalStanding["proposal"] => {
  const [first, ...others] = open(of, today);
  if (first === undefined || others.length > 0) throw new Error("there is one proposal");
  return first.proposal;
};
const valid = (of: Book): boolean => readBookData(JSON.parse(JSON.stringify(of))).ok;

const WORSE_TWICE = [
  changed("e1", "2024-01-01", 10_000),
  changed("e2", "2024-09-01", 20_000, measured("attend")),
  changed("e3", "2025-05-01", 30_000, measured("stop")),
];

describe("intervals by what was found", () => {
  const advised = (entries: object[], more: object = {}) =>
    learning(book(entries, more), TODAY, VAN_ID).of?.intervals[0];

  test("worse twice speaks for a fifth less, once for nothing", () => {
    expect(advised(WORSE_TWICE)).toMatchObject({
      ...{ every: 10_000, maker: 10_000, advice: { advice: "shorten", to: 8000, past: false } },
      turns: [
        { entry: "e2", run: 10_000, found: "worse" },
        { entry: "e3", run: 10_000, found: "worse" },
      ],
    });
    expect(advised(WORSE_TWICE.slice(0, 2))?.advice.advice).toBe("keep");
    expect(open(book(WORSE_TWICE.slice(0, 2)))).toEqual([]);
  });

  test("a turn that came late is not held against the interval, and says that it was", () => {
    const late = [
      changed("e1", "2024-01-01", 10_000),
      changed("e2", "2024-09-01", 22_000, measured("attend")),
      changed("e3", "2025-05-01", 32_000, measured("attend")),
    ];
    expect(advised(late)?.turns.map(({ leftOut }) => leftOut)).toEqual(["late", null]);
    expect(advised(late)?.advice.advice).toBe("keep");
  });

  test("turns at which nothing was looked at say nothing, and stand in nobody's way", () => {
    const [first, second, third] = WORSE_TWICE;
    const between = changed("e4", "2025-11-01", 40_000);
    const told = advised([first ?? {}, second ?? {}, third ?? {}, between]);
    expect(told?.turns).toHaveLength(2);
    expect(told?.advice.advice).toBe("shorten");
  });

  const tested = (id: string, date: string, odo: number): object => ({
    ...{ id, machine: "van", date, meters: { odo } },
    lookAgain: [{ task: "oil", months: 3, found: "clear" }],
  });
  const BETTER_TWICE = [
    changed("e1", "2024-01-01", 10_000),
    tested("t1", "2024-08-01", 19_800),
    changed("e2", "2024-11-01", 23_000),
    tested("t2", "2025-06-01", 32_500),
    changed("e3", "2025-09-01", 36_000),
  ];

  test("put off twice as sound is better twice: never past the handbook, and past nothing where it gives none", () => {
    // The handbook's own interval is the most there is.
    expect(advised(BETTER_TWICE)?.advice).toMatchObject({ advice: "keep", to: 10_000 });
    const cautious = {
      ...OIL,
      regimes: {
        handbook: [{ meter: "odo", every: 10_000 }],
        cautious: [{ meter: "odo", every: 9000 }],
      },
      regime: "cautious",
    };
    const up = advised(BETTER_TWICE, { tasks: [cautious] });
    expect(up?.advice).toMatchObject({ advice: "lengthen", to: 10_000 });
    const own = {
      ...{ ...OIL, regime: "cautious", regimes: { cautious: [{ meter: "odo", every: 9000 }] } },
    };
    expect(advised(BETTER_TWICE, { tasks: [own] })).toMatchObject({
      ...{ maker: null, advice: { advice: "lengthen", to: 10_800 } },
    });
  });

  test("better after a run that was cut short is as expected", () => {
    const short = [
      changed("e1", "2024-01-01", 10_000),
      tested("t1", "2024-03-01", 13_000),
      changed("e2", "2024-04-01", 15_000),
    ];
    expect(advised(short)?.turns[0]).toMatchObject({ found: "as expected" });
  });

  test("of several tasks done together what was measured counts for the one whose step it was", () => {
    const both = (id: string, date: string, odo: number): object =>
      done(id, date, ["oil", "wash"], { meters: { odo }, job: `j-${id}`, ...measured("attend") });
    const entries = [
      done("e1", "2024-01-01", ["oil", "wash"], { meters: { odo: 10_000 } }),
      both("e2", "2024-09-01", 20_000),
      both("e3", "2025-05-01", 30_000),
    ];
    const tasks = [OIL, task("wash", [{ meter: "odo", every: 10_000 }])];
    const steps = [{ id: "s1", kind: "measure", name: "magnet", tasks: ["oil"] }];
    const jobs = ["j-e2", "j-e3"].map((id) => ({ id, machine: "van", steps }));
    const told = learning(book(entries, { tasks, jobs }), TODAY, VAN_ID).of?.intervals;
    expect(told?.map((one) => [one.task.id, one.advice.advice])).toEqual([["oil", "shorten"]]);
    expect(learning(book(entries, { tasks }), TODAY, VAN_ID).of?.intervals).toEqual([]);
  });

  test("what the job found in the task's own system counts, and so does what the work closed", () => {
    const finding = (id: string, where: string, job?: string): object => ({
      ...{ id, machine: "van", found: "2024-08-01", where, what: "sludge", verdict: "attend" },
      ...{ decision: "now", ...(job === undefined ? {} : { job }) },
    });
    const both = (id: string, date: string, odo: number, more: object): object =>
      done(id, date, ["oil", "wash"], { meters: { odo }, ...more });
    const entries = [
      both("e1", "2024-01-01", 10_000, {}),
      both("e2", "2024-09-01", 20_000, { closes: ["fd1", "fd3"] }),
      both("e3", "2025-05-01", 30_000, { job: "j3" }),
    ];
    const findings = [
      finding("fd1", "engine"),
      finding("fd2", "Engine", "j3"),
      finding("fd3", "roof"),
    ];
    const told = advised(entries, { findings });
    expect(told?.turns.map(({ evidence }) => evidence)).toMatchObject([
      [{ kind: "finding", finding: "fd1" }],
      [{ kind: "finding", finding: "fd2" }],
    ]);
    expect(told?.advice.advice).toBe("shorten");
  });
});

describe("what is answered", () => {
  const of = book(WORSE_TWICE);

  test("doing so changes the interval in a school of its own with the reason, and asks for two new turns before the next", () => {
    const proposal = only(of);
    const change = changeOf(takeProposal(slice(of), { proposal, said: "worse twice" }, context()));
    const after = applyChange(of, change);
    expect(valid(after)).toBe(true);
    expect(after.tasks?.[0]).toMatchObject({
      ...{ regime: "measured", regimeReason: "worse twice" },
      regimes: {
        handbook: [{ meter: "odo", every: 10_000 }],
        measured: [{ meter: "odo", every: 8000 }],
      },
    });
    expect(after.lessons).toMatchObject([{ about: "interval", task: "oil", answer: "done" }]);
    expect(open(after)).toEqual([]);
    const [seen] = learning(after, TODAY, VAN_ID).of?.intervals ?? [];
    expect(seen?.turns.map(({ leftOut }) => leftOut)).toEqual(["before", "before"]);
    const later = addDays(TODAY, 400);
    const again = (odo: number, ago: number, id: string): object => ({
      ...changed(id, "2027-01-01", odo, measured("attend")),
      date: ago === 0 ? "2027-06-01" : "2027-01-01",
    });
    const once = { ...after, entries: [...(after.entries ?? []), again(38_000, 1, "e4")] } as Book;
    expect(open(once, later)).toEqual([]);
    const twice = { ...once, entries: [...(once.entries ?? []), again(46_000, 0, "e5")] } as Book;
    expect(only(twice, later)).toMatchObject({
      about: "interval",
      seen: { every: 8000, advice: { to: 6400 } },
    });
  });

  test("an interval that was taken over by a sample uses up what was seen until then", () => {
    const [task] = of.tasks ?? [];
    if (task === undefined) throw new Error("there is a task");
    const change = {
      task,
      meter: "odo" as MeterId,
      from: 10_000,
      to: 8000,
      maker: 10_000,
      isPast: false,
    };
    const taken = takeSampledInterval(slice(of), { change, said: "sample 21/2" }, context());
    const after = applyChange(of, changeOf(taken));
    expect(valid(after)).toBe(true);
    expect(after.tasks?.[0]).toMatchObject({ regime: "measured", regimeReason: "sample 21/2" });
    expect(open(after)).toEqual([]);
    expect(takeSampledInterval(slice(after), { change, said: "" }, context())).toMatchObject({
      ...{ ok: false, issues: [{ code: "changed-elsewhere", section: "tasks" }] },
    });
  });

  test("a task changed since the proposal was made is not written over", () => {
    const proposal = only(of);
    const [own] = of.tasks ?? [];
    const moved = { ...of, tasks: [{ ...own, minutes: 12 }] } as Book;
    expect(takeProposal(slice(moved), { proposal, said: "" }, context())).toMatchObject({
      ...{ ok: false, issues: [{ code: "changed-elsewhere", section: "tasks" }] },
    });
  });

  const aside = (answer: "not now" | "never"): Book => {
    const { subject } = only(of);
    const asked = { subject, answer, said: "every 8 000 km" };
    return applyChange(of, changeOf(setAside(slice(of), asked, context())));
  };

  test("not now rests for ninety days, or until there is something new to go by", () => {
    const after = aside("not now");
    expect(valid(after)).toBe(true);
    expect(open(after)).toEqual([]);
    expect(learning(after, TODAY, null).aside).toMatchObject([{ lesson: { answer: "not now" } }]);
    expect(open(after, addDays(TODAY, NOT_NOW_DAYS - 1))).toEqual([]);
    expect(open(after, addDays(TODAY, NOT_NOW_DAYS))).toHaveLength(1);
    const more = changed("e9", "2026-06-10", 40_000, measured("attend"));
    const fresh = { ...after, entries: [...(after.entries ?? []), more] } as Book;
    expect(open(fresh, addDays(TODAY, 10))).toHaveLength(1);
  });

  test("never rests whatever comes, until it is brought back", () => {
    const after = aside("never");
    expect(open(after, addDays(TODAY, 2000))).toEqual([]);
    const [lesson] = after.lessons ?? [];
    if (lesson === undefined) throw new Error("it is kept");
    const back = applyChange(after, changeOf(bringBack(slice(after), lesson)));
    expect(open(back)).toHaveLength(1);
    expect(bringBack(slice(back), lesson)).toMatchObject({ ok: false });
  });
});

describe("capacities from fills to the mark", () => {
  const filled = (id: string, date: string, odo: number, litres: number): object =>
    changed(id, date, odo, {
      fluids: [
        {
          ...{ fluid: "sump", condition: "with filter", onMark: true },
          in: { value: litres, unit: "L" },
        },
      ],
    });
  const capacity = (id: string, source: string, value: number): object => ({
    ...{ id, source, condition: "with filter", quantity: { value, unit: "L" } },
  });
  const printed = { ...SUMP, capacities: [capacity("c1", "handbook", 5.5)] };
  const fills = [
    filled("e1", "2024-01-01", 10_000, 4.9),
    filled("e2", "2025-01-01", 20_000, 5),
    filled("e3", "2026-01-01", 30_000, 5.1),
  ];

  test("three of them more than a twentieth off are proposed, and taken as the figure to work by with its reason", () => {
    const of = book(fills, { fluids: [printed] });
    expect(open(book(fills.slice(1), { fluids: [printed] }))).toEqual([]);
    const proposal = only(of);
    expect(proposal).toMatchObject({
      about: "capacity",
      beside: { median: 5, litres: 5, differs: true, speaks: true },
    });
    const change = changeOf(takeProposal(slice(of), { proposal, said: "3 fills" }, context()));
    const after = applyChange(of, change);
    expect(valid(after)).toBe(true);
    const [fluid] = after.fluids ?? [];
    const [answer] = fluid === undefined ? [] : capacityAnswers(fluid);
    expect(answer).toMatchObject({ why: { code: "chosen", reason: "3 fills" } });
    expect(answer === undefined ? null : plainCapacity(answer.working)).toBe(5);
    expect(fluid?.capacities).toHaveLength(2);
    expect(learning(after, TODAY, VAN_ID).of?.capacities).toMatchObject([{ differs: false }]);
    expect(open(after)).toEqual([]);
  });

  test("taken again later it takes the place of what was learned before; other conditions keep their choice", () => {
    const chosen = {
      ...printed,
      capacities: [
        capacity("c1", "handbook", 5.5),
        { ...capacity("c2", "own experience", 5.2), note: "once" },
        { ...capacity("c3", "label", 8), condition: "dry" },
      ],
      working: [
        { capacity: "c2", reason: "earlier" },
        { capacity: "c3", reason: "label" },
      ],
    };
    const of = book(fills, { fluids: [chosen] });
    const [beside] = learning(of, TODAY, VAN_ID).of?.capacities ?? [];
    if (beside === undefined) throw new Error("it was filled");
    const after = applyChange(
      of,
      changeOf(
        takeProposal(
          slice(of),
          { proposal: capacityProposal(VAN_ID, beside), said: "3 fills" },
          context(),
        ),
      ),
    );
    expect(valid(after)).toBe(true);
    expect(after.fluids?.[0]?.working).toEqual([
      { capacity: "c3", reason: "label" },
      { capacity: "c2", reason: "3 fills" },
    ]);
    expect(after.fluids?.[0]?.capacities?.map(({ id }) => id)).toEqual(["c1", "c3", "c2"]);
  });
});

test("consumption that has doubled is made a finding to be looked into", () => {
  const L = (value: number): object => ({ fluids: [{ fluid: "sump", in: { value, unit: "L" } }] });
  const topUp = (id: string, date: string, odo: number, litres: number): object => ({
    ...{ id, machine: "van", date, meters: { odo }, isTopUp: true, ...L(litres) },
  });
  const entries = [1, 2, 3, 4].flatMap((at) => [
    changed(`e${at}`, `${2020 + at}-01-01`, at * 10_000, L(5)),
    topUp(`t${at}`, `${2020 + at}-06-01`, at * 10_000 + 5000, at === 4 ? 1.2 : 0.5),
  ]);
  const of = book([...entries, changed("e5", "2025-01-01", 50_000, L(5))], {
    readings: [read("2025-06-01", 55_000), read("2026-06-01", 58_000.04)],
  });
  const proposal = only(of);
  expect(proposal).toMatchObject({ about: "consumption", trend: { usual: 0.05 } });
  const said = "0.12 L by 1 000 km, usually 0.05";
  const after = applyChange(of, changeOf(takeProposal(slice(of), { proposal, said }, context())));
  expect(valid(after)).toBe(true);
  expect(after.findings).toMatchObject([
    { kind: "consumption", where: "Engine", evidence: said, life: { odo: 58_000 } },
  ]);
  expect(takeProposal(slice(after), { proposal, said }, context())).toMatchObject({ ok: false });
  expect(open(after)).toEqual([]);
});

test("minutes that work took are taken over with the work that shows them", () => {
  const worked = (id: string, date: string): object =>
    done(id, date, ["oil"], { work: [{ person: "et", minutes: 55 }] });
  const entries = ["2024-01-01", "2025-01-01", "2026-01-01"].map((date) => worked(date, date));
  const of = book(entries, { tasks: [{ ...OIL, minutes: 30 }] });
  const proposal = only(of);
  expect(proposal).toMatchObject({ about: "minutes", beside: { estimated: 30, minutes: 55 } });
  const said = "3 times, 55 min";
  const after = applyChange(of, changeOf(takeProposal(slice(of), { proposal, said }, context())));
  expect(after.tasks?.[0]).toMatchObject({ minutes: 55 });
  expect(open(after)).toEqual([]);
});

test("of one machine only its own is told", () => {
  const of = { ...book(WORSE_TWICE), machines: [VAN, { ...VAN, id: "bus" }] } as unknown as Book;
  expect(learning(of, TODAY, "bus" as MachineId).open).toEqual([]);
  expect(learning(of, TODAY, VAN_ID).open).toHaveLength(1);
});
