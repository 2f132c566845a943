import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import type { Book } from "@yonderfell/core";
import { serve } from "@yonderfell/server";
import type { Page } from "puppeteer-core";
import { startBrowser } from "../../e2e/browser.js";
import { keepBook } from "./browser.js";
import { longestTasks, type TraceEvent } from "./trace.js";

/** The application as it was built. */
export const WEB_FOLDER = fileURLToPath(new URL("../../web/dist", import.meta.url));

/** A page with a book open on it, and the longest task of the page while something is done on it, in milliseconds. */
export interface BookOnPage {
  readonly page: Page;
  readonly longestTaskOf: (act: () => Promise<void>) => Promise<number>;
}

/** Opens a book in a browser of its own for as long as it is measured. */
export async function bookOnPage(
  book: Book,
  measure: (own: BookOnPage) => Promise<void>,
  webFolder = WEB_FOLDER,
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-bench-"));
  const serving = await serve({ webFolder, opensDemonstration: false }, 0);
  const own = await startBrowser();
  const trace = join(folder, "trace.json");
  try {
    const page = await own.browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    const file = join(folder, "bench.yonderfell.json");
    writeFileSync(file, JSON.stringify(book));
    await keepBook(page, serving.address, file);
    const longestTaskOf = async (act: () => Promise<void>): Promise<number> => {
      await page.tracing.start({ path: trace, categories: ["devtools.timeline", "toplevel"] });
      await act();
      await page.tracing.stop();
      const { traceEvents } = JSON.parse(readFileSync(trace, "utf8")) as {
        traceEvents: TraceEvent[];
      };
      return longestTasks(traceEvents)[0] ?? 0;
    };
    await measure({ page, longestTaskOf });
  } finally {
    await own.end();
    await serving.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
