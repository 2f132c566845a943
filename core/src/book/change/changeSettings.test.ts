import { changeSettings } from "./changeSettings.js";

const BEFORE = { dueWithinDays: 5, currency: "cr", somethingElse: 1 };

test("what is set is changed, and all else stays, also what is not known", () => {
  expect(changeSettings(BEFORE, { leadDays: 20, gallons: "imperial" })).toEqual({
    ok: true,
    value: {
      command: "change-settings",
      records: [],
      fields: [
        {
          key: "settings",
          before: BEFORE,
          after: { ...BEFORE, leadDays: 20, gallons: "imperial" },
        },
      ],
    },
  });
});

test.each([
  ["  marks ", "marks"],
  ["   ", null],
])("a currency of %j is kept as %j", (typed, kept) => {
  const change = changeSettings(undefined, { currency: typed });
  expect(change.ok && change.value.fields?.[0]).toEqual({
    key: "settings",
    before: null,
    after: { currency: kept },
  });
});

test.each([
  [{ dueWithinDays: -1 }, "dueWithinDays"],
  [{ leadDays: 2.5 }, "leadDays"],
  [{ staleAfterDays: Number.NaN }, "staleAfterDays"],
])("windows of %j are refused by name", (input, setting) => {
  expect(changeSettings(BEFORE, input)).toEqual({
    ok: false,
    issues: [{ code: "not-whole-days", setting }],
  });
});
