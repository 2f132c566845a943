import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Page } from "puppeteer-core";

const source = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

interface AxeWindow {
  axe: {
    run: (options: {
      runOnly?: string[];
    }) => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
  };
}

type Theme = "day" | "night";

/** Shows the page in a theme, as a device that has it asks for it. */
async function inTheme(page: Page, theme: Theme): Promise<void> {
  const value = theme === "night" ? "dark" : "light";
  await page.emulateMediaFeatures([{ name: "prefers-color-scheme", value }]);
  await page.waitForFunction(
    (wanted: string) => document.documentElement.dataset["theme"] === wanted,
    {},
    theme,
  );
}

function violationsBy(page: Page, rules: readonly string[] | null): Promise<string[]> {
  return page.evaluate(
    async (runOnly) => {
      const options = runOnly === null ? {} : { runOnly };
      const { violations } = await (window as unknown as AxeWindow).axe.run(options);
      return violations.map(
        ({ id, nodes }) =>
          `${id}: ${nodes
            .map((node) => node.html)
            .slice(0, 3)
            .join(" | ")}`,
      );
    },
    rules === null ? null : [...rules],
  );
}

/**
 * What axe finds wrong with the page as it stands, a line each: by all its rules in the day theme,
 * and by the rules of colour in the night theme, which differs in nothing else.
 */
export async function violationsOn(page: Page): Promise<string[]> {
  // Evaluated by the debugger, not inserted as a script: the security policy stays as it is.
  const isThere = await page.evaluate(() => "axe" in window);
  if (!isThere) await page.evaluate(source);
  const byDay = await violationsBy(page, null);
  await inTheme(page, "night");
  const atNight = await violationsBy(page, ["color-contrast", "link-in-text-block"]);
  await inTheme(page, "day");
  return [...byDay, ...atNight.map((line) => `at night: ${line}`)];
}
