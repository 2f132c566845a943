import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { dayOf } from "@yonderfell/core";
import { serve } from "@yonderfell/server";
import type { Page } from "puppeteer-core";
import { startBrowser } from "../../e2e/browser.js";
import { largeBook, type BookSize } from "./largeBook.js";
import { longestTasks, type TraceEvent } from "./trace.js";

/** 1,000 machines, 20,000 tasks, 200,000 entries and some readings. */
export const SIZE: BookSize = { machines: 1000, tasksEach: 20, readingsEach: 20, entriesEach: 200 };
const WEB_FOLDER = fileURLToPath(new URL("../../web/dist", import.meta.url));
const OPENINGS = 5;
const ENTRIES = 9;
const MOST_OPENING_MS = 1500;
const MOST_TASK_MS = 100;
const MOST_MOVE_MS = 200;
/** Has the page think it is the day after; as text, since it runs before anything of the page. */
const TOMORROW = `
  const Now = Date;
  globalThis.Date = new Proxy(Now, {
    construct: (target, args) =>
      args.length === 0 ? new target(target.now() + 86400000) : Reflect.construct(target, args),
  });
`;
const PATIENCE_MS = 300_000;

const median = (times: readonly number[]): number =>
  [...times].sort((one, other) => one - other)[Math.floor(times.length / 2)] ?? 0;

/** Prints a time against what it may be. */
export function report(name: string, ms: number, most: number): void {
  console.log(`${name}: ${ms.toFixed(0)} ms (at most ${most} ms)${ms > most ? "  TOO SLOW" : ""}`);
}

/** Notes in the page when the first strip is there, and when the board is no longer being reckoned. */
function watchBoard(): void {
  new MutationObserver(() => {
    if (performance.getEntriesByName("board in sight").length > 0) return;
    if (document.querySelector("[data-strip]") !== null) performance.mark("board in sight");
  }).observe(document, { childList: true, subtree: true });
}

const isReckoned = (): boolean =>
  document.querySelector("[data-strip]") !== null &&
  document.querySelector("[role=status]")?.textContent !== "reckoning";

async function inSight(page: Page): Promise<number> {
  await page.waitForSelector("[data-strip]", { timeout: PATIENCE_MS });
  return page.evaluate(() => performance.getEntriesByName("board in sight")[0]?.startTime ?? -1);
}

/** Opens the book from its file, as a person does, and waits for its first board. */
export async function keepBook(page: Page, address: string, file: string): Promise<void> {
  await page.goto(`${address}welcome`);
  const input = await page.waitForSelector<"input">("input[type=file]" as "input");
  await input?.uploadFile(file);
  await page.waitForSelector("form button[type=submit]:not([disabled])", { timeout: PATIENCE_MS });
  await page.evaluate(() => {
    const buttons = [...document.querySelectorAll("button")];
    buttons.find((button) => button.textContent.includes("Keep it as a new book"))?.click();
  });
  await page.waitForSelector("[data-strip]", { timeout: PATIENCE_MS });
  await page.waitForFunction(isReckoned, { timeout: PATIENCE_MS });
}

/** Opens the board with the browser's tracing on, until it is reckoned; answers when it was in sight and the longest tasks of the page. */
async function openTraced(
  page: Page,
  address: string,
  trace: string,
): Promise<{ readonly sight: number; readonly longest: readonly number[] }> {
  await page.tracing.start({ path: trace, categories: ["devtools.timeline", "toplevel"] });
  await page.goto(`${address}ahead`);
  const sight = await inSight(page);
  // A person goes on working while it is reckoned behind.
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input");
  await page.keyboard.type("0500 99000");
  await page.keyboard.press("Escape");
  await page.waitForFunction(isReckoned, { timeout: PATIENCE_MS });
  await page.tracing.stop();
  const events = (JSON.parse(readFileSync(trace, "utf8")) as { traceEvents: TraceEvent[] })
    .traceEvents;
  return { sight, longest: longestTasks(events) };
}

/** Logs work in one tab and answers how long after it was said to be saved the strip moved in another. */
async function moveOf(board: Page, log: Page, address: string, round: number): Promise<number> {
  const task = await board.$eval("[data-strip]", (strip) => strip.getAttribute("data-strip") ?? "");
  const machine = task.split("-")[0] ?? "";
  await log.goto(`${address}log/${machine}?task=${task}`);
  await log.waitForSelector(`[data-next='${task}']`, { timeout: PATIENCE_MS });
  await log.type("textarea", `round ${round}`);
  await board.evaluate((id: string) => {
    const { dataset } = document.documentElement;
    delete dataset["movedAt"];
    const before = document.querySelector(`[data-strip='${id}']`)?.textContent;
    new MutationObserver((_changes, watching) => {
      if (document.querySelector(`[data-strip='${id}']`)?.textContent === before) return;
      watching.disconnect();
      dataset["movedAt"] = String(performance.timeOrigin + performance.now());
    }).observe(document, { childList: true, subtree: true, characterData: true });
  }, task);
  const saved = await log.evaluate(
    () =>
      new Promise<number>((resolve) => {
        new MutationObserver((_changes, watching) => {
          if (!document.body.innerText.includes("Saved in the log.")) return;
          watching.disconnect();
          resolve(performance.timeOrigin + performance.now());
        }).observe(document, { childList: true, subtree: true });
        document.querySelector<HTMLButtonElement>("button[type=submit]")?.click();
      }),
  );
  await board.waitForFunction(() => document.documentElement.dataset["movedAt"] !== undefined);
  const moved = await board.evaluate(() => Number(document.documentElement.dataset["movedAt"]));
  return moved - saved;
}

async function measure(page: Page, other: Page, address: string, folder: string): Promise<void> {
  const file = join(folder, "large.yonderfell.json");
  const today = dayOf(new Date().toISOString().slice(0, 10));
  writeFileSync(file, JSON.stringify(largeBook(SIZE, today)));
  await page.evaluateOnNewDocument(watchBoard);
  const started = performance.now();
  await keepBook(page, address, file);
  console.log(
    `browser: ${SIZE.machines} machines, ${SIZE.machines * SIZE.tasksEach} tasks, ${SIZE.machines * SIZE.entriesEach} entries; opened from their file and reckoned in ${((performance.now() - started) / 1000).toFixed(0)} s`,
  );
  const trace = join(folder, "trace.json");
  const openings = [];
  for (let round = 0; round < OPENINGS; round += 1) {
    openings.push(await openTraced(page, address, trace));
  }
  report(
    "board in sight after opening",
    median(openings.map(({ sight }) => sight)),
    MOST_OPENING_MS,
  );
  const longest = openings.map((opening) => opening.longest[0] ?? 0);
  report("longest task of the page while opening", median(longest), MOST_TASK_MS);
  report("  of all openings", Math.max(...longest), MOST_TASK_MS);
  const moves = [];
  await other.goto(`${address}ahead`);
  await page.waitForFunction(isReckoned, { timeout: PATIENCE_MS });
  for (let round = 0; round < ENTRIES; round += 1) {
    moves.push(await moveOf(page, other, address, round));
  }
  report("strip moved after the entry was saved", median(moves), MOST_MOVE_MS);
  report("  slowest", Math.max(...moves), MOST_MOVE_MS);
  await other.close();
  const [first = 0, later = 0] = await findTimes(page);
  console.log(`found: the first time ${first.toFixed(0)} ms, later ${later.toFixed(0)} ms`);
  await nextDay(page, address, trace);
}

/** How long the first search takes, in which the index is made, and a later one. */
async function findTimes(page: Page): Promise<number[]> {
  const times = [];
  for (const words of ["0500 task", "0600 task"]) {
    const started = performance.now();
    await page.keyboard.press("/");
    await page.waitForSelector("[role=dialog] input");
    await page.keyboard.type(words);
    await page.waitForFunction(
      (tag: string) => document.querySelector("[cmdk-item]")?.textContent.startsWith(tag) === true,
      { timeout: PATIENCE_MS },
      words.slice(0, 4),
    );
    times.push(performance.now() - started);
    await page.keyboard.press("Escape");
    await page.waitForSelector("[role=dialog]", { hidden: true });
  }
  return times;
}

/** The book opened the day after: yesterday's board at once, and all of it reckoned behind. */
async function nextDay(page: Page, address: string, trace: string): Promise<void> {
  await page.evaluateOnNewDocument(TOMORROW);
  const started = performance.now();
  const { sight, longest } = await openTraced(page, address, trace);
  report("the day after: board in sight", sight, MOST_OPENING_MS);
  report("the day after: longest task while all is reckoned behind", longest[0] ?? 0, MOST_TASK_MS);
  console.log(
    `the day after: reckoned in ${((performance.now() - started) / 1000).toFixed(1)} s; next longest tasks ${longest
      .slice(1, 5)
      .map((ms) => ms.toFixed(0))
      .join(", ")} ms`,
  );
}

/** Measures the built application with a very large book in headless Chromium, by the browser's own tracing. */
export async function measureBrowser(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-bench-"));
  const serving = await serve({ webFolder: WEB_FOLDER, opensDemonstration: false }, 0);
  const own = await startBrowser();
  try {
    const page = await own.browser.newPage();
    const other = await own.browser.newPage();
    for (const one of [page, other]) {
      await one.setViewport({ width: 1280, height: 800 });
      one.on("pageerror", (error) => console.log(String(error)));
    }
    await page.bringToFront();
    await measure(page, other, serving.address, folder);
  } finally {
    await own.end();
    await serving.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
