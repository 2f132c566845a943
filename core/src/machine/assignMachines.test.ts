import { applyChange } from "../book/change/change.js";
import type { PlaceId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import { assignMachines } from "./assignMachines.js";
import { changeOf } from "../../test/changeOf.js";
import { bookOf, VAN } from "../../test/books.js";

const machine = (id: string, more: object = {}): Machine => ({ ...VAN, id, ...more }) as Machine;

test("machines get what they are given in common, and keep the rest", () => {
  const machines = [
    machine("a", { note: "left-hand drive" }),
    machine("b", { place: "barn", person: "ina" }),
    machine("c", { place: "yard" }),
  ];
  const change = changeOf(assignMachines(machines, { place: "yard" as PlaceId }));
  expect(change.records.map(({ id }) => id)).toEqual(["a", "b"]);
  const after = applyChange(bookOf({ machines }), change);
  expect(after.machines).toMatchObject([
    { place: "yard", note: "left-hand drive" },
    { place: "yard", person: "ina" },
    { place: "yard" },
  ]);
});

test("what is taken away, and the usual school, are no change where nothing else was there", () => {
  const machines = [machine("a"), machine("b", { person: "ina", regime: "cautious" })];
  const change = changeOf(assignMachines(machines, { person: null, regime: "handbook" }));
  expect(change.records).toMatchObject([{ id: "b", after: { person: null, regime: "handbook" } }]);
  expect(assignMachines(machines, {})).toEqual({
    ok: false,
    issues: [{ code: "nothing-to-give" }],
  });
});
