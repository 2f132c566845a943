import type { Finding } from "../book/records/finding.js";
import { foundBefore } from "./foundBefore.js";

const found = (id: string, on: string, more: object = {}): Finding =>
  ({ id, found: on, machine: "m", kind: "Weep", decision: "watch", ...more }) as unknown as Finding;
const NOW = found("f5", "2026-11-30");
const idsOf = (all: Finding[], of = NOW): string[] => foundBefore(all, of).map(({ id }) => id);

test("of the same kind on the same machine in a year, open or closed, the latest first", () => {
  const closed = { closed: { on: "2026-03-01", by: "Edda", how: "new seal" } };
  const all = [
    found("f1", "2025-11-29"),
    found("f2", "2025-11-30", { kind: " weep ", ...closed }),
    found("f3", "2026-06-01", { kind: null, what: "Weep" }),
    found("f4", "2026-06-01", { machine: "other" }),
    found("f6", "2026-07-01", { kind: "play" }),
    found("f7", "2026-12-01"),
    NOW,
  ];
  expect(idsOf(all)).toEqual(["f3", "f2"]);
});

test("of one day the one is before the other and never both; of one round neither is", () => {
  const twin = found("f4", "2026-11-30");
  expect([idsOf([NOW, twin]), idsOf([NOW, twin], twin)]).toEqual([["f4"], []]);
  const walked = { round: "r" };
  expect(idsOf([found("f4", "2026-11-30", walked)], { ...NOW, ...walked } as Finding)).toEqual([]);
});

test("what is called nothing is of no kind", () => {
  const bare = { kind: null, what: null };
  expect(idsOf([found("f1", "2026-10-01", bare)], found("f2", "2026-11-01", bare))).toEqual([]);
});
