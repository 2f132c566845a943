import type { Book } from "../book/file/book.js";
import { dayOf } from "../calendar/dayNumber.js";
import { spendingAhead } from "./spendingAhead.js";
import { yearAhead } from "./yearAhead.js";

const TODAY = dayOf("2026-11-15");
const bill = (id: string, date: string, amount: number, rest: object = {}): object => ({
  ...{ id, machine: "bus", date, costs: [{ what: "bill", amount }], ...rest },
});
const BOOK = {
  machines: [{ id: "bus", tag: "07", name: "Bus", kind: "bus" }],
  tasks: [
    {
      ...{ id: "wash", machine: "bus", name: "Wash", minutes: 60 },
      regimes: { handbook: [{ months: 1 }] },
    },
  ],
  people: [{ id: "et", name: "Edda", rate: 40 }],
  entries: [
    bill("too early", "2025-10-31", 900),
    bill("early in the month", "2025-11-01", 3),
    bill("late in the month", "2025-11-30", 4),
    bill("this year", "2026-02-10", 100),
    bill("warranty", "2026-03-10", 500, { warranty: true }),
    bill("last month", "2026-10-20", 10, { tasks: ["wash"] }),
  ],
} as unknown as Book;

test("each month stands beside the whole of that month a year before", () => {
  const { months } = yearAhead(BOOK, TODAY);
  expect(months).toHaveLength(13);
  const [november, december] = months;
  expect(november).toMatchObject({ month: "2026-11", turns: 1, total: 40, yearBefore: 7 });
  expect(december).toMatchObject({ month: "2026-12", turns: 1, yearBefore: 0 });
  expect(months.find(({ month }) => month === "2027-02")?.yearBefore).toBe(100);
  // What came under warranty was not spent.
  expect(months.find(({ month }) => month === "2027-03")?.yearBefore).toBe(0);
});

test("a budget stands beside what the year cost so far, and what it still will", () => {
  expect(yearAhead(BOOK, TODAY)).toMatchObject({ year: "2026", budget: null });
  const budgets = { "2025": 1, "2026": 250 };
  const { budget, months } = yearAhead({ ...BOOK, settings: { budgets } }, TODAY);
  const toCome = months
    .filter(({ month }) => month <= "2026-12")
    .reduce((sum, { total }) => sum + total, 0);
  expect(toCome).toBe(80);
  expect(budget).toEqual({ budget: 250, spent: 110, toCome: 80, left: 60 });
});

test("what it comes to is what the twelve months ahead come to", () => {
  const { sum, waiting } = yearAhead(BOOK, TODAY);
  const ahead = spendingAhead(BOOK, { today: TODAY, until: dayOf("2027-11-14") });
  expect({ sum, waiting }).toEqual({ sum: ahead.sum, waiting: ahead.waiting });
});
