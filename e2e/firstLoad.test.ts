import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { gzipSync } from "node:zlib";
import { openDemonstration } from "./application.js";
import { usedApplication } from "./usedApplication.js";

const ASSETS = fileURLToPath(new URL("../web/dist/assets/", import.meta.url));
/** Where it may be: 182 kB with version 2 of the book, and what findings take on the board. At most 200 kB are promised. */
const MOST_BYTES = 185_000;

const app = usedApplication();

test("the script needed to see the board, worker included, stays under 185 kB compressed", async () => {
  const { page, address } = app();
  await openDemonstration(app());
  await page.evaluateOnNewDocument(() => {
    const watching = new MutationObserver(() => {
      if (document.querySelector("[data-strip]") === null) return;
      performance.mark("board in sight");
      watching.disconnect();
    });
    watching.observe(document, { childList: true, subtree: true });
  });
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  const fetched = await page.evaluate(() => {
    const seen = performance.getEntriesByName("board in sight")[0]?.startTime ?? Infinity;
    return performance
      .getEntriesByType("resource")
      .filter((entry) => entry.startTime <= seen && entry.name.endsWith(".js"))
      .map((entry) => ({
        name: entry.name.split("/assets/")[1] ?? "",
        bytes: (entry as PerformanceResourceTiming).transferSize,
      }));
  });
  const scripts = [...new Set(fetched.map(({ name }) => name))];
  // What the page and its worker both take is asked for twice and sent once at most.
  const again = fetched.filter(
    ({ name }, at) => fetched.findIndex((one) => one.name === name) < at,
  );
  expect(again.map(({ name, bytes }) => [name.split("-")[0], bytes])).toEqual([["dexie", 0]]);
  const sizes = scripts.map((name) => gzipSync(readFileSync(`${ASSETS}${name}`)).length);
  expect(scripts.some((name) => name.includes("board.worker"))).toBe(true);
  expect(scripts.length).toBeGreaterThan(5);
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(MOST_BYTES);
});
