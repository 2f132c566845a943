/** @jest-environment jsdom */
import { draftOf, dropDraft, keepDraft } from "./drafts.js";

const FRESH = { name: "", isOn: false, rows: [{ key: "0", text: "" }], more: { from: "" } };
const MODEL = { ...FRESH, name: "Typed", rows: [{ key: "0", text: "a" }] };
const AT = "2026-11-23T09:00:00.000Z";

beforeEach(() => sessionStorage.clear());

test("what is kept is there again, until it is let go", () => {
  expect(keepDraft("k", { model: MODEL, base: FRESH, clashes: ["name"] }, AT)).toBe(true);
  expect(draftOf("k", FRESH)).toEqual({ model: MODEL, base: FRESH, clashes: ["name"], at: AT });
  dropDraft("k");
  expect(draftOf("k", FRESH)).toBeNull();
});

test.each<[string, unknown]>([
  ["a field is missing", { ...MODEL, more: {} }],
  ["a field is of another kind", { ...MODEL, isOn: "yes" }],
  ["a row has other fields", { ...MODEL, rows: [{ key: "0" }] }],
  ["rows are no rows", { ...MODEL, rows: "a" }],
  ["something is nothing", { ...MODEL, more: null }],
])("what an older version kept is left where %s", (_why, model) => {
  sessionStorage.setItem("k", JSON.stringify({ model, base: FRESH, clashes: [], at: AT }));
  expect(draftOf("k", FRESH)).toBeNull();
});

test("what is no draft at all is left", () => {
  sessionStorage.setItem("k", "{");
  expect(draftOf("k", FRESH)).toBeNull();
});

test("where the tab has no room, it says so", () => {
  jest.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  expect(keepDraft("k", { model: MODEL, base: FRESH, clashes: ["name"] }, AT)).toBe(false);
  jest.restoreAllMocks();
});
