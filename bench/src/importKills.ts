import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { dayOf } from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import type { Page } from "puppeteer-core";
import { startServing } from "../../e2e/application.js";
import { launchWith, newProfile } from "../../e2e/browser.js";
import { killProcess } from "../../e2e/kills.js";
import { exportedText } from "../../e2e/steps.js";
import { SIZE } from "./browser.js";
import { largeBook } from "./largeBook.js";

const SEED = 815;
const KILLS = 5;
/** From the press on: most of it is the writing. */
const WITHIN_MS = 4500;
const PATIENCE_MS = 120_000;
/** How many records the list of books says a whole one has. */
const WHOLE = `${SIZE.machines} machines, ${SIZE.machines * SIZE.tasksEach} tasks`;

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Chooses a file and presses *Keep it*. */
async function beginToKeep(page: Page, address: string, file: string): Promise<void> {
  await page.goto(`${address}books`);
  const input = await page.waitForSelector<"input">("input[type=file]" as "input");
  await input?.uploadFile(file);
  await page.waitForFunction(
    () => {
      const buttons = [...document.querySelectorAll("button")];
      const keep = buttons.find(({ textContent }) => textContent.includes("Keep it as a new book"));
      keep?.click();
      return keep !== undefined;
    },
    { timeout: PATIENCE_MS },
  );
}

/** What the list of books says of one, without what only groups its figures; empty where it is not there. */
async function listed(page: Page, address: string, name: string): Promise<string> {
  await page.goto(`${address}books`);
  await page.waitForFunction(() => document.querySelectorAll("main li:has(button)").length > 0, {
    timeout: PATIENCE_MS,
  });
  await page.waitForFunction(
    () =>
      [...document.querySelectorAll("main li:has(button)")].every((row) =>
        /record|task|nothing/i.test(row.textContent),
      ),
    { timeout: PATIENCE_MS },
  );
  const rows = await page.$$eval("main li:has(button)", (all) => all.map((row) => row.textContent));
  const row = rows.find((words) => words.startsWith(name)) ?? "";
  return row.replaceAll(/(\d)[\s\u00a0\u202f,](?=\d)/g, "$1").replaceAll("\u00a0", " ");
}

/** Kills browsers while a large file is kept, and says whether each book is there whole or not at all, and the one before it as it was. */
export async function tryImportKills(): Promise<void> {
  const { address, stop } = await startServing();
  const profile = await newProfile();
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-bench-"));
  const random = seededRandom(SEED);
  const text = JSON.stringify(largeBook(SIZE, dayOf("2026-11-23")));
  let [whole, none, wrong] = [0, 0, 0];
  try {
    let browser = await launchWith(profile);
    let page = await browser.newPage();
    await page.goto(`${address}demonstration`);
    await page.waitForSelector("[data-strip]");
    const expected = await exportedText(page, address);
    for (let trial = 0; trial < KILLS; trial += 1) {
      const name = `trial ${trial}`;
      const file = join(folder, `${name}.yonderfell.json`);
      writeFileSync(file, text);
      await beginToKeep(page, address, file);
      await wait(random() * WITHIN_MS);
      await killProcess(browser);
      browser = await launchWith(profile);
      page = await browser.newPage();
      const words = await listed(page, address, name);
      if (words === "") none += 1;
      else if (words.includes(WHOLE)) whole += 1;
      else wrong += 1;
      await page.goto(`${address}demonstration`);
      await page.waitForSelector("[data-strip]");
      if ((await exportedText(page, address)) !== expected) wrong += 1;
    }
    await browser.close();
  } finally {
    await stop();
    rmSync(folder, { recursive: true, force: true });
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  }
  console.log(
    `killed ${KILLS} times while a file of ${(text.length / 1e6).toFixed(0)} MB was kept (seed ${SEED}): ${none} times it is not there, ${whole} times whole; in part, or the other book not as it was, ${wrong}${wrong > 0 ? "  BAD" : ""}`,
  );
}
