import { bookOf, task } from "../../test/books.js";
import { visit } from "../../test/plans.js";
import { readBookData } from "./readBook.js";

const tasks = [task("oil", [{ months: 12 }])];
const journey = { id: "j", machine: "van", name: "Fair", date: "2026-12-01", days: 3 };

function issuesOf(parts: object): unknown[] {
  const read = readBookData({ ...bookOf({ tasks }), ...parts });
  return read.ok ? [] : [...read.issues];
}

test("visits and journeys that name what is there are read", () => {
  const visits = [visit("2026-12-02", ["oil"], { journey: "j" })];
  const journeys = [{ ...journey, meter: "odo", amount: 400, load: "heavy" }];
  expect(issuesOf({ visits, journeys })).toEqual([]);
});

test.each([
  [{ visits: [visit("2026-12-02", ["wash"])] }, ["visits", 0, "tasks", 0]],
  [{ visits: [visit("2026-12-02", [], { without: ["wash"] })] }, ["visits", 0, "without", 0]],
  [{ visits: [visit("2026-12-02", ["oil"], { journey: "j" })] }, ["visits", 0, "journey"]],
  [{ visits: [visit("2026-12-02", [], { machine: "bus" })] }, ["visits", 0, "machine"]],
  [{ journeys: [{ ...journey, meter: "hrs", amount: 3 }] }, ["journeys", 0, "meter"]],
  [{ journeys: [{ ...journey, meter: "odo" }] }, ["journeys", 0, "amount"]],
  [{ journeys: [{ ...journey, days: 0 }] }, ["journeys", 0, "days"]],
])("%j is refused at its place", (parts, path) => {
  expect(issuesOf(parts)).toMatchObject([{ path }]);
});
