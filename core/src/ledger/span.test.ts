import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { spanName, spanOf } from "./span.js";

const TODAY = dayOf("2026-11-23");
const NO_DAYS = { from: "", to: "" };

test.each([
  ["this-year", "2026-01-01", "2026-11-23"],
  ["12-months", "2025-11-24", "2026-11-23"],
  ["last-year", "2025-01-01", "2025-12-31"],
] as const)("%s goes from %s to %s", (name, from, to) => {
  const span = spanOf(name, TODAY, NO_DAYS);
  expect(span === null ? null : [formatDay(span.from), formatDay(span.to)]).toEqual([from, to]);
});

test.each([
  [{ from: "2026-02-01", to: "2026-02-01" }, true],
  [{ from: "2026-02-02", to: "2026-02-01" }, false],
  [{ from: "", to: "2026-02-01" }, false],
])("the days %j are a span: %s", (typed, is) => {
  expect(spanOf("days", TODAY, typed) !== null).toBe(is);
});

test("an address that asks for no span that is known asks for this year", () => {
  expect([spanName(null), spanName("ever"), spanName("all")]).toEqual([
    ...["this-year", "this-year", "all"],
  ]);
});
