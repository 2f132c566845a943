import { changeOf } from "../../../test/changeOf.js";
import type { Task } from "../../book/records/task.js";
import fc from "fast-check";
import { planOf, sourceOf, TODAY } from "../../../test/plans.js";
import { randomMachine, type DrawnMachine } from "../../../test/randomMachine.js";
import type { Machine } from "../../book/records/machine.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { spareDays } from "./spareDays.js";
import { planUntil } from "./visitsOfMachine.js";
import type { VisitId } from "../../book/records/ids.js";
import type { Visit } from "../../book/records/visit.js";
import type { MachinePlan } from "./planMachine.js";
import type { PlannedVisit } from "./plannedVisit.js";
import { turnKey, type Turn } from "./turn.js";
import { acceptVisits } from "./visitChanges.js";
import { visitCostOn } from "./visitCost.js";

const { planning } = sourceOf();
const drawnPlan = ({ parts, visits, journeys }: DrawnMachine, more: readonly Visit[] = []) =>
  planOf(parts, [...visits, ...more], {}, TODAY, journeys);

/** A visit accepted as the page accepts it. */
function accept(proposed: PlannedVisit, at: number): Visit {
  const { day, turns } = proposed;
  const tasks = turns.map(({ task }) => task);
  const own = tasks.map((id) => ({ id }) as Task);
  const slice = { machines: [{ id: "van" } as Machine], tasks: own, visits: [] } as const;
  const context = { today: TODAY, newId: () => `accepted-${at}`, since: 99 };
  const change = changeOf(acceptVisits(slice, [{ day, tasks, turns }], context));
  return change.records[0]?.after as Visit;
}

const allTurns = ({ turns, fitting }: PlannedVisit): Turn[] => [...turns, ...fitting];

/** What all visits of a plan cost, with what fits in. */
function costOfPlan({ visits }: MachinePlan): number {
  const days = new Map<string, PlannedVisit[]>();
  for (const one of visits) {
    const key = `${one.day} ${String(one.isOutside)}`;
    days.set(key, [...(days.get(key) ?? []), one]);
  }
  return [...days.values()].reduce((sum, own) => {
    const turns = own.flatMap(allTurns);
    return sum + visitCostOn(turns, own[0]?.day ?? TODAY, planning.visitCost, planning).total;
  }, 0);
}

/** Whether the machine can be worked on between the last day that visits are proposed for and another. */
function spareAfter({ parts }: DrawnMachine, end: DayNumber): boolean {
  const machine = parts.machines?.[0] as Pick<Machine, "needed">;
  const from = addDays(planUntil(TODAY, planning), 1);
  return spareDays(machine, planning, from, end).length > 0;
}

const keysOf = (turns: readonly Turn[]): string[] => turns.map(turnKey).sort();

test("accepting any proposed visit changes neither its turns nor what the plan costs", () => {
  let accepted = 0;
  fc.assert(
    fc.property(randomMachine, fc.nat(), (drawn, which) => {
      const before = drawnPlan(drawn);
      const proposals = before.visits.filter(({ visit }) => visit === null);
      const proposed = proposals[which % Math.max(1, proposals.length)];
      if (proposed === undefined) return;
      accepted += 1;
      const visit = accept(proposed, 0);
      const after = drawnPlan(drawn, [visit]);
      const held = after.visits.find((one) => one.visit?.id === visit.id);
      expect(held && [held.day, keysOf(held.turns), held.others]).toEqual([
        proposed.day,
        keysOf(proposed.turns),
        [],
      ]);
      expect(costOfPlan(after)).toBeCloseTo(costOfPlan(before), 6);
    }),
    { numRuns: 1000, seed: 1914 },
  );
  expect(accepted).toBeGreaterThan(600);
});

test("accepted one by one from the last to the first, all visits hold what they were proposed with", () => {
  fc.assert(
    fc.property(randomMachine, (drawn) => {
      const before = drawnPlan(drawn);
      const proposals = before.visits.filter(({ visit }) => visit === null).reverse();
      const visits = proposals.map(accept);
      const after = drawnPlan(drawn, visits);
      for (const [at, { id }] of visits.entries()) {
        const held = after.visits.find(({ visit }) => visit?.id === id);
        expect(held && keysOf(held.turns)).toEqual(keysOf(proposals[at]?.turns ?? []));
      }
      expect(costOfPlan(after)).toBeCloseTo(costOfPlan(before), 6);
    }),
    { numRuns: 300, seed: 1915 },
  );
});

test("no visit holds a task twice, and every hard turn is in a visit by its end or in an issue", () => {
  const told = { hard: 0, issues: 0 };
  fc.assert(
    fc.property(randomMachine, (drawn) => {
      const { visits, turns, issues } = drawnPlan(drawn);
      for (const visit of visits) {
        const tasks = allTurns(visit).map(({ task }) => task);
        expect(new Set(tasks).size).toBe(tasks.length);
      }
      const dayOf = new Map(visits.flatMap((one) => allTurns(one).map((turn) => [turn, one.day])));
      for (const turn of turns) {
        const { task, hardEnd } = turn;
        if (hardEnd === null) continue;
        told.hard += 1;
        const day = dayOf.get(turn);
        if (day !== undefined && day <= hardEnd) continue;
        // Past the time looked at there is a day for it yet.
        if (day === undefined && spareAfter(drawn, hardEnd)) continue;
        told.issues += 1;
        const own = issues.find(
          (issue) => "end" in issue && issue.task === task && issue.end === hardEnd,
        );
        expect(own).toBeDefined();
        // Its cause is told truly.
        if (own?.code === "hard-end-passed") expect(hardEnd).toBeLessThan(TODAY);
        if (own?.code === "no-day-before-hard-end") expect(own.blocked.length).toBeGreaterThan(0);
        if (own?.code === "left-out-before-hard-end") {
          expect(drawn.visits.some(({ without }) => without?.includes(task))).toBe(true);
        }
      }
    }),
    { numRuns: 1500, seed: 1916 },
  );
  expect(told.hard).toBeGreaterThan(1000);
  expect(told.issues).toBeGreaterThan(100);
});

test("a visit of the book is in the plan by its id, whatever turn it names", () => {
  const id = "v" as VisitId;
  const visit = { id, machine: "van", date: "2026-12-02", tasks: ["oil"], accepted: "2026-11-23" };
  const named = { ...visit, turns: [{ task: "oil", number: 40 }] } as unknown as Visit;
  const parts = { tasks: [{ id: "oil", machine: "van", name: "oil", regimes: {} }] };
  expect(planOf(parts, [named]).visits[0]).toMatchObject({ others: ["oil"], turns: [] });
});
