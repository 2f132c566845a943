import { reckonBoard, type Book } from "@yonderfell/core";
import { BOOK, TODAY } from "../../../test/skarrowVale.js";
import { summarise } from "./summary.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");

/** The demonstration book with only some of its tasks. */
function withTasks(...ids: string[]): Book {
  return { ...BOOK, tasks: (BOOK.tasks ?? []).filter((task) => ids.includes(task.id)) };
}

const summaryOf = (book: Book): ReturnType<typeof summarise> =>
  summarise(reckonBoard(book, TODAY), TODAY);

test("the whole yard: how much presses, where to begin and why, what comes after", () => {
  const summary = summaryOf(BOOK);
  expect(summary.counts).toBe("Five are overdue, ten are due.");
  expect(summary.first?.task.task.name).toBe("Brake fluid");
  expect(summary.reason).toBe("5 weeks over".replace(" ", "\u00a0"));
  expect(plain(summary.next)).toBe(
    "After these: safety gates and stop lines, before the season on 33, about 1 Dec.",
  );
});

test.each([
  [["t-bus-brake-fluid"], "One is overdue.", "5 weeks over"],
  [["t-bus-lift"], "One is due.", "due 29 Nov"],
  [["t-bus-lift", "t-hatch-test"], "Two are due.", "due 27 Nov"],
])("with %j: %s", (tasks, counts, reason) => {
  const summary = summaryOf(withTasks(...tasks));
  expect(summary.counts).toBe(counts);
  expect(plain(summary.reason)).toBe(reason);
});

test("with nothing due there is nowhere to begin, only what comes next", () => {
  const summary = summaryOf(withTasks("t-bus-cabin", "t-bus-coolant"));
  expect(summary.counts).toBe("Nothing is due.");
  expect(summary.first).toBeNull();
  expect(plain(summary.next)).toContain("cabin filter on 07, about 27 Mar");
});
