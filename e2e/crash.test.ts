import { rm } from "node:fs/promises";
import { fileURLToPath } from "node:url";
import { readBook, type Book } from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import { serve, type Serving } from "@yonderfell/server";
import type { Browser, Page } from "puppeteer-core";
import { waitForWords } from "./application.js";
import { launchWith, newProfile } from "./browser.js";
import { exportedText } from "./steps.js";

const WEB_FOLDER = fileURLToPath(new URL("../web/dist", import.meta.url));
const SEED = 4711;
const KILLS = 30;
const CHANGES_A_ROUND = 2;
/** Saving takes some tens of milliseconds: the moments lie before, within and after it. */
const MOMENTS_WITHIN_MS = 90;
/** A kill takes five seconds on a quiet machine, and twice and thrice that beside other tests. */
const PATIENCE_MS = 900_000;

let serving: Serving;
let profile: string;

beforeAll(async () => {
  serving = await serve({ webFolder: WEB_FOLDER, opensDemonstration: true }, 0);
  profile = await newProfile();
});

afterAll(async () => {
  await serving.stop();
  await rm(profile, { recursive: true, force: true, maxRetries: 5 });
});

/** What a scripted user has done so far. */
interface Diary {
  /** Changes whose save button was pressed. */
  made: number;
  /** Those that were said to be saved before the browser was killed. */
  readonly saved: Set<string>;
}

const noteOf = (change: number): string => `scripted ${change}`;

async function newPage(browser: Browser, diary: Diary): Promise<Page> {
  const [first] = await browser.pages();
  const page = first ?? (await browser.newPage());
  await page.setViewport({ width: 1280, height: 800 });
  await page.exposeFunction("tellSaved", (note: string) => diary.saved.add(note));
  return page;
}

/** Writes a note of work and presses save; what is said to be saved is told as soon as it stands on the page. */
async function change(page: Page, diary: Diary): Promise<void> {
  diary.made += 1;
  const note = noteOf(diary.made);
  await page.goto(`${serving.address}log/m-bus`);
  await page.waitForSelector("textarea");
  await page.click("textarea", { count: 3 });
  await page.keyboard.sendCharacter(note);
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.evaluate((words: string) => {
    new MutationObserver((_changes, watching) => {
      if (!document.body.innerText.includes("Saved in the log.")) return;
      watching.disconnect();
      void (window as unknown as { tellSaved: (note: string) => void }).tellSaved(words);
    }).observe(document.body, { childList: true, subtree: true });
    document.querySelector<HTMLButtonElement>("button[type=submit]")?.click();
  }, note);
}

async function kill(browser: Browser): Promise<void> {
  const child = browser.process();
  if (child === null) throw new Error("the browser runs as a process of this test");
  const gone = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  child.kill("SIGKILL");
  await gone;
}

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** The notes of the scripted user that the book holds, how often each; the book must pass the check. */
function notesIn(text: string): Map<string, number> {
  const read = readBook(text);
  expect(read.ok ? [] : read.issues).toEqual([]);
  const book = (read.ok ? read.value : {}) as Book;
  const notes = new Map<string, number>();
  for (const { note } of book.entries ?? []) {
    if (typeof note !== "string" || !note.startsWith("scripted ")) continue;
    notes.set(note, (notes.get(note) ?? 0) + 1);
  }
  return notes;
}

test(
  "whatever was said to be saved is there after the browser was killed, and the book is sound",
  async () => {
    const random = seededRandom(SEED);
    const diary: Diary = { made: 0, saved: new Set() };
    const lines: string[] = [];
    for (let round = 1; round <= KILLS + 1; round += 1) {
      const browser = await launchWith(profile);
      const page = await newPage(browser, diary);
      if (round === 1) {
        await page.goto(`${serving.address}demonstration`);
        await page.waitForSelector("[data-strip]");
      }
      const found = notesIn(await exportedText(page, serving.address));
      const lost = [...diary.saved].filter((note) => !found.has(note));
      expect(lost).toEqual([]);
      expect([...found.values()].every((times) => times === 1)).toBe(true);
      expect(found.size).toBeLessThanOrEqual(diary.made);
      if (round > 1) lines.push(`${diary.saved.size} said to be saved, ${found.size} found`);
      if (round > KILLS) {
        await browser.close();
        break;
      }
      for (let count = 1; count < CHANGES_A_ROUND; count += 1) {
        await change(page, diary);
        await waitForWords(page, "Saved in the log.");
      }
      await change(page, diary);
      const moment = random() * MOMENTS_WITHIN_MS;
      await wait(moment);
      await kill(browser);
      lines.push(`kill ${round} at ${moment.toFixed(1)} ms after the press`);
    }
    console.log(`crash test, seed ${SEED}, ${diary.made} changes:\n${lines.join("\n")}`);
    expect(diary.made).toBe(KILLS * CHANGES_A_ROUND);
    // The moments must lie on both sides of the save, or the test would prove nothing.
    expect(diary.saved.size).toBeGreaterThan(KILLS);
    expect(diary.saved.size).toBeLessThan(diary.made);
  },
  PATIENCE_MS,
);
