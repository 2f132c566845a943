import type {
  FigureDoubt,
  FigureIssue,
  Machine,
  Meter,
  NotCorrectable,
  ReadingLineIssue,
} from "@yonderfell/core";
import { addDays } from "@yonderfell/core";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import {
  correctionIssueWords,
  doubtWordsFor,
  figureIssueWords,
  lineIssueWords,
} from "./readingWords.js";

const plain = (words: string): string => words.replaceAll("\u00a0", " ");
const BUS = BOOK.machines?.find(({ tag }) => tag === "07") as Machine;
const ODOMETER = BUS.meters?.[0] as Meter;

test.each<readonly [ReadingLineIssue, RegExp]>([
  [{ code: "empty" }, /^Type the machine's number/],
  [{ code: "tag-unknown", tag: "99" }, /^No machine has the number 99\.$/],
  [{ code: "tag-ambiguous", tag: "7" }, /More than one machine has the number 7/],
  [{ code: "machine-has-no-meter", machine: BUS }, /^07 Library bus has no meter\.$/],
  [{ code: "unit-unknown", machine: BUS, unit: "mi" }, /has no meter in mi\.$/],
  [{ code: "figure-missing", machine: BUS }, /: now the figure\.$/],
  [{ code: "figure-unreadable", machine: BUS, text: "4x" }, /“4x” is not a figure\.$/],
])("$code: a line says what it lacks", (issue, words) => {
  expect(plain(lineIssueWords(issue))).toMatch(words);
});

const doubt = (code: FigureDoubt["code"]): FigureDoubt =>
  ({
    code,
    against: { day: addDays(TODAY, -3), life: 11000 },
    againstDial: 11000,
  }) as unknown as FigureDoubt;

test.each<readonly [FigureDoubt["code"], string]>([
  ["goes-back", "That is below 11 000 km on 20 Nov 2026."],
  ["above-a-later-one", "That is above the later 11 000 km on 20 Nov 2026."],
  ["impossible-rise", "That is more than the machine can run since 11 000 km on 20 Nov 2026."],
])("%s: what does not agree is told in figures of the dial", (code, words) => {
  expect(plain(doubtWordsFor(doubt(code), ODOMETER))).toBe(words);
});

test.each<readonly [FigureIssue, RegExp]>([
  [{ code: "meter-not-found" }, /no longer has this meter/],
  [{ code: "day-in-future" }, /after today, 23 Nov 2026; choose one that has been/],
  [{ code: "figure-not-a-number" }, /must be a number of 0 or more/],
  [{ code: "figure-in-doubt", doubt: doubt("goes-back") }, /^That is below/],
  [
    { code: "still-in-doubt", doubt: doubt("goes-back") },
    /^Even so: that is below .* Look again at the day/,
  ],
  [{ code: "changed-that-day", day: TODAY }, /a change on 23 Nov 2026 already/],
  [{ code: "change-in-the-way", day: TODAY }, /correct that change first\.$/],
])("%#: what stands in the way of a figure says what to do", (issue, words) => {
  expect(plain(figureIssueWords(issue, ODOMETER, TODAY))).toMatch(words);
  expect(correctionIssueWords(issue, ODOMETER, TODAY)).toBe(
    figureIssueWords(issue, ODOMETER, TODAY),
  );
});

test.each<readonly [NotCorrectable["code"], RegExp]>([
  ["record-not-found", /no longer in the book/],
  ["already-corrected", /correct the record that took its place/],
])("%s: a record that cannot be corrected says why", (code, words) => {
  expect(correctionIssueWords({ code }, ODOMETER, TODAY)).toMatch(words);
});
