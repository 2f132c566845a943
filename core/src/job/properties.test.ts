import fc from "fast-check";
import { drawing } from "../../test/drawnFrom.js";
import { randomJob } from "../../test/randomJob.js";
import { SEED } from "../../test/seeds.js";
import { systemOf, type ToldEvent } from "./card.js";
import { cardIssues } from "./cardIssues.js";
import { jobState } from "./jobState.js";
import { JobRun } from "./jobRun.js";
import { Replay } from "./replay.js";
import { standingEvents } from "./told.js";

const RUNS = { numRuns: Number(process.env["RUNS"] ?? 2000) };
const NOW = 1_000_000;

function shuffled(events: readonly ToldEvent[], seed: number): ToldEvent[] {
  const draw = drawing(seed);
  return events
    .map((event) => ({ event, at: draw() }))
    .sort((one, other) => one.at - other.at)
    .map(({ event }) => event);
}

const inTheirOrder = (events: readonly ToldEvent[]): ToldEvent[] =>
  [...events].sort((one, other) => one.at - other.at || (one.id < other.id ? -1 : 1));

test("the order in which events are given does not matter, nor from which copy each of them is", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const { card, events } = randomJob(seed);
      const whole = jobState(card, events, NOW);
      expect(jobState(card, shuffled(events, seed), NOW)).toEqual(whole);
      const half = events.filter((_, place) => place % 2 === 0);
      const rest = events.filter((event) => !half.includes(event));
      expect(jobState(card, [...rest, ...half], NOW)).toEqual(whole);
      expect(jobState(card, [...half, ...rest], NOW)).toEqual(whole);
    }),
    RUNS,
  );
});

test("what is rejected changes nothing: without it, and without what would undo it, the job stands where it stood", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const { card, events } = randomJob(seed);
      const { rejected, ...stands } = jobState(card, events, NOW);
      const gone = new Set(rejected.map(({ event }) => event));
      const kept = events.filter(({ id }) => !gone.has(id));
      const { rejected: still, ...without } = jobState(card, kept, NOW);
      expect(without).toEqual(stands);
      expect(still).toEqual([]);
    }),
    RUNS,
  );
});

test("every litre that was told and stands is in its system, in whatever order it was told", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const { card, events } = randomJob(seed);
      const { systems, rejected } = jobState(card, events, NOW);
      const gone = new Set(rejected.map(({ event }) => event));
      const told = { out: 0, in: 0 };
      for (const event of standingEvents(events).events) {
        const step = card.steps?.find(({ id }) => id === event.step);
        if (gone.has(event.id) || step === undefined || systemOf(step) === null) continue;
        if (event.do === "out" || event.do === "in") told[event.do] += event.amount as number;
      }
      const sum = (of: "out" | "in"): number => systems.reduce((all, one) => all + one[of], 0);
      expect(sum("out")).toBeCloseTo(told.out, 6);
      expect(sum("in")).toBeCloseTo(told.in, 6);
      for (const one of systems) expect(one.balance).toBeCloseTo(one.in - one.out, 9);
    }),
    RUNS,
  );
});

test("one event after the other comes to the same as all of them from nothing, in whatever order they come in", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const { card, events } = randomJob(seed);
      const given = seed % 3 === 0 ? shuffled(events, seed) : inTheirOrder(events);
      const begun = seed % 5;
      const run = new JobRun(card, given.slice(0, begun));
      given.slice(begun).forEach((event, place) => {
        run.add(event);
        // A second time it changes nothing.
        if (place % 4 === 0) run.add(event);
        if (place % 25 === 7) {
          expect(run.state(NOW)).toEqual(jobState(card, given.slice(0, begun + place + 1), NOW));
        }
      });
      expect(run.state()).toEqual(jobState(card, events));
    }),
    RUNS,
  );
});

test("several that come at once, in any order, come to the same as all of them from nothing", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const { card, events } = randomJob(seed);
      const given = shuffled(events, seed);
      const run = new JobRun(card, given.slice(0, seed % 7));
      run.addAll(given.slice(0, 20));
      run.addAll(given);
      expect(run.state()).toEqual(jobState(card, events));
    }),
    { ...RUNS, numRuns: 200 },
  );
});

test("what was told long before is taken out as well, from where the replay was laid by", () => {
  const { card, events } = randomJob(7);
  const many = Array.from({ length: 1500 }, (_, place): ToldEvent => {
    const event = events[place % events.length] as ToldEvent;
    return { ...event, id: `n${String(place).padStart(5, "0")}`, at: place, undoes: null };
  }).filter((event) => event.do !== "undo");
  const run = new JobRun(card, many.slice(0, 200));
  for (const event of many.slice(200)) run.add(event);
  const all = [...many];
  for (const [back, place] of [1, 5, 130, 700, 1300, 2].entries()) {
    const undo = { id: `u${String(back)}`, at: 10_000 + back, do: "undo" };
    const taken = { ...undo, undoes: (many.at(-place) as ToldEvent).id };
    all.push(taken);
    run.add(taken);
    expect(run.state()).toEqual(jobState(card, all));
  }
});

test("on a sound card of which nothing may be left out, nothing is run while a system that was drained is not filled again", () => {
  let ran = 0;
  fc.assert(
    fc.property(SEED, (seed) => {
      const { card, events } = randomJob(seed);
      const steps = (card.steps ?? []).map((step) => ({ ...step, mayNotApply: false }));
      if (cardIssues(steps).length > 0) return;
      const replay = new Replay(steps);
      for (const event of standingEvents(events).events) {
        const before = replay.states.map(({ closed }) => closed);
        if (event.do !== "undo") replay.add(event);
        replay.states.forEach((state, place) => {
          const isRunNow = state.step.kind === "run" && state.closed === "done";
          if (!isRunNow || before[place] === "done") return;
          ran += 1;
          for (const system of replay.touched) {
            const fills = replay.states.filter(
              ({ step }, at) => at < place && step.kind === "fill" && systemOf(step) === system,
            );
            expect(fills.some(({ closed }) => closed === "done")).toBe(true);
          }
        });
      }
    }),
    RUNS,
  );
  // It has been tried.
  expect(ran).toBeGreaterThan(0);
});
