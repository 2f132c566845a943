import { rm } from "node:fs/promises";
import { setTimeout } from "node:timers/promises";
import { bookFileText, readBook, type Book } from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import type { Page } from "puppeteer-core";
import { startServing, waitForWords } from "../../e2e/application.js";
import { launchWith, newProfile } from "../../e2e/browser.js";
import { killProcess } from "../../e2e/kills.js";
import { exportedText, giveFile, go, press } from "../../e2e/steps.js";

const SEED = 1729;
const KILLS = 10;
const WITHIN_MS = 900;
/** So many readings come with the file, as one change. */
const ADDED = 2000;
const ADDED_ID = "r-phone-";

/** The book as another device has it that has read a dial every day for years. */
function elsewhere(text: string): string {
  const read = readBook(text);
  if (!read.ok) throw new Error("the export is a sound book");
  const [first] = read.value.readings ?? [];
  if (first === undefined) throw new Error("the book has readings");
  const start = Date.parse("2010-01-01");
  const added = Array.from({ length: ADDED }, (_, at) => ({
    ...first,
    id: `${ADDED_ID}${at}`,
    seq: 90_000 + at,
    date: new Date(start + at * 86_400_000).toISOString().slice(0, 10),
    value: at,
  }));
  const book = { ...read.value, readings: [...(read.value.readings ?? []), ...added] } as Book;
  return bookFileText(book, "Phone", []);
}

/** How many of the readings that came with the file are in the book; throws where it is not sound. */
function addedIn(text: string): number {
  const read = readBook(text);
  if (!read.ok) throw new Error("the book is not sound");
  return (read.value.readings ?? []).filter(({ id }) => id.startsWith(ADDED_ID)).length;
}

async function review(page: Page, address: string, theirs: string): Promise<void> {
  await page.goto(`${address}hand-over`);
  await waitForWords(page, "Choose the other book's file");
  await giveFile(page, "phone.yonderfell.json", theirs);
  await waitForWords(page, "Added:");
}

/** Takes the file in, or takes that back again once it is in, and kills the browser at a moment on the way; answers whether that was said to be done. */
async function killAt(page: Page, isUndo: boolean, afterMs: number): Promise<boolean> {
  const done = isUndo ? "Undone: hand-over" : "taken in from";
  await press(page, "Take it in");
  if (isUndo) {
    await waitForWords(page, "taken in from");
    await go(page, "ledger");
    await page.click("body");
    await page.keyboard.down("Control");
    await page.keyboard.press("z");
    await page.keyboard.up("Control");
  }
  await setTimeout(afterMs);
  return page.evaluate((words) => document.body.innerText.includes(words), done);
}

/** How many of the added readings a browser finds that is started after one was killed on the way, and what that one had said. */
async function trial(
  address: string,
  isUndo: boolean,
  afterMs: number,
): Promise<{ readonly found: number; readonly isSaid: boolean }> {
  const profile = await newProfile();
  try {
    const browser = await launchWith(profile);
    const page = await browser.newPage();
    await page.goto(`${address}demonstration`);
    await page.waitForSelector("[data-strip]");
    await review(page, address, elsewhere(await exportedText(page, address)));
    const isSaid = await killAt(page, isUndo, afterMs);
    await killProcess(browser);
    const next = await launchWith(profile);
    const found = addedIn(await exportedText(await next.newPage(), address));
    await next.close();
    return { found, isSaid };
  } finally {
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  }
}

/** Kills browsers while a book is handed over and while that is taken back, and says whether each is there whole or not at all. */
export async function tryHandOverKills(): Promise<void> {
  const { address, stop } = await startServing();
  const random = seededRandom(SEED);
  const told = { "taken in": 0, "not taken in": 0, "taken back": 0, "not taken back": 0 };
  let wrong = 0;
  try {
    for (let at = 0; at < KILLS; at += 1) {
      const isUndo = at % 2 === 1;
      const { found, isSaid } = await trial(address, isUndo, random() * WITHIN_MS);
      if (isUndo) told[found === 0 ? "taken back" : "not taken back"] += 1;
      else told[found === 0 ? "not taken in" : "taken in"] += 1;
      if ((found !== 0 && found !== ADDED) || (isSaid && found !== (isUndo ? 0 : ADDED))) {
        wrong += 1;
      }
    }
  } finally {
    await stop();
  }
  const outcomes = Object.entries(told).map(([what, times]) => `${what} ${times}`);
  console.log(
    `killed ${KILLS} times in a hand-over of ${ADDED} readings and in taking it back (seed ${SEED}): ${outcomes.join(", ")}; in part, or other than said, ${wrong}${wrong > 0 ? "  BAD" : ""}`,
  );
}
