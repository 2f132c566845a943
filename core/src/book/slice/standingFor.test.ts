import { standingFor } from "./currentRecords.js";

const entry = (id: string, more: object = {}) => ({ id, date: "2026-11-30", ...more });

test("what a record has become through its corrections; nothing where the last is void, or it is not there", () => {
  const records = [
    entry("a"),
    entry("c", { replaces: "b" }),
    entry("b", { replaces: "a" }),
    entry("d"),
    entry("e", { replaces: "d", void: true }),
  ];
  expect(standingFor(records, "a")?.id).toBe("c");
  expect(standingFor(records, "c")?.id).toBe("c");
  expect(standingFor(records, "d")).toBeNull();
  expect(standingFor(records, "gone")).toBeNull();
});

test("records that replace each other in a ring end", () => {
  const ring = [entry("a", { replaces: "b" }), entry("b", { replaces: "a" })];
  expect(standingFor(ring, "a")?.id).toMatch(/[ab]/);
});
