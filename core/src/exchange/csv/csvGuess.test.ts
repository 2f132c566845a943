import type { CsvKind } from "./csvColumns.js";
import { guessColumns, guessKind, type CsvColumns } from "./csvGuess.js";

test.each([
  ["machines", "Unit No", "tag"],
  ["machines", "Vehicle type", "kind"],
  ["machines", "Registration", "registration"],
  ["machines", "Current mileage", "reading"],
  ["machines", "Engine hours", "hours"],
  ["machines", "Responsible", "person"],
  ["machines", "Depot", "place"],
  ["readings", "Reading (h)", "hours"],
  ["tasks", "Interval (hours)", "everyHours"],
  ["tasks", "Interval (km or hours)", "every"],
  ["machines", "First registered", "inService"],
  ["machines", "VIN number", "vin"],
  ["readings", "Unit No", "machine"],
  ["tasks", "Last done at km", null],
  ["tasks", "Every (km)", "every"],
  ["entries", "Vehicle number", "machine"],
] as const)("in a table of %s the heading %s is taken for %j", (kind, heading, key) => {
  expect(guessColumns(kind, [heading])).toEqual([key]);
});

test("distances and hours stand in columns of their own", () => {
  const of = (kind: CsvKind, ...headings: string[]): CsvColumns => guessColumns(kind, headings);
  expect(of("tasks", "Unit No", "Task", "Interval (km)", "Interval (hours)", "Months")).toEqual([
    ...["machine", "name", "every", "everyHours", "months"],
  ]);
  expect(of("readings", "Vehicle", "Date", "Odometer", "Hours")).toEqual([
    ...["machine", "date", "value", "hours"],
  ]);
  expect(guessKind(["Vehicle", "Date", "Hours"])).toBe("readings");
});

test("a number of the house stands beside a registration", () => {
  const columns = guessColumns("machines", ["Unit No", "Registration", "Name", "Vehicle type"]);
  expect(columns).toEqual(["tag", "registration", "name", "kind"]);
  expect(guessKind(["Unit No", "Registration", "Name", "Vehicle type"])).toBe("machines");
});
