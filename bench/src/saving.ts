import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { dayOf } from "@yonderfell/core";
import type { Page } from "puppeteer-core";
import { waitForWords } from "../../e2e/application.js";
import { go } from "../../e2e/steps.js";
import { bookOnPage, WEB_FOLDER } from "./bookOnPage.js";
import { largeBook, LARGE } from "./largeBook.js";

const SAVES = 15;
/** A save may take so many times as long as without its second trace, or so many milliseconds more. */
const MOST_TIMES = 1.3;
const MOST_MORE_MS = 15;
/** A trace of 200,000 readings and entries may take so much, in megabytes. */
const MOST_MEGABYTES = 15;

/** The application without private files: no second trace is written. */
function withoutTrace(folder: string): string {
  cpSync(WEB_FOLDER, folder, { recursive: true });
  const assets = join(folder, "assets");
  const worker = readdirSync(assets).find((name) => name.startsWith("trace.worker"));
  if (worker === undefined) throw new Error("the application has a worker for its second trace");
  const path = join(assets, worker);
  const text = readFileSync(path, "utf8");
  writeFileSync(path, `delete FileSystemFileHandle.prototype.createSyncAccessHandle;\n${text}`);
  return folder;
}

/** How long one save takes, from the press until it is said to be saved, in milliseconds. */
async function saveOnce(page: Page, at: number): Promise<number> {
  await go(page, `log/m${at}`);
  await waitForWords(page, `Log work: ${String(at).padStart(4, "0")}`);
  const field = await page.waitForSelector("textarea");
  await field?.type(`measured ${at}`);
  await page.waitForSelector("main button[type=submit]:not([disabled])");
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const button = document.querySelector<HTMLButtonElement>("main button[type=submit]");
        const from = performance.now();
        new MutationObserver((_changes, watching) => {
          if (!document.body.innerText.includes("Saved in the log.")) return;
          watching.disconnect();
          resolve(performance.now() - from);
        }).observe(document.body, { childList: true, subtree: true });
        button?.click();
      }),
  );
}

async function medianSave(page: Page): Promise<number> {
  // The first one begins the trace: it is not one of those that follow.
  await saveOnce(page, 1);
  const times: number[] = [];
  for (let at = 2; at < 2 + SAVES; at += 1) times.push(await saveOnce(page, at));
  return times.sort((one, other) => one - other)[Math.floor(SAVES / 2)] ?? 0;
}

/** How many megabytes all traces of a site take. */
function traceMegabytes(page: Page): Promise<number> {
  return page.evaluate(async () => {
    let size = 0;
    const folders = [await navigator.storage.getDirectory()];
    for (let folder = folders.pop(); folder !== undefined; folder = folders.pop()) {
      for await (const handle of folder.values()) {
        if (handle.kind === "directory") folders.push(handle);
        else size += (await handle.getFile()).size;
      }
    }
    return size / 1e6;
  });
}

/** Measures what the second trace of a large book costs: time a save, and room. */
export async function measureSaving(): Promise<void> {
  const book = largeBook(LARGE, dayOf("2026-11-23"));
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-bench-"));
  let [twice, once, megabytes] = [0, 0, 0];
  try {
    await bookOnPage(
      book,
      async ({ page }) => {
        once = await medianSave(page);
      },
      withoutTrace(folder),
    );
    await bookOnPage(book, async ({ page }) => {
      twice = await medianSave(page);
      megabytes = await traceMegabytes(page);
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  const isSlow = twice > once * MOST_TIMES && twice > once + MOST_MORE_MS;
  console.log(
    `a saved entry at 1,000 machines: ${once.toFixed(0)} ms without, ${twice.toFixed(0)} ms with its second trace (${(twice / once).toFixed(2)} times; at most ${MOST_TIMES} times or ${MOST_MORE_MS} ms more)${isSlow ? "  TOO SLOW" : ""}`,
  );
  const isLarge = megabytes > MOST_MEGABYTES;
  console.log(
    `second trace of 200,000 readings and entries: ${megabytes.toFixed(1)} MB (at most ${MOST_MEGABYTES})${isLarge ? "  TOO LARGE" : ""}`,
  );
}
