import { bookOf, done, read } from "../../test/books.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { Book } from "../book/file/book.js";
import type { MachineId } from "../book/records/ids.js";
import { dayOf } from "../calendar/dayNumber.js";
import { feedBoxes } from "./feedBox.js";

const TODAY = dayOf("2026-06-15");

const boxes = (of: Book): ReturnType<typeof feedBoxes> => {
  const book = machineBookOf(of, "van" as MachineId);
  if (book === null) throw new Error("there is a van");
  return feedBoxes(book, TODAY);
};

test("a box is told what the dial showed a fortnight ago and what was read by hand since, in readings and at work", () => {
  const of = bookOf({
    readings: [
      read("2026-05-22", 1000),
      read("2026-06-03", 1120),
      read("2026-06-05", 1140, { source: "feed" }),
      read("2026-06-09", 9_999_999),
    ],
    entries: [done("e", "2026-06-10", [], { meters: { odo: 1190 } })],
  });
  const [box, ...others] = boxes(of);
  expect(others).toEqual([]);
  expect(box).toMatchObject({ machine: "V1", meter: "odo", unit: "km" });
  // Ten kilometres a day between what was read; the figure that cannot be is left out.
  expect(box?.dial).toEqual([
    { on: "2026-06-01", value: 1100 },
    { on: "2026-06-03", value: 1120 },
    { on: "2026-06-10", value: 1190 },
  ]);
  expect(box?.perDay).toBeCloseTo(10, 0);
});

test("a meter without a figure of a fortnight ago, or that stands still, has none", () => {
  expect(boxes(bookOf({ readings: [read("2026-06-14", 1000)] }))).toEqual([]);
  const van = {
    ...bookOf({}).machines?.[0],
    meters: [{ id: "odo", measure: "distance", unit: "km", stoppedOn: "2026-05-30" }],
  };
  const stopped = bookOf({
    machines: [van],
    readings: [read("2026-05-01", 900), read("2026-05-22", 1000)],
  });
  expect(boxes(stopped)).toEqual([]);
});
