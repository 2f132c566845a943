import { dayOf, type LaidUp } from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../test/skarrowVale.js";
import { idleWords, laidUpSpan } from "./standingWords.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");

test.each<[LaidUp, string]>([
  [
    { months: [1, 2, 3, 11, 12], reason: "off the road in winter" },
    "Nov to Mar (off the road in winter)",
  ],
  [{ months: [6] }, "Jun"],
  [{ months: [8, 6, 12, 1] }, "Jun, Aug, Dec to Jan"],
  [{ months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] }, "all year"],
  [{ from: "2026-12-01", to: "2027-01-31" }, "1 Dec to 31 Jan 2027"],
  [{ from: "2026-10-05" }, "5 Oct on"],
])("the lay-up %j reads %s", (one, words) => {
  expect(plain(laidUpSpan(one, TODAY))).toBe(words);
});

test("the idle days until a date are counted and named, and a machine that runs says nothing", () => {
  const scooter = onTheBoard("m-scooter");
  expect(idleWords({ machine: scooter, today: TODAY }, dayOf("2027-05-01")).map(plain)).toEqual([
    "Laid up Nov to Mar (off the road in winter): 128 idle days until then left out.",
  ]);
  expect(idleWords({ machine: scooter, today: TODAY }, TODAY)).toEqual([]);
  const bus = onTheBoard("m-bus", BOOK);
  expect(idleWords({ machine: bus, today: TODAY }, dayOf("2027-05-01"))).toEqual([]);
});
