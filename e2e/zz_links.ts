import { startApplication } from "./application.js";
import { onDay } from "./steps.js";
const app = await startApplication();
const { page, address } = app;
await onDay(page, "2026-11-23");
await page.goto(`${address}demonstration`);
await page.waitForSelector("[data-strip]");
const PATHS = process.argv.slice(2);
for (const path of PATHS) {
  await page.goto(`${address}${path}`);
  await new Promise((done) => setTimeout(done, 900));
  const tree = await page.accessibility.snapshot({ interestingOnly: true });
  const names = new Map<string, number>();
  const walk = (node: any): void => {
    if (node.role === "link") names.set(node.name, (names.get(node.name) ?? 0) + 1);
    for (const child of node.children ?? []) walk(child);
  };
  walk(tree);
  const twice = [...names].filter(([, count]) => count > 1);
  console.log(path, await page.title(), JSON.stringify(twice.slice(0, 6)));
}
await app.end();
