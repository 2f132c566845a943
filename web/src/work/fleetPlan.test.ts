import { findFleetPlan, type Book, type FleetNews, type FleetTold } from "@yonderfell/core";
import loadHighs from "highs";
import { BOOK, TODAY } from "../../test/skarrowVale.js";

/** The demonstration with so few hours that weeks must be shared. */
const SHORT: Book = {
  ...BOOK,
  people: (BOOK.people ?? []).map((person) => ({ ...person, hoursAWeek: 1.5 })),
  bays: (BOOK.bays ?? []).map((bay) => ({ ...bay, hoursAWeek: 4 })),
};

async function newsOf(book: Book, solver = () => loadHighs()): Promise<FleetNews[]> {
  const all: FleetNews[] = [];
  await findFleetPlan(book, TODAY, solver, (news) => all.push(news));
  return all;
}

const foundIn = (all: readonly FleetNews[]): FleetTold[] =>
  all.flatMap((news) => (news.code === "found" ? [news.told] : []));

test("plans only get better as they are told, from a first one to one the solver knows to be near the least", async () => {
  const all = await newsOf(SHORT);
  const found = foundIn(all);
  const [first] = found;
  const last = found.at(-1);
  if (first === undefined || last === undefined) throw new Error("no plan");
  // The first stands before all ways are known: nothing is said of how good it is.
  expect(first.gap).not.toBe(0);
  expect(all.findIndex(({ code }) => code === "found")).toBeLessThan(
    all.findLastIndex(({ code }) => code === "preparing"),
  );
  const costs = found.map(({ cost }) => cost.sharing);
  for (const [at, cost] of costs.entries()) {
    expect(cost).toBeLessThanOrEqual((costs[at - 1] ?? Infinity) + 1e-6);
  }
  expect(last.gap).toBeLessThanOrEqual(0.0021);
  expect(last.full.length).toBeGreaterThan(0);
  // A week that holds too much says what would free it.
  expect(last.full.some(({ frees }) => frees.length > 0)).toBe(true);
  const hours = (of: "alone" | "planned"): number =>
    last.weeks.reduce((sum, week) => sum + week[of], 0);
  expect(hours("planned")).toBeCloseTo(hours("alone"), 6);
});

test("without the solver what was found stands, and it is said why", async () => {
  const all = await newsOf(SHORT, () => Promise.reject(new Error("no such file")));
  expect(all).toContainEqual({ code: "no-solver", reason: "no such file" });
  const last = all.at(-1);
  expect(last?.code).toBe("found");
  // Nothing of it is said to be the best.
  expect(foundIn(all).at(-1)?.gap).toBeGreaterThan(0);
});

test("with hours enough no machine gives way, and the solver is not asked for", async () => {
  const people = (BOOK.people ?? []).map((person) => ({ ...person, hoursAWeek: 400 }));
  const bays = (BOOK.bays ?? []).map((bay) => ({ ...bay, hoursAWeek: 400 }));
  const solver = jest.fn(() => loadHighs());
  const all = await newsOf({ ...BOOK, people, bays }, solver);
  expect(foundIn(all).at(-1)).toMatchObject({ cost: { sharing: 0 }, gap: 0, full: [] });
  expect(solver).not.toHaveBeenCalled();
});
