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
  // A leading zero or four digits before it: the sign can only stand before decimals.
  ["0,500", ".", 0.5],
  ["0.500", ",", 0.5],
  ["1234,567", ".", 1234.567],
  [",500", ".", 0.5],
  ["1.234,5", ".", 1234.5],
  ["1 234,567", ".", 1234.567],
] as const)("%j with the decimal sign %j is %d", (text, decimal, value) => {
  expect(parseFigure(text, decimal)).toBe(value);
});

test.each([
  "",
  " ",
  "abc",
  "-5",
  "1.2.3",
  "1,2,3",
  "12x",
  "1e5",
  ".",
  "Infinity",
  "10 5",
  "5 2",
  "1 2345",
  "1234 567",
  "1,234.5,6",
  "0,123,456",
])("%j is no figure", (text) => expect(parseFigure(text, ".")).toBeNull());
