import fc from "fast-check";
import { checkDigitOf, vinDoubt } from "./vin.js";

test("the well-known sum of ones has 1 as its check digit", () => {
  expect(vinDoubt("11111111111111111")).toBeNull();
});

test("a remainder of ten is written X", () => {
  const all = Array.from({ length: 200 }, (_, index) =>
    checkDigitOf(`ZZ1AB00000${String(index).padStart(7, "0")}`),
  );
  expect(all).toContain("X");
});

test("spaces, hyphens and small letters do not matter", () => {
  expect(vinDoubt("1111-1111 1111-1111 1")).toBeNull();
});

test.each([
  ["1111111111111111", { code: "not-17-characters", length: 16 }],
  ["1111O111111111111", { code: "letter-never-used", letter: "O", position: 5 }],
  ["1111?111111111111", { code: "not-a-letter-or-digit", character: "?", position: 5 }],
  ["11111111211111111", { code: "check-digit", found: "2", expected: "1" }],
])("%s is doubted", (vin, doubt) => {
  expect(vinDoubt(vin)).toEqual(doubt);
});

const letters = "ABCDEFGHJKLMNPRSTUVWXYZ0123456789";
const anyVin = fc
  .array(fc.constantFrom(...letters), { minLength: 17, maxLength: 17 })
  .map((all) => all.join(""))
  .map((vin) => `${vin.slice(0, 8)}${checkDigitOf(vin)}${vin.slice(9)}`);

test("one mistyped digit is always caught", () => {
  fc.assert(
    fc.property(anyVin, fc.nat(16), fc.integer({ min: 1, max: 9 }), (vin, at, by) => {
      const digit = Number(vin[at]);
      fc.pre(at !== 8 && !Number.isNaN(digit));
      const wrong = `${vin.slice(0, at)}${(digit + by) % 10}${vin.slice(at + 1)}`;
      expect(vinDoubt(vin)).toBeNull();
      expect(vinDoubt(wrong)).toMatchObject({ code: "check-digit" });
    }),
  );
});
