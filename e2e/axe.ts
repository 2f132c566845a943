import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Page } from "puppeteer-core";

const source = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

interface AxeWindow {
  axe: { run: () => Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
}

/** What axe finds wrong with the page as it stands, a line each. */
export async function violationsOn(page: Page): Promise<string[]> {
  // Evaluated by the debugger, not inserted as a script: the security policy stays as it is.
  await page.evaluate(source);
  return page.evaluate(async () => {
    const { violations } = await (window as unknown as AxeWindow).axe.run();
    return violations.map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .map((node) => node.html)
          .slice(0, 3)
          .join(" | ")}`,
    );
  });
}
