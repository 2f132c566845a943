import { limitOf, type LimitRecord } from "@yonderfell/core";
import { ruleWords } from "./ruleWords.js";

const rule = (record: LimitRecord): string =>
  ruleWords(limitOf(record), () => "km").replaceAll("\u00a0", " ");
const WORN = { checklist: "week", check: "pad", meter: "odo" };

test.each([
  [{ meter: "odo", at: [1000], every: 15000 }, "at 1 000 km, then every 15 000 km"],
  [{ months: 12, for: ["mineral"] }, "every 12 months with mineral"],
  [{ ...WORN, limit: 3 }, "when rounds measure 3 of its check"],
  [{ ...WORN, point: "left", limit: 1.6 }, "when rounds measure 1.6 of its check, left"],
])("the rule %j reads: %s", (record, expected) => {
  expect(rule(record as unknown as LimitRecord)).toBe(expected);
});
