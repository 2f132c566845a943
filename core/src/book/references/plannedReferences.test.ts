import { bookOf, task } from "../../../test/books.js";
import { visit } from "../../../test/plans.js";
import { readBookData } from "../file/readBook.js";

const tasks = [task("oil", [{ months: 12 }])];

function issuesOf(parts: object): unknown[] {
  const read = readBookData({ ...bookOf({ tasks }), ...parts });
  return read.ok ? [] : [...read.issues];
}

const journey = { id: "j", machine: "van", name: "Fair", date: "2026-12-01", days: 3 };

test("visits and journeys that name what is there are read", () => {
  const visits = [visit("2026-12-02", ["oil"], { without: ["oil"] })];
  const journeys = [journey, { ...journey, id: "k", meter: "odo", amount: 400, load: "heavy" }];
  expect(issuesOf({ visits, journeys })).toEqual([]);
});

test.each([
  [{ visits: [visit("2026-12-02", ["wash"])] }, ["visits", 0, "tasks", 0]],
  [{ visits: [visit("2026-12-02", [], { without: ["wash"] })] }, ["visits", 0, "without", 0]],
  [{ visits: [visit("2026-02-30", ["oil"])] }, ["visits", 0, "date"]],
  [{ visits: [visit("2026-12-02", [], { machine: "bus" })] }, ["visits", 0, "machine"]],
  [{ journeys: [{ ...journey, meter: "hrs", amount: 3 }] }, ["journeys", 0, "meter"]],
  [{ journeys: [{ ...journey, meter: "odo" }] }, ["journeys", 0, "amount"]],
  [{ journeys: [{ ...journey, days: 0 }] }, ["journeys", 0, "days"]],
  [{ journeys: [{ ...journey, machine: "bus" }] }, ["journeys", 0, "machine"]],
  [{ journeys: [{ ...journey, coldest: { value: 3, unit: "km" } }] }, ["journeys", 0, "coldest"]],
])("%j is refused at its place", (parts, path) => {
  expect(issuesOf(parts)).toMatchObject([{ path }]);
});
