import { bookOf, task } from "../../test/books.js";
import { visit } from "../../test/plans.js";
import { readBookData } from "./readBook.js";

const tasks = [task("oil", [{ months: 12 }])];

function issuesOf(parts: object): unknown[] {
  const read = readBookData({ ...bookOf({ tasks }), ...parts });
  return read.ok ? [] : [...read.issues];
}

test("a visit that names what is there is read", () => {
  expect(issuesOf({ visits: [visit("2026-12-02", ["oil"], { without: ["oil"] })] })).toEqual([]);
});

test.each([
  [{ visits: [visit("2026-12-02", ["wash"])] }, ["visits", 0, "tasks", 0]],
  [{ visits: [visit("2026-12-02", [], { without: ["wash"] })] }, ["visits", 0, "without", 0]],
  [{ visits: [visit("2026-02-30", ["oil"])] }, ["visits", 0, "date"]],
  [{ visits: [visit("2026-12-02", [], { machine: "bus" })] }, ["visits", 0, "machine"]],
])("%j is refused at its place", (parts, path) => {
  expect(issuesOf(parts)).toMatchObject([{ path }]);
});
