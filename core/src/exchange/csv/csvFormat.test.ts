import fc from "fast-check";
import { addDays, dayOf, formatDay, partsFromDay } from "../../calendar/dayNumber.js";
import { guardCell, unguardCell } from "./csvCells.js";
import {
  csvUnit,
  readCsvDate,
  readCsvFigure,
  tellDates,
  tellDecimal,
  type DateOrder,
} from "./csvFormat.js";

const DAY = fc
  .integer({ min: 0, max: 36_000 })
  .map((days) => formatDay(addDays(dayOf("1971-01-01"), days)));
const ORDERS: readonly DateOrder[] = ["ymd", "dmy", "mdy"];
const MONTH_NAMES = ["Jan", "February", "mar", "Apr", "May", "June", "Jul", "Aug", "Sept", "Oct"];

/** A date as it is written in an order, with a sign between its parts. */
function written(date: string, order: DateOrder, sign: string, isPadded: boolean): string {
  const { year, month, dayOfMonth } = partsFromDay(dayOf(date));
  const of = (part: number): string => (isPadded ? String(part).padStart(2, "0") : String(part));
  const parts = { y: String(year), m: of(month), d: of(dayOfMonth) };
  return [...order].map((part) => parts[part as "y" | "m" | "d"]).join(sign);
}

test("every date is read in the order it is written in, with any sign and with or without zeros", () => {
  fc.assert(
    fc.property(
      DAY,
      fc.constantFrom(...ORDERS),
      fc.constantFrom(".", "/", "-", " "),
      fc.boolean(),
      fc.constantFrom("", " 10:30", "T23:59:59.999Z", " 1:05 pm"),
      (date, order, sign, isPadded, time) => {
        expect(readCsvDate(written(date, order, sign, isPadded) + time, order)).toBe(date);
      },
    ),
  );
});

test("a date with its month named is read in every order, and two digits are a year up to 2069", () => {
  for (const [index, name] of MONTH_NAMES.entries()) {
    const date = formatDay(dayOf(`2026-${String(index + 1).padStart(2, "0")}-07`));
    for (const order of ORDERS) {
      expect(readCsvDate(`7 ${name} 2026`, order)).toBe(date);
      expect(readCsvDate(`${name} 7, 2026`, order)).toBe(date);
      expect(readCsvDate(`07-${name}-26`, order)).toBe(date);
    }
  }
  expect(readCsvDate("1/2/69", "dmy")).toBe("2069-02-01");
  expect(readCsvDate("1/2/70", "mdy")).toBe("1970-01-02");
});

test.each([
  ["3. 4. 2026", "2026-04-03"],
  ["3rd April 2026", "2026-04-03"],
  ["1st of May 2026", "2026-05-01"],
  ["April 22nd, 2026", "2026-04-22"],
  ["3 Sept. 2026", "2026-09-03"],
] as const)("%s is read as people write it", (text, date) => {
  expect(readCsvDate(text, "dmy")).toBe(date);
});

test.each([
  ["3 junk 2026", "dmy"],
  ["3 maybe 2026", "dmy"],
  ["31.4.2026", "dmy"],
  ["13/13/2026", "mdy"],
  ["29.2.2026", "dmy"],
  ["2026-00-10", "ymd"],
  ["26-1-1", "dmy"],
  ["1/2/3", "dmy"],
  ["1/2/123", "dmy"],
  ["7 Foo 2026", "dmy"],
  ["7 Mar 7 2026", "dmy"],
  ["Mar 2026", "dmy"],
  ["46115", "dmy"],
  ["", "dmy"],
  ["yesterday", "dmy"],
] as const)("%s is no date by %s", (text, order) => {
  expect(readCsvDate(text, order)).toBeNull();
});

test("the order of a table's dates is told where one of them can be read in one order only", () => {
  fc.assert(
    fc.property(
      fc.array(DAY, { minLength: 1, maxLength: 20 }),
      fc.constantFrom("dmy", "mdy" as DateOrder),
      fc.constantFrom(...ORDERS),
      (dates, order, preferred) => {
        const texts = dates.map((date) => written(date, order, "/", false));
        const told = tellDates(texts, preferred);
        const late = dates.some((date) => partsFromDay(dayOf(date)).dayOfMonth > 12);
        // By whichever order it is read that it says, all of the table can be read.
        expect(texts.every((text) => readCsvDate(text, told.value) !== null)).toBe(true);
        if (late) expect(told).toEqual({ value: order, isSure: true });
        const isSame = dates.every((date) => {
          const { month, dayOfMonth } = partsFromDay(dayOf(date));
          return month === dayOfMonth;
        });
        if (!late) expect(told.isSure).toBe(isSame);
      },
    ),
  );
});

test("a figure is read with its thousands and decimals in either way, and with its unit", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 99_999_999 }),
      fc.constantFrom(".", "," as const),
      fc.constantFrom("", " km", "h", " Miles", " hrs."),
      (tenths, decimal, behind) => {
        const [whole = "", tenth = ""] = (tenths / 10).toFixed(1).split(".");
        for (const thousands of ["", "\u00a0", " ", decimal === "." ? "," : "."]) {
          const grouped = whole.replace(/\B(?=(\d{3})+$)/g, thousands);
          const text = `${grouped}${decimal}${tenth}${behind}`;
          const word = behind.replace(".", "").trim();
          expect([text, readCsvFigure(text, decimal)]).toEqual([
            text,
            { value: tenths / 10, unit: csvUnit(word) },
          ]);
        }
      },
    ),
  );
});

test.each(["", "-5", "km", "1.2.3", "5 furlongs", "1e3", "5 6 km km", "∞"])(
  "%j is no figure",
  (text) => {
    expect(readCsvFigure(text, ".")).toBeNull();
  },
);

test.each([
  [["1.5", "2"], ".", true],
  [["1,5", "1.000,25"], ",", true],
  [["1.234.567"], ",", true],
  [["1,234"], ".", false],
  [["1,234", "0.5"], ".", true],
  [["1,5", "0.5"], ".", true],
  [["12", ""], ".", true],
] as const)("the decimal sign of %j is %s, sure: %s", (texts, value, isSure) => {
  expect(tellDecimal(texts, ".")).toEqual({ value, isSure });
});

test("what a cell guards is what it gives back, whatever the text", () => {
  const nasty = fc.string({
    unit: fc.constantFrom("=", "+", "-", "@", "'", "\t", "\r", "a", ";", '"'),
  });
  fc.assert(
    fc.property(fc.oneof(fc.string(), nasty), (text) => {
      const cell = guardCell(text);
      expect(unguardCell(cell)).toBe(text);
      expect(/^[=+\-@\t\r]/.test(cell)).toBe(false);
    }),
  );
});
