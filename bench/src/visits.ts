import {
  dayOf,
  DEFAULT_PLANNING,
  EMPTY_PLATE,
  machineBookOf,
  settingsOf,
  visitsOfMachine,
  type Book,
  type DayNumber,
  type PersonId,
} from "@yonderfell/core";
import { bookOnPage, type BookOnPage } from "./bookOnPage.js";
import { report } from "./browser.js";
import { largeBook, type BookSize } from "./largeBook.js";
import { medianTimes } from "./median.js";
import { measureSharing } from "./sharing.js";

/** 200 machines of 20 tasks each. */
const SIZE: BookSize = { machines: 200, tasksEach: 20, readingsEach: 150, entriesEach: 50 };
const WEEKS = 26;
const NOTHING = { visits: [], journeys: [] };
const MOST_PLANNING_MS = 2000;
const MOST_MOVING_MS = 100;
const SETTLE_MS = 1500;
const MOVES = 5;
/** So few that the week measured holds half as much again. */
const HOURS_A_WEEK = 200;
/** A week into which many machines fall, with room in those around it. */
const FULL_WEEK = 8;

/** A book whose machines have times for their work and accesses that tasks share. */
export function bookToPlan(
  today: DayNumber,
  accessOf: (index: number) => string | undefined,
  machines = SIZE.machines,
): Book {
  const book = largeBook({ ...SIZE, machines }, today);
  const tasks = (book.tasks ?? []).map((task, index) => {
    const access = accessOf(index);
    return { ...task, minutes: 20 + (index % 7) * 15, ...(access === undefined ? {} : { access }) };
  });
  const people = [
    { id: "p-bench" as PersonId, name: "All hands", initials: "AH", hoursAWeek: HOURS_A_WEEK },
  ];
  return { ...book, tasks, people };
}

/** Every fourth task is behind one of two accesses. */
export const someShared = (index: number): string | undefined =>
  index % 4 === 0 ? (index % 8 === 0 ? "belt cover" : "wheels off") : undefined;

const ACCESSES = ["belt cover", "wheels off", "under-tray", "cab tilted"];
/** Every task is behind one of four. */
const allShared = (index: number): string | undefined => ACCESSES[index % ACCESSES.length];

/** How long the visits of all machines take to plan in the core, and how many they are. */
function planningTime(book: Book, today: DayNumber): { time: number; visits: number } {
  const books = (book.machines ?? []).flatMap(({ id }) => machineBookOf(book, id) ?? []);
  const planning = { ...DEFAULT_PLANNING, weeks: WEEKS };
  const source = { settings: settingsOf(book), planning, parts: [], products: [], rate: 40 };
  let visits = 0;
  const planAll = (): void => {
    visits = books.reduce(
      (sum, one) => sum + visitsOfMachine(one, EMPTY_PLATE, NOTHING, source, today).visits.length,
      0,
    );
  };
  const [time = 0] = medianTimes([planAll], 3, 1);
  return { time, visits };
}

/** Measures the planning of 26 weeks for 200 machines: in the core, in the worker, and a visit moved on the page. */
export async function measureVisits(parse: number): Promise<void> {
  const today = dayOf("2026-11-23");
  const book = bookToPlan(today, someShared);
  for (const [name, one] of [
    ["planned in the core", book],
    ["planned in the core, every task behind a shared access", bookToPlan(today, allShared)],
  ] as const) {
    const { time, visits } = planningTime(one, today);
    console.log(`visits: ${SIZE.machines} machines, ${visits} visits in ${WEEKS} weeks`);
    report(name, time, MOST_PLANNING_MS);
    console.log(`${name}: ${(time / parse).toFixed(2)} × JSON.parse of the large book`);
  }
  measureSharing(book, { ...DEFAULT_PLANNING, weeks: WEEKS }, today);
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
  const roomMade = await longestTaskOf(async () => {
    await (await page.$$("[data-week]"))[FULL_WEEK]?.click();
    await page.waitForSelector("section:has(#room) li");
  });
  const over = await page.$eval("section:has(#room)", (room) => [
    room.querySelector("#room")?.textContent,
    room.querySelectorAll("li").length,
  ]);
  console.log(`a week with ${over[0]}: ${over[1]} visits make room`);
  report("a week too full chosen, with what makes room: longest task", roomMade, MOST_MOVING_MS);
}
