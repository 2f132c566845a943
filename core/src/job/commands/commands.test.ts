import { VAN } from "../../../test/books.js";
import { applyChange, type Change } from "../../book/change/change.js";
import { takenBack } from "../../book/change/takenBack.js";
import type { Result } from "../../book/change/result.js";
import type { TaskId } from "../../book/records/ids.js";
import type { Job, JobEvent } from "../../book/records/job.js";
import type { JobStep } from "../../book/records/step.js";
import type { MachineBook, Slice } from "../../book/slice/slice.js";
import { dayOf } from "../../calendar/dayNumber.js";
import { jobState, type JobState } from "../jobState.js";
import { bookWork } from "./bookWork.js";
import { changeCard, changedCard, notKept } from "./changeCard.js";
import { finishJob, giveUpJob, lateEvents } from "./finishJob.js";
import { openJob } from "./openJob.js";
import { putDownJob, takeUpJob, tapJob, undoTap, type Tap, type TapContext } from "./tapJob.js";

type Whole = MachineBook & Slice<"jobs" | "jobEvents">;

const TASKS = [
  { id: "oil", machine: "van", name: "Engine oil", regimes: { handbook: [] } },
  { id: "air", machine: "van", name: "Air filter", regimes: { handbook: [] } },
];
const STEPS = [
  { id: "a", kind: "caution", name: "On stands", again: true },
  { id: "b", kind: "open", name: "Filler", system: "f", tasks: ["oil"] },
  { id: "c", kind: "drain", name: "Drain", system: "f", expected: 4, tasks: ["oil"] },
  { id: "d", kind: "close", of: "drain", name: "Plug", system: "f", tasks: ["oil"] },
  { id: "e", kind: "fill", name: "Fill", system: "f", expected: 4, tasks: ["oil"] },
  { id: "f", kind: "close", of: "fill", name: "Cap", system: "f", tasks: ["oil"] },
  { id: "g", kind: "fit", name: "Filter", part: "p", tasks: ["air"], after: ["h"] },
  { id: "h", kind: "look", name: "Old filter", tasks: ["air"] },
] as unknown as JobStep[];

const NOTHING: Whole = {
  ...({ machines: [VAN], tasks: TASKS, entries: [], readings: [], meterChanges: [] } as object),
  ...{ rounds: [], findings: [], visits: [], jobs: [], jobEvents: [] },
} as unknown as Whole;

/** A book that goes on, command by command. */
class Going {
  book = NOTHING;
  changes: Change[] = [];
  private count = 0;
  clock = 1000;
  readonly context = (): TapContext => ({
    today: dayOf("2026-11-30"),
    newId: () => `n${String((this.count += 1))}`,
    nextSeq: () => (this.count += 1),
    at: (this.clock += 1000),
  });

  do<Issue>(result: Result<Change, Issue>): void {
    if (!result.ok) throw new Error(JSON.stringify(result.issues));
    this.apply(result.value);
  }

  apply(change: Change): void {
    this.changes.push(change);
    this.book = applyChange(this.book as never, change);
  }

  open(steps = STEPS): void {
    const tasks = ["oil", "air"] as TaskId[];
    const input = { name: "", tasks, findings: [], visit: null, steps, by: "et" };
    this.do(openJob(this.book, input, this.context()));
  }

  get job(): Job {
    return this.book.jobs[0] as Job;
  }

  get events(): readonly JobEvent[] {
    return this.book.jobEvents;
  }

  get state(): JobState {
    return jobState(this.job, this.events);
  }

  tap(step: string, tap: Tap): void {
    this.do(tapJob(this.book, this.job.id, [{ step, by: "et", ...tap }], this.context()));
  }

  stepState(id: string): string | undefined {
    return this.state.steps.find((step) => step.id === id)?.state;
  }
}

const begun = (): Going => {
  const going = new Going();
  going.open();
  going.tap("a", { do: "tick" });
  going.tap("b", { do: "tick" });
  going.tap("c", { do: "out", amount: 4.1 });
  return going;
};

const filled = (): Going => {
  const going = begun();
  for (const step of ["c", "d"]) going.tap(step, { do: "tick" });
  going.tap("e", { do: "in", amount: 4 });
  going.tap("e", { do: "level", level: "mark" });
  for (const step of ["e", "f"]) going.tap(step, { do: "tick" });
  return going;
};

const LOG = { day: dayOf("2026-11-30"), tasks: [], figures: [], note: "oil changed" };

test("what the replay would reject is refused, and nothing is written", () => {
  const going = new Going();
  going.open();
  const held = tapJob(going.book, going.job.id, [{ step: "c", do: "tick" }], going.context());
  expect(held).toEqual({ ok: false, issues: [{ code: "rejected", why: "held" }] });
  const nowhere = tapJob(going.book, "gone", [{ step: "c", do: "tick" }], going.context());
  expect(nowhere).toEqual({ ok: false, issues: [{ code: "job-missing" }] });
});

test("several taps are one change, or none where one of them is not taken", () => {
  const going = begun();
  const taps: Tap[] = [
    { step: "c", do: "out", amount: 1 },
    { step: "c", do: "tick" },
  ];
  going.do(tapJob(going.book, going.job.id, taps, going.context()));
  expect(going.changes.at(-1)?.records).toHaveLength(2);
  expect([going.stepState("c"), going.state.systems[0]?.out]).toEqual(["done", 5.1]);
  const held: Tap[] = [
    { step: "e", do: "in", amount: 1 },
    { step: "f", do: "tick" },
  ];
  const result = tapJob(going.book, going.job.id, held, going.context());
  expect(result).toEqual({ ok: false, issues: [{ code: "rejected", why: "held" }] });
});

test("a slow clock cannot put an event before what is known", () => {
  const going = begun();
  going.clock = 0;
  going.tap("c", { do: "out", amount: 0.2 });
  const times = going.events.map(({ at }) => at);
  expect(times).toEqual([...times].sort((one, other) => one - other));
  expect(new Set(times).size).toBe(times.length);
});

test("a tap taken back, by key or by button, appends an undo; brought back it is told again", () => {
  for (const byKey of [true, false]) {
    const going = begun();
    const before = going.events.length;
    const last = going.changes.at(-1) as Change;
    const around = { at: 50, newId: () => `u${String(byKey)}` };
    if (byKey) going.apply(takenBack(last, false, "here", around));
    else
      going.do(undoTap(going.book, going.job.id, going.events.at(-1)?.id ?? "", going.context()));
    expect(going.events).toHaveLength(before + 1);
    expect(going.state.systems).toEqual([{ system: "f", out: 0, in: 0, balance: 0 }]);
    const undo = going.changes.at(-1) as Change;
    going.apply(takenBack(undo, true, "here", { at: 60, newId: () => "again" }));
    expect(going.events).toHaveLength(before + 2);
    expect(going.state.systems).toEqual([{ system: "f", out: 4.1, in: 0, balance: -4.1 }]);
  }
});

test("put down with a reason, taken up by another: what each must see to is open again", () => {
  const going = begun();
  expect(putDownJob(going.book, going.job.id, { by: "et", why: " " }, going.context()).ok).toBe(
    false,
  );
  going.do(putDownJob(going.book, going.job.id, { by: "et", why: "a washer" }, going.context()));
  expect(going.job.down).toEqual({ on: "2026-11-30", by: "et", why: "a washer" });
  going.do(takeUpJob(going.book, going.job.id, "mk", going.context()));
  expect(going.job.down).toBeUndefined();
  expect(going.stepState("a")).toBe("open");
  expect(going.events.at(-2)?.text).toBe("Put down: a washer");
});

test("a task is on one job at a time, and a card with issues is not begun", () => {
  const going = new Going();
  const input = { name: "", tasks: ["oil"] as TaskId[], findings: [], visit: null, by: "" };
  const broken = openJob(going.book, { ...input, steps: STEPS.slice(2, 3) }, going.context());
  expect(broken.ok ? null : broken.issues[0]?.code).toBe("card-issues");
  going.open();
  const again = openJob(going.book, { ...input, steps: [] }, going.context());
  expect(again.ok ? null : again.issues).toEqual([
    { code: "on-another-job", task: "oil", job: going.job.id },
  ]);
  const none = openJob(going.book, { ...input, tasks: [], steps: [] }, going.context());
  expect(none.ok ? null : none.issues[0]?.code).toBe("nothing-to-do");
});

test("a changed card keeps what was done where the step is the same, and says what it cannot keep", () => {
  const going = filled();
  going.tap("h", { do: "judge", verdict: "sound" });
  going.tap("h", { do: "tick" });
  const looked = { ...(STEPS[7] as JobStep), points: ["left", "right"] };
  const named = { ...(STEPS[1] as JobStep), name: "Filler, behind the flap" };
  const steps = changedCard(
    STEPS,
    [
      ...STEPS.slice(0, 1),
      named,
      ...STEPS.slice(2, 7),
      looked,
      { id: "h", kind: "do", name: "Hose over" },
    ],
    going.events,
  );
  expect(steps.map(({ id }) => id)).toEqual(["a", "b", "c", "d", "e", "f", "g", "step1", "step2"]);
  // What waited for the step waits for the one in its place.
  expect(steps[6]?.after).toEqual(["step1"]);
  expect(notKept(going.job, steps, going.events)).toEqual([
    { step: "h", name: "Old filter", was: "done" },
  ]);
  going.do(changeCard(going.book, going.job.id, { steps, tasks: going.job.tasks ?? [] }));
  expect(going.stepState("b")).toBe("done");
  expect(going.stepState("step1")).toBe("open");
  expect(going.state.systems).toEqual([
    { system: "f", out: 4.1, in: 4, balance: expect.closeTo(-0.1) as number },
  ]);
});

test("a step put in later is never taken for one that is gone, though it bears its name", () => {
  const going = begun();
  const plain = { id: "x", kind: "do", name: "Rag" } as unknown as JobStep;
  const change = (steps: readonly JobStep[]): void => {
    const named = changedCard(going.job.steps ?? [], steps, going.events);
    going.do(changeCard(going.book, going.job.id, { steps: named, tasks: going.job.tasks ?? [] }));
  };
  change([...STEPS, plain]);
  going.tap("x", { do: "tick" });
  change(STEPS);
  change([...STEPS, { ...plain, name: "Another rag" }]);
  const last = going.state.steps.at(-1);
  expect(last?.id).not.toBe("x");
  expect(last?.state).toBe("open");
});

test("what a hand-over brought of a job is as it was before it, once the hand-over is taken back", () => {
  const going = begun();
  const records = [...going.changes].flatMap((change) => change.records);
  const brought: Change = { command: "hand-over", records };
  const elsewhere = applyChange(NOTHING as never, brought);
  const back = takenBack(brought, false, "here", { at: 9, newId: () => "u" });
  expect(applyChange(elsewhere, back)).toMatchObject({ jobs: [], jobEvents: [] });
});

test("a step of which litres were told cannot be taken off the card", () => {
  const going = begun();
  const without = STEPS.filter(({ id }) => !["b", "c", "d", "e", "f"].includes(id));
  const result = changeCard(going.book, going.job.id, { steps: without, tasks: [] });
  expect(result).toEqual({
    ok: false,
    issues: [{ code: "amounts-told", step: "c", name: "Drain" }],
  });
});

test("a finish is refused while anything is unfinished, writes one entry, and one undo takes it back", () => {
  const early = begun();
  const refused = finishJob(early.book, early.job.id, LOG, early.context());
  expect(refused.ok ? null : refused.issues[0]?.code).toBe("unfinished");
  const going = filled();
  const before = going.book;
  going.do(finishJob(going.book, going.job.id, LOG, going.context()));
  expect(going.book.entries).toHaveLength(1);
  expect(going.book.entries[0]).toMatchObject({ job: going.job.id, note: "oil changed" });
  expect(going.job.finished).toEqual({
    ...{ on: "2026-11-30", entry: going.book.entries[0]?.id },
    events: going.events.map(({ id }) => id),
  });
  expect(tapJob(going.book, going.job.id, [{ step: "g", do: "tick" }], going.context()).ok).toBe(
    false,
  );
  const late = { ...(going.events[0] as JobEvent), id: "late" as JobEvent["id"] };
  expect(lateEvents(going.job, [...going.events, late])).toEqual([late]);
  going.apply(
    takenBack(going.changes.at(-1) as Change, false, "here", { at: 1, newId: () => "x" }),
  );
  expect(going.book.entries).toEqual(before.entries);
  expect(going.book.jobs).toEqual(before.jobs);
});

test("a job of which nothing was done is given up; one that was worked on is not", () => {
  const going = new Going();
  going.open();
  going.tap("a", { do: "tick" });
  going.do(giveUpJob(going.book, going.job.id, going.context()));
  expect(going.job.finished).toMatchObject({ entry: null });
  const done = filled();
  const refused = giveUpJob(done.book, done.job.id, done.context());
  expect(refused.ok ? null : refused.issues).toEqual([{ code: "something-done" }]);
});

test("work for others is booked with what to tell them and what to ask for", () => {
  const going = new Going();
  const input = {
    ...{ tasks: ["oil"] as TaskId[], findings: [], workshop: " Ghyll Garage " },
    ...{ day: dayOf("2026-12-04"), tell: "lash cold", ask: "the gaps", quote: 180 },
  };
  going.do(bookWork(going.book, input, going.context()));
  expect(going.changes[0]?.records[0]?.after).toMatchObject({
    ...{ machine: "van", workshop: "Ghyll Garage", day: "2026-12-04", tasks: ["oil"] },
    ...{ tell: "lash cold", ask: "the gaps", quote: 180 },
  });
  const nobody = bookWork(going.book, { ...input, workshop: "" }, going.context());
  expect(nobody.ok ? null : nobody.issues).toEqual([{ code: "workshop-missing" }]);
});
