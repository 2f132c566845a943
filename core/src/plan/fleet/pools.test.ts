import fc from "fast-check";
import { dayOf } from "../../calendar/dayNumber.js";
import { needWords, Pools } from "./pools.js";

const MONDAY = dayOf("2026-11-23");
const WORK = { workdays: [1, 2, 3, 4, 5], closed: [] };
const SKILLS = ["gas", "weld", "lift"];

const person = (id: string, hoursAWeek: number | null, skills: readonly string[] = []) =>
  ({ id, name: id, initials: id, hoursAWeek, skills: [...skills] }) as never;

const poolsOf = (people: readonly never[], wanted: readonly (readonly string[])[]): Pools =>
  new Pools(
    { people, bays: [], closures: [] },
    WORK,
    MONDAY,
    [MONDAY],
    wanted.map((words) => needWords(words, { people, bays: [] })),
  );

test("all people are one pool; those who can do certain work are another, named by what only they have", () => {
  const people = [person("a", 40, ["gas"]), person("b", 20), person("c", 10, ["gas", "weld"])];
  const { pools } = poolsOf(people, [["gas"], ["weld"], []]);
  expect(pools.map(({ who, needs, isWhole, minutes }) => [who, needs, isWhole, minutes])).toEqual([
    [["a", "b", "c"], [], true, [4200]],
    [["a", "c"], ["gas"], false, [3000]],
    [["c"], ["gas", "weld"], false, [600]],
  ]);
});

test("words are of people, of bays, of both or of nobody", () => {
  const shop = { people: [person("a", 1, ["gas"])], bays: [{ takes: ["pit", "gas"] }] as never };
  expect(needWords(["gas", "pit", "moon"], shop)).toEqual({
    people: ["gas"],
    bays: ["gas", "pit"],
    strange: ["moon"],
  });
});

/** Whether minutes of work, each with the places of those who can do it, can be given out: pushed along until nothing more goes. */
function canBeGivenOut(
  work: readonly (readonly [number, readonly number[]])[],
  hours: number[],
): boolean {
  const left = [...hours];
  const given = work.map(() => hours.map(() => 0));
  for (const [at, [minutes, can]] of work.entries()) {
    for (let rest = minutes; rest > 0; rest -= 1) {
      if (!push(at, new Set())) return false;
    }
    function push(job: number, seen: Set<number>): boolean {
      for (const hand of work[job]?.[1] ?? can) {
        if (seen.has(hand)) continue;
        seen.add(hand);
        const free = left[hand] ?? 0;
        if (free > 0) {
          left[hand] = free - 1;
          grant(job, hand, 1);
          return true;
        }
        const other = given.findIndex(
          (row, one) => one !== job && (row[hand] ?? 0) > 0 && push(one, seen),
        );
        if (other < 0) continue;
        grant(other, hand, -1);
        grant(job, hand, 1);
        return true;
      }
      return false;
    }
  }
  function grant(job: number, hand: number, by: number): void {
    const row = given[job];
    if (row !== undefined) row[hand] = (row[hand] ?? 0) + by;
  }
  return true;
}

test("work can be given out among people exactly when no pool is asked for more than it has", () => {
  const told = { can: 0, cannot: 0 };
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 4 }), fc.subarray(SKILLS)), {
        minLength: 1,
        maxLength: 4,
      }),
      fc.array(fc.tuple(fc.integer({ min: 1, max: 4 }), fc.subarray(SKILLS)), { maxLength: 5 }),
      (hands, work) => {
        // Minutes a week, so that a unit of work is a minute.
        const people = hands.map(([minutes, skills], at) => person(`p${at}`, minutes / 60, skills));
        const pools = poolsOf(
          people,
          work.map(([, needs]) => needs),
        );
        const jobs = work.map(([minutes, needs]) => {
          const who = pools.whoCan("people", needs);
          return { minutes, who, places: who.map((id) => Number(id.slice(1))) };
        });
        if (jobs.some(({ who }) => who.length === 0)) return;
        const loads = pools.pools.map(() => 0);
        for (const { minutes, who } of jobs) {
          for (const pool of pools.drawnOn("people", who))
            loads[pool] = (loads[pool] ?? 0) + minutes;
        }
        const isKept = pools.pools.every(
          ({ minutes }, at) => (loads[at] ?? 0) <= (minutes[0] ?? 0) + 1e-9,
        );
        const can = canBeGivenOut(
          jobs.map(({ minutes, places }) => [minutes, places] as const),
          hands.map(([minutes]) => minutes),
        );
        told[can ? "can" : "cannot"] += 1;
        expect(isKept).toBe(can);
      },
    ),
    { numRuns: 1000, seed: 2620 },
  );
  expect(told.can).toBeGreaterThan(100);
  expect(told.cannot).toBeGreaterThan(100);
});
