import { rm } from "node:fs/promises";
import { readBook } from "@yonderfell/core";
import type { Browser, Page } from "puppeteer-core";
import { startServing, waitForWords, wordsOf } from "./application.js";
import { launchWith, newProfile } from "./browser.js";
import { killProcess, killTrial, type Moment } from "./kills.js";
import { POURS } from "./pours.js";
import { READINGS } from "./readings.js";
import { exportedText } from "./steps.js";

/** Before, within and after the save; thirty kills at random moments are part of the bench. */
const MOMENTS: readonly Moment[] = [
  "pressed",
  { afterMs: 0 },
  { afterMs: 30 },
  { afterMs: 80 },
  "said to be saved",
];

test("whatever was said to be saved is there after the browser was killed, and the book is sound", async () => {
  const { made, saved, story, ...wrong } = await killTrial(MOMENTS);
  expect({ ...wrong, story }).toEqual({ lost: [], doubled: [], faults: [], story });
  expect(made).toBe(2 * MOMENTS.length);
  // One change a round is waited for, and one more at the last kill; the first kill comes before its save can end.
  expect(saved).toBeGreaterThan(MOMENTS.length);
  expect(saved).toBeLessThan(made);
}, 300_000);

test("no tap of a running job that was shown is lost when the browser is killed, and none counts twice", async () => {
  const moments: readonly Moment[] = ["pressed", { afterMs: 20 }, "said to be saved"];
  const { made, story, ...wrong } = await killTrial(moments, POURS);
  expect({ ...wrong, story }).toMatchObject({ lost: [], doubled: [], faults: [] });
  expect(made).toBe(2 * moments.length);
  expect(wrong.saved).toBeGreaterThan(moments.length);
}, 300_000);

test("no reading of a round under way that was shown is lost when the browser is killed, and none counts twice", async () => {
  const moments: readonly Moment[] = ["pressed", { afterMs: 20 }, "said to be saved"];
  const { made, story, ...wrong } = await killTrial(moments, READINGS);
  expect({ ...wrong, story }).toMatchObject({ lost: [], doubled: [], faults: [] });
  expect(made).toBe(2 * moments.length);
  expect(wrong.saved).toBeGreaterThan(moments.length);
}, 300_000);

const TAKE = "::-p-aria([name='Take the whole plan'])";

/** A fleet plan that is taken, and a browser that is killed so long after that; answers how many visits the book had, has and was to have. */
async function killTaking(
  afterMs: number,
): Promise<readonly [before: number, after: number, all: number]> {
  const { address, stop } = await startServing();
  const profile = await newProfile();
  const visitsIn = async (page: Page): Promise<number> => {
    const read = readBook(await exportedText(page, address));
    if (!read.ok) throw new Error("the book is not sound");
    return (read.value.visits ?? []).length;
  };
  const opened = async (): Promise<readonly [Browser, Page]> => {
    const browser = await launchWith(profile);
    const page = await browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    return [browser, page];
  };
  try {
    const [first, page] = await opened();
    await page.goto(`${address}demonstration`);
    await page.waitForSelector("[data-strip]");
    const before = await visitsIn(page);
    await page.goto(`${address}ahead/fleet`);
    await waitForWords(page, "What the plan changes");
    await page.waitForFunction(() => document.querySelector("main progress") === null);
    const fresh = Number(/(\d+) visits to accept/.exec(await wordsOf(page, "main"))?.[1]);
    await page.$eval(TAKE, (button) => (button as HTMLElement).click());
    await new Promise((resolve) => setTimeout(resolve, afterMs));
    await killProcess(first);
    const [second, again] = await opened();
    const after = await visitsIn(again);
    await second.close();
    return [before, after, before + fresh];
  } finally {
    await stop();
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  }
}

test("a fleet plan that is taken while the browser is killed is in the book whole, or not at all", async () => {
  for (const afterMs of [0, 40]) {
    const [before, after, all] = await killTaking(afterMs);
    expect(all).toBeGreaterThan(before + 10);
    expect([before, all]).toContain(after);
  }
}, 300_000);
