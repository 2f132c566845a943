import { guessColumns, guessKind } from "./csvGuess.js";

test.each([
  ["machines", "Unit No", "tag"],
  ["machines", "Vehicle type", "kind"],
  ["machines", "Registration", "tag"],
  ["machines", "First registered", "inService"],
  ["machines", "VIN number", "vin"],
  ["readings", "Unit No", "machine"],
  ["tasks", "Last done at km", null],
  ["tasks", "Every (km)", "every"],
  ["entries", "Vehicle number", "machine"],
] as const)("in a table of %s the heading %s is taken for %j", (kind, heading, key) => {
  expect(guessColumns(kind, [heading])).toEqual([key]);
});

test("a number of the house goes before a registration, which is then left out", () => {
  const columns = guessColumns("machines", ["Unit No", "Registration", "Name", "Vehicle type"]);
  expect(columns).toEqual(["tag", null, "name", "kind"]);
  expect(guessKind(["Unit No", "Registration", "Name", "Vehicle type"])).toBe("machines");
});
