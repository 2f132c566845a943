import { parseFigure } from "./parseFigure.js";

test.each([
  ["41350", ".", 41350],
  ["41 350", ".", 41350],
  ["41,350", ".", 41350],
  ["41.350", ".", 41.35],
  ["41.350", ",", 41350],
  ["41,350", ",", 41.35],
  ["1,234,567.5", ".", 1234567.5],
  ["4,5", ".", 4.5],
  ["4,5", ",", 4.5],
  ["1'286.5", ".", 1286.5],
  ["0", ".", 0],
] as const)("%j with the decimal sign %j is %d", (text, decimal, value) => {
  expect(parseFigure(text, decimal)).toBe(value);
});

test.each(["", " ", "abc", "-5", "1.2.3", "1,2,3", "12x", "1e5", ".", "Infinity"])(
  "%j is no figure",
  (text) => expect(parseFigure(text, ".")).toBeNull(),
);
