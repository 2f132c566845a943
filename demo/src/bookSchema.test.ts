import { readFileSync } from "node:fs";
import { join } from "node:path";
import { Ajv2020, type ValidateFunction } from "ajv/dist/2020.js";
import { bookJsonSchema, dayOf, readBookData } from "@yonderfell/core";
import { demonstrationBook } from "./demonstrationBook.js";

const FILE = join(__dirname, "../../docs/formats/book.schema.json");
const BOOK = demonstrationBook(dayOf("2026-11-23"));

function validator(): ValidateFunction {
  const ajv = new Ajv2020({ allErrors: true, validateFormats: false });
  return ajv.compile(JSON.parse(readFileSync(FILE, "utf8")) as object);
}

test("the schema in the documentation is the one of this program (npm run schema writes it)", () => {
  expect(JSON.parse(readFileSync(FILE, "utf8"))).toEqual(bookJsonSchema());
});

test("an independent validator finds the demonstration book sound by it", () => {
  const validate = validator();
  const isSound = validate(JSON.parse(JSON.stringify(BOOK)));
  expect(validate.errors).toBeNull();
  expect(isSound).toBe(true);
});

const [machine, ...machines] = BOOK.machines ?? [];
const [reading, ...readings] = BOOK.readings ?? [];

test.each([
  ["another format", { ...BOOK, format: "notebook" }, "/format"],
  ["a newer version", { ...BOOK, version: 3 }, "/version"],
  [
    "a machine without a tag",
    { ...BOOK, machines: [{ ...machine, tag: undefined }, ...machines] },
    "/machines/0",
  ],
  [
    "a date in words",
    { ...BOOK, readings: [{ ...reading, date: "3 May" }, ...readings] },
    "/readings/0/date",
  ],
  [
    "a figure in quotes",
    { ...BOOK, readings: [{ ...reading, value: "12" }, ...readings] },
    "/readings/0/value",
  ],
  [
    "a count of changes below 1",
    { ...BOOK, machines: [{ ...machine, revision: { a: 0 } }] },
    "/machines/0/revision",
  ],
])("%s is refused by the schema and by the program alike", (_name, book, place) => {
  const validate = validator();
  const data = JSON.parse(JSON.stringify(book)) as unknown;
  expect(validate(data)).toBe(false);
  expect(validate.errors?.some((error) => error.instancePath.startsWith(place))).toBe(true);
  expect(readBookData(data).ok).toBe(false);
});

test("fields and sections it does not name are left to others", () => {
  const book = {
    ...BOOK,
    shelf: [{ id: "s" }],
    machines: [{ ...machine, colour: "tarn" }, ...machines],
  };
  expect(validator()(JSON.parse(JSON.stringify(book)))).toBe(true);
});
