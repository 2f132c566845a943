import { fileURLToPath } from "node:url";
import { build } from "esbuild";
import type { Outcome } from "./inBrowser/storageSuite.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
const SUITE = fileURLToPath(new URL("./inBrowser/storageSuite.ts", import.meta.url));

test("the store passes its acceptance suite in Chromium, over the browser's own database", async () => {
  const { page, address } = app();
  const { outputFiles } = await build({
    entryPoints: [SUITE],
    bundle: true,
    write: false,
    format: "iife",
    target: "es2022",
  });
  // The suite is put into the page from outside, which the policy of the page would refuse.
  await page.setBypassCSP(true);
  await page.goto(`${address}health`);
  await page.evaluate(outputFiles[0]?.text ?? "");
  const outcomes = await page.evaluate(() =>
    (globalThis as unknown as { runSuite: () => Promise<Outcome[]> }).runSuite(),
  );
  expect(outcomes.filter((outcome) => outcome.failure !== "")).toEqual([]);
  expect(outcomes.length).toBeGreaterThan(18);
});
