import { dayOf } from "@yonderfell/core";
import { holidaysOf } from "./holidays.js";

const TODAY = dayOf("2026-11-23");

const calendarOf = (...events: readonly (readonly string[])[]): string =>
  [
    ...["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Skarrow Vale//Days off//EN"],
    ...events.flatMap((lines, at) => [
      ...["BEGIN:VEVENT", `UID:e${at}@vale`, "DTSTAMP:20260101T000000Z"],
      ...lines,
      "END:VEVENT",
    ]),
    "END:VCALENDAR",
    "",
  ].join("\r\n");

test("whole days are taken, the last one included; what is past is left out, and hours are told", () => {
  const text = calendarOf(
    ["DTSTART;VALUE=DATE:20261225", "DTEND;VALUE=DATE:20261227", "SUMMARY:Midwinter"],
    ["DTSTART;VALUE=DATE:20261130", "SUMMARY:Beacon day"],
    ["DTSTART;VALUE=DATE:20261101", "DTEND;VALUE=DATE:20261102", "SUMMARY:Past"],
    ["DTSTART:20261130T090000Z", "DTEND:20261130T100000Z", "SUMMARY:Talk"],
    ["DTSTART;VALUE=DATE:20261120", "DTEND;VALUE=DATE:20261124"],
  );
  expect(holidaysOf(text, TODAY)).toEqual({
    days: [
      { from: "2026-11-20", to: "2026-11-23", reason: null },
      { from: "2026-11-30", to: "2026-11-30", reason: "Beacon day" },
      { from: "2026-12-25", to: "2026-12-26", reason: "Midwinter" },
    ],
    timed: 1,
  });
});

test("what comes round is taken for two years, without the days excepted", () => {
  const text = calendarOf([
    ...["DTSTART;VALUE=DATE:20200501", "DTEND;VALUE=DATE:20200502", "RRULE:FREQ=YEARLY"],
    ...["EXDATE;VALUE=DATE:20270501", "SUMMARY:May day"],
  ]);
  expect(holidaysOf(text, TODAY)?.days.map(({ from }) => from)).toEqual(["2028-05-01"]);
});

test("of what comes round each day the next are taken, and what was called off is none", () => {
  const daily = ["DTSTART;VALUE=DATE:20250101", "RRULE:FREQ=DAILY", "SUMMARY:Shut"];
  const days = holidaysOf(calendarOf(daily), TODAY)?.days ?? [];
  expect([days.length, days[0]?.from]).toEqual([200, "2026-11-23"]);
  const off = ["DTSTART;VALUE=DATE:20261225", "STATUS:CANCELLED", "SUMMARY:Fair"];
  expect(holidaysOf(calendarOf(off), TODAY)?.days).toEqual([]);
});

test("a file that is no calendar is none", () => {
  expect(holidaysOf("day;reason", TODAY)).toBeNull();
  expect(holidaysOf("BEGIN:VCARD\r\nVERSION:4.0\r\nFN:X\r\nEND:VCARD\r\n", TODAY)).toBeNull();
});
