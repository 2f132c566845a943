import { createHash } from "node:crypto";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { dayOf, type Book } from "@yonderfell/core";
import { serve } from "@yonderfell/server";
import { strToU8, zipSync, type Zippable } from "fflate";
import type { Page } from "puppeteer-core";
import { startBrowser } from "../../e2e/browser.js";
import { WEB_FOLDER } from "./bookOnPage.js";
import { keepBook, report } from "./browser.js";
import { largeBook } from "./largeBook.js";

const ENTRIES = 1500;
const PICTURES = 100;
const MOST_MS = 5000;
const PATIENCE_MS = 120_000;

/** A picture of a workshop's size that is like no other, as the browser writes it, in base64. */
async function draw(at: number): Promise<string> {
  const canvas = new OffscreenCanvas(1200, 900);
  const context = canvas.getContext("2d");
  if (context === null) throw new Error("nothing to draw on");
  // Bands and specks, so that it weighs what a photograph does.
  for (let x = 0; x < 1200; x += 6) {
    for (let y = 0; y < 900; y += 6) {
      const grey = (x * 7 + y * 13 + at * 31 + ((x * y) % 97) * 2) % 256;
      context.fillStyle = `rgb(${grey} ${(grey * 3) % 256} ${(grey + at) % 256})`;
      context.fillRect(x, y, 6, 6);
    }
  }
  const blob = await canvas.convertToBlob({ type: "image/jpeg", quality: 0.6 });
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = "";
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
}

/** The book of one machine with a picture in each of the first entries, and the pictures beside it, as one file. */
function zipOf(pictures: readonly Buffer[]): Uint8Array {
  const today = dayOf(new Date().toISOString().slice(0, 10));
  const size = { machines: 1, tasksEach: 20, readingsEach: ENTRIES, entriesEach: ENTRIES };
  const book = largeBook(size, today);
  const hashes = pictures.map((bytes) => createHash("sha256").update(bytes).digest("hex"));
  const entries = (book.entries ?? []).map((entry, at) => {
    const hash = hashes[at];
    return hash === undefined ? entry : { ...entry, pictures: [{ hash }] };
  });
  const files: Zippable = {
    "book.yonderfell.json": strToU8(JSON.stringify({ ...book, entries } satisfies Book)),
  };
  pictures.forEach((bytes, at) => {
    files[`pictures/${hashes[at] ?? ""}.jpg`] = [new Uint8Array(bytes), { level: 0 }];
  });
  return zipSync(files);
}

/** How long it takes from a press to the download it makes, and how large that is, in bytes. */
async function downloadBy(page: Page, label: string): Promise<{ ms: number; bytes: number }> {
  return page.evaluate(
    (words) =>
      new Promise<{ ms: number; bytes: number }>((resolve, reject) => {
        const make = URL.createObjectURL.bind(URL);
        const began = performance.now();
        URL.createObjectURL = (file: Blob | MediaSource): string => {
          // Pictures of the page have addresses of this kind too.
          if (file instanceof Blob && file.type === "application/zip") {
            URL.createObjectURL = make;
            resolve({ ms: performance.now() - began, bytes: file.size });
          }
          return make(file);
        };
        const button = [...document.querySelectorAll("button")].find(
          ({ textContent }) => textContent.trim() === words,
        );
        if (button === undefined) reject(new Error(`nothing to press that says ${words}`));
        button?.click();
      }),
    label,
  );
}

/** Measures on its page a service record of 1,500 entries with 100 pictures: until it is made and shown, and until it is packed as one file. */
export async function measureRecordOnPage(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-bench-"));
  const serving = await serve({ webFolder: WEB_FOLDER, opensDemonstration: false }, 0);
  const own = await startBrowser();
  try {
    const page = await own.browser.newPage();
    await page.goto(`${serving.address}health`);
    const pictures: Buffer[] = [];
    for (let at = 0; at < PICTURES; at += 1) {
      pictures.push(Buffer.from(await page.evaluate(draw, at), "base64"));
    }
    const file = join(folder, "bench.yonderfell.zip");
    writeFileSync(file, zipOf(pictures));
    await keepBook(page, serving.address, file);
    await page.goto(`${serving.address}ledger/record/m0`);
    await page.waitForSelector(".record tfoot .digest", { timeout: PATIENCE_MS });
    const shown = await page.evaluate(() => performance.now());
    const { ms, bytes } = await downloadBy(page, "As a file");
    report(
      "a service record of 1,500 entries with 100 pictures, from its address on shown",
      shown,
      MOST_MS,
    );
    report(`the same packed as one file of ${(bytes / 1e6).toFixed(1)} MB`, ms, MOST_MS);
  } finally {
    await own.end();
    await serving.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
