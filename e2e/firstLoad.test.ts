import { readFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { gzipSync } from "node:zlib";
import { openDemonstration, startApplication, type RunningApplication } from "./application.js";

const ASSETS = fileURLToPath(new URL("../web/dist/assets/", import.meta.url));
const MOST_BYTES = 200_000;

let app: RunningApplication;

beforeAll(async () => {
  app = await startApplication();
});

afterAll(async () => {
  await app.end();
});

test("the script of the first load, worker included, stays under 200 kB compressed", async () => {
  const { page, address } = app;
  const scripts = new Set<string>();
  page.on("request", (request) => {
    const name = request.url().split("/assets/")[1];
    if (name?.endsWith(".js") === true) scripts.add(name);
  });
  await openDemonstration(app);
  scripts.clear();
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  const worker = await page.evaluate(() =>
    performance
      .getEntriesByType("resource")
      .map((entry) => entry.name)
      .find((name) => name.includes("board.worker")),
  );
  scripts.add(worker?.split("/assets/")[1] ?? "the worker was not loaded");
  const sizes = [...scripts].map((name) => gzipSync(readFileSync(`${ASSETS}${name}`)).length);
  expect(scripts.size).toBeGreaterThan(5);
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(MOST_BYTES);
});
