import fc from "fast-check";
import { changeOf } from "../../../test/changeOf.js";
import { TODAY } from "../../../test/plans.js";
import { randomFleet } from "../../../test/randomFleet.js";
import type { Visit } from "../../book/records/visit.js";
import { visitSchema } from "../../book/records/visit.js";
import { sliceOf } from "../../book/slice/machineBook.js";
import type { Book } from "../../book/file/book.js";
import { dayOf } from "../../calendar/dayNumber.js";
import { VISIT_NEEDS } from "../visits/visitChanges.js";
import { costOfAnswer, type FleetAnswer } from "./fleetAnswer.js";
import { fleetChanges, takeFleetChanges, type FleetChange } from "./fleetChanges.js";
import type { FleetProblem } from "./fleetProblem.js";
import { fullFleetWeeks } from "./fullWeeks.js";
import { prepareFleet, type FleetBook } from "./prepareFleet.js";
import { shareWeeks } from "./shareWeeks.js";

function planned(book: FleetBook): { problem: FleetProblem; answer: FleetAnswer } {
  const preparing = prepareFleet(book, TODAY);
  let step = preparing.next();
  while (step.done !== true) step = preparing.next();
  let answer: FleetAnswer = [];
  for (const found of shareWeeks(step.value)) answer = found.answer;
  return { problem: step.value, answer };
}

/** A book after changes were taken, machine by machine. */
function taken(book: FleetBook, changes: readonly FleetChange[]): FleetBook {
  const visits = new Map((book.visits ?? []).map((visit) => [visit.id as string, visit]));
  let made = 0;
  const ids = new Set(changes.map(({ machine }) => machine.id));
  for (const id of ids) {
    const slice = sliceOf(book as Book, id, VISIT_NEEDS);
    if (slice === null) throw new Error("no machine");
    const own = changes.filter(({ machine }) => machine.id === id);
    const context = { today: TODAY, newId: () => `new-${(made += 1)}` };
    for (const { id: of, after } of changeOf(takeFleetChanges(slice, own, context)).records) {
      expect(visitSchema.safeParse(after).success).toBe(true);
      visits.set(of, after as Visit);
    }
  }
  return { ...book, visits: [...visits.values()] };
}

test("a plan that is taken whole stands in the book on its days, and planning anew asks for nothing more of what was taken", () => {
  let moved = 0;
  fc.assert(
    fc.property(randomFleet({ machines: 4, weeks: 8 }), (book) => {
      const { problem, answer } = planned(book);
      const changes = fleetChanges(problem, answer);
      moved += changes.filter(({ kind }) => kind === "moved").length;
      const after = taken(book, changes);
      for (const { turns, added, day, machine } of changes) {
        const tasks = [...turns, ...added].map(({ task }) => task);
        const own = (after.visits ?? []).filter(
          (visit) => visit.machine === machine.id && dayOf(visit.date) === day,
        );
        expect(own.some((visit) => tasks.every((task) => visit.tasks.includes(task)))).toBe(true);
      }
      const again = planned(after);
      const fresh = again.problem.machines.flatMap(({ options }) =>
        (options[0]?.blocks ?? []).filter(({ held }) => held === null),
      );
      expect(fresh).toEqual([]);
    }),
    { numRuns: 150, seed: 2611 },
  );
  expect(moved).toBeGreaterThan(10);
});

test("what would free a week is told of weeks that are too full, and saves no more than hours over cost there", () => {
  let told = 0;
  fc.assert(
    fc.property(randomFleet({ machines: 5, weeks: 4 }), (book) => {
      const { problem, answer } = planned(book);
      const { over, sharing } = costOfAnswer(problem, answer);
      const weeks = fullFleetWeeks(problem, answer, true);
      const priced = weeks.flatMap(({ over: own }) => own.map(({ hours }) => hours * 60));
      const sum = priced.reduce((all, minutes) => all + minutes * problem.overMinute, 0);
      expect(sum).toBeCloseTo(over, 5);
      for (const { frees, machines } of weeks) {
        expect(machines.length).toBeGreaterThan(0);
        for (const free of frees) {
          if ("saves" in free) expect(free.saves).toBeLessThanOrEqual(sharing + 1e-6);
          told += 1;
        }
      }
    }),
    { numRuns: 100, seed: 2612 },
  );
  expect(told).toBeGreaterThan(100);
});
