import { dayOf } from "@yonderfell/core";
import { bookOnPage, type BookOnPage } from "./bookOnPage.js";
import { report } from "./browser.js";
import { largeBook, type BookSize } from "./largeBook.js";

/** 250 machines of 20 tasks each: 5 000 strips. */
const SIZE: BookSize = { machines: 250, tasksEach: 20, readingsEach: 20, entriesEach: 10 };
const MOST_SCROLLING_MS = 50;
const MOST_CHOOSING_MS = 100;
/** Ten thousand pixels a second: a hard flick. */
const TURNS = 120;
const STEPS = 60;
const TURN_PIXELS = 300;
const A_FRAME_MS = 30;
const SETTLE_MS = 600;

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Measures the reach of 5 000 strips: scrolled, travelled by keys with its reasons open, grouped, and as a table. */
export async function measureBoard(): Promise<void> {
  const book = largeBook(SIZE, dayOf("2026-11-23"));
  console.log(`board: ${book.tasks?.length} strips`);
  await bookOnPage(book, measured);
}

async function measured({ page, longestTaskOf }: BookOnPage): Promise<void> {
  await page.waitForSelector("[data-strip]");
  await page.waitForSelector("select");
  await wait(SETTLE_MS);
  const scroll = async (): Promise<void> => {
    await page.mouse.move(700, 500);
    for (let turn = 0; turn < TURNS; turn += 1) {
      await page.mouse.wheel({ deltaY: TURN_PIXELS });
      await wait(A_FRAME_MS);
    }
  };
  report("reach scrolled: longest task", await longestTaskOf(scroll), MOST_SCROLLING_MS);
  const jump = async (): Promise<void> => {
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    await wait(SETTLE_MS);
    await page.evaluate(() => window.scrollTo(0, 0));
    await wait(SETTLE_MS);
  };
  report("to its end and back: longest task", await longestTaskOf(jump), MOST_SCROLLING_MS);
  await page.focus("[data-strip]");
  await page.keyboard.press("Enter");
  const travel = async (): Promise<void> => {
    for (let step = 0; step < STEPS; step += 1) await page.keyboard.press("ArrowDown");
    await wait(SETTLE_MS);
  };
  report(
    `${STEPS} strips travelled, reasons open: longest task`,
    await longestTaskOf(travel),
    MOST_SCROLLING_MS,
  );
  const choose = (value: string): Promise<number> =>
    longestTaskOf(async () => {
      await page.evaluate((wanted) => {
        const field = [...document.querySelectorAll("select")].find((one) =>
          [...one.options].some((option) => option.value === wanted),
        );
        if (field === undefined) throw new Error(`no choice of ${wanted}`);
        field.value = wanted;
        field.dispatchEvent(new Event("change", { bubbles: true }));
      }, value);
      await wait(SETTLE_MS);
    });
  report("grouped by state: longest task", await choose("state"), MOST_CHOOSING_MS);
  report("only what is due: longest task", await choose("due"), MOST_CHOOSING_MS);
  await choose("all");
  const press = (words: string): Promise<number> =>
    longestTaskOf(async () => {
      await page.click(`::-p-xpath(//button[normalize-space()='${words}'])`);
      await wait(SETTLE_MS);
    });
  report("as a table: longest task", await press("Table"), MOST_CHOOSING_MS);
  report("table in order by task: longest task", await press("Task"), MOST_CHOOSING_MS);
  report("table scrolled: longest task", await longestTaskOf(scroll), MOST_SCROLLING_MS);
}
