import { onceSaved, rebased, settled, type Standing } from "./rebase.js";

interface Facts {
  readonly name: string;
  readonly note: string;
  readonly rows: readonly string[];
}

const BASE: Facts = { name: "Bus", note: "", rows: ["one"] };
const typed = (patch: Partial<Facts>): Standing<Facts> => ({
  model: { ...BASE, ...patch },
  base: BASE,
  clashes: [],
});

test("what was not typed into follows the record, and what was stays", () => {
  const next = { ...BASE, note: "Seen elsewhere" };
  expect(rebased(typed({ name: "Coach" }), next)).toEqual({
    model: { name: "Coach", note: "Seen elsewhere", rows: ["one"] },
    base: next,
    clashes: [],
  });
});

test("a field typed into here and changed elsewhere is to be asked about, unless both say the same", () => {
  const mine = typed({ name: "Coach", rows: ["one", "two"] });
  const next = { ...BASE, name: "Library bus", rows: ["one", "two"] };
  expect(rebased(mine, next).clashes).toEqual(["name"]);
  expect(rebased(mine, next).model.name).toBe("Coach");
});

test("a field that is to be asked about is no more where the record comes to say what is typed, or what it said", () => {
  const asked = rebased(typed({ name: "Coach" }), { ...BASE, name: "Library bus" });
  expect(rebased(asked, { ...BASE, name: "Coach" }).clashes).toEqual([]);
  const again = rebased(asked, { ...BASE, name: "Library bus", note: "More" });
  expect(again.clashes).toEqual(["name"]);
});

test("once it is said which is to stand, that stands and nothing is asked", () => {
  const asked = rebased(typed({ name: "Coach" }), { ...BASE, name: "Library bus" });
  expect(settled(asked, "name", true)).toEqual({ ...asked, clashes: [] });
  expect(settled(asked, "name", false).model.name).toBe("Library bus");
});

test("a field that the form did not have before is as the record says", () => {
  const { rows: _rows, ...older } = BASE;
  const standing = { model: older, base: older, clashes: [] } as unknown as Standing<Facts>;
  expect(rebased(standing, BASE).model).toEqual(BASE);
});

test("a form for the next one is empty once it is saved, but for what was typed meanwhile; another stands as typed", () => {
  const fresh = { name: "", note: "" };
  const saved = { name: "Shed", note: "" };
  const typed = { name: "Shed", note: "typed" };
  expect(onceSaved(saved, saved, fresh)).toEqual({ model: fresh, base: fresh, clashes: [] });
  expect(onceSaved(typed, saved, fresh).model).toEqual({ name: "", note: "typed" });
  expect(onceSaved(typed, saved, null)).toEqual({ model: typed, base: saved, clashes: [] });
});
