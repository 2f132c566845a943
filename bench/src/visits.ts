import {
  dayOf,
  DEFAULT_PLANNING,
  EMPTY_PLATE,
  machineBookOf,
  settingsOf,
  visitsOfMachine,
  type Book,
  type DayNumber,
} from "@yonderfell/core";
import { bookOnPage, type BookOnPage } from "./bookOnPage.js";
import { report } from "./browser.js";
import { largeBook, type BookSize } from "./largeBook.js";
import { medianTimes } from "./median.js";

/** 200 machines of 20 tasks each. */
const SIZE: BookSize = { machines: 200, tasksEach: 20, readingsEach: 150, entriesEach: 50 };
const NOTHING = { visits: [], journeys: [] };
const MOST_PLANNING_MS = 2000;
const MOST_MOVING_MS = 100;
const SETTLE_MS = 1500;
const MOVES = 5;

/** A book whose machines have times for their work and accesses that tasks share. */
function bookToPlan(today: DayNumber): Book {
  const book = largeBook(SIZE, today);
  const tasks = (book.tasks ?? []).map((task, index) => ({
    ...task,
    minutes: 20 + (index % 7) * 15,
    ...(index % 4 === 0 ? { access: index % 8 === 0 ? "belt cover" : "wheels off" } : {}),
  }));
  return { ...book, tasks };
}

/** Measures the planning of 26 weeks for 200 machines: in the core, in the worker, and a visit moved on the page. */
export async function measureVisits(parse: number): Promise<void> {
  const today = dayOf("2026-11-23");
  const book = bookToPlan(today);
  const books = (book.machines ?? []).flatMap(({ id }) => machineBookOf(book, id) ?? []);
  const planning = { ...DEFAULT_PLANNING, weeks: 26 };
  const source = { settings: settingsOf(book), planning, parts: [], products: [], rate: 40 };
  let visits = 0;
  const planAll = (): void => {
    visits = books.reduce(
      (sum, one) => sum + visitsOfMachine(one, EMPTY_PLATE, NOTHING, source, today).visits.length,
      0,
    );
  };
  const [time = 0] = medianTimes([planAll], 3, 1);
  console.log(`visits: ${SIZE.machines} machines, ${visits} visits in ${planning.weeks} weeks`);
  report("planned in the core", time, MOST_PLANNING_MS);
  console.log(`planned in the core: ${(time / parse).toFixed(2)} × JSON.parse of the large book`);
  await bookOnPage(book, onThePage);
}

/** The visits of the book, from pressing the way to them until they are in sight; then one is moved. */
async function onThePage({ page, longestTaskOf }: BookOnPage): Promise<void> {
  await page.evaluate(() => {
    performance.mark("asked");
    document.querySelector<HTMLElement>("a[href='/ahead/visits']")?.click();
  });
  await page.waitForSelector("[data-visit]", { timeout: 60_000 });
  const asked = await page.evaluate(() => {
    const mark = performance.getEntriesByName("asked")[0];
    return performance.now() - (mark?.startTime ?? 0);
  });
  const name = "visits in sight, read from the store and planned in the worker";
  report(name, asked, MOST_PLANNING_MS);
  await page.click("[data-visit]");
  await page.waitForSelector("[role=group][aria-label^='Move it'] button:nth-of-type(2)");
  await page.focus("[role=group][aria-label^='Move it'] button:nth-of-type(2)");
  const moved = await longestTaskOf(async () => {
    for (let move = 0; move < MOVES; move += 1) {
      await page.keyboard.press("ArrowRight");
      await new Promise((resolve) => setTimeout(resolve, SETTLE_MS / MOVES));
    }
  });
  report("a visit moved, cost and ridge: longest task", moved, MOST_MOVING_MS);
}
