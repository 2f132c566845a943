import { fileURLToPath } from "node:url";
import {
  openDemonstration,
  startApplication,
  waitForWords,
  type RunningApplication,
} from "../e2e/application.js";
import { press, write } from "../e2e/steps.js";

const FOLDER = fileURLToPath(new URL("../docs/screenshots/", import.meta.url));

/** One picture of a view, and how to come to it. */
interface Shot {
  readonly name: string;
  readonly path: string;
  readonly wait: string;
  readonly theme?: "night";
  readonly narrow?: boolean;
  readonly then?: (app: RunningApplication) => Promise<void>;
}

const SHOTS: readonly Shot[] = [
  { name: "ahead", path: "ahead", wait: "Grouped by" },
  { name: "today", path: "ahead/today", wait: "and is not logged" },
  {
    name: "visits",
    path: "ahead/visits",
    wait: "All visits ahead",
    then: async ({ page }) => {
      await page.click("[data-visit]");
      await waitForWords(page, "for coming together");
    },
  },
  {
    name: "fleet-plan",
    path: "ahead/fleet",
    wait: "What the plan changes",
    then: async ({ page }) => {
      await page.waitForFunction(() => document.querySelector("main progress") === null);
    },
  },
  { name: "learning", path: "ledger/learning", wait: "How long parts last" },
  { name: "bench", path: "bench", wait: "Finished lately" },
  {
    name: "job",
    path: "bench/m-bus/j-bus",
    wait: "Leave this step out",
    then: async ({ page }) => {
      const steps = "nav[aria-label='Steps']";
      const fill = await page.waitForSelector(
        `${steps} ::-p-xpath(.//button[contains(., 'Fill with')])`,
      );
      await fill?.click();
      await waitForWords(page, "next pour");
    },
  },
  { name: "yard", path: "yard?by=place", wait: "Flail mower" },
  { name: "plan", path: "yard/m-lunch/plan", wait: "own reminders" },
  {
    name: "round",
    path: "rounds/new?machine=m-hatch",
    wait: "every half year",
    then: async ({ page }) => {
      const list = await page.waitForSelector("::-p-xpath(//button[starts-with(., 'Wheels off')])");
      await list?.click();
      await page.waitForSelector("[data-reading] input");
      await page.keyboard.type("6.1");
      await page.keyboard.press("Enter");
      await waitForWords(page, "Read afresh");
    },
  },
  {
    name: "samples",
    path: "rounds/samples/m-carrier/f-carr-oil",
    wait: "What follows",
    then: async ({ page }) => {
      await page.waitForSelector("canvas");
      await page.$eval("#says", (heading) => heading.scrollIntoView());
      await new Promise((resolve) => setTimeout(resolve, 300));
    },
  },
  { name: "report", path: "rounds/report/m-minibus?days=365", wait: "Not looked at" },
  { name: "stores", path: "stores", wait: "worth" },
  { name: "to-buy", path: "stores/buy", wait: "things to buy" },
  { name: "machine", path: "yard/m-bus", wait: "Not as it should be" },
  { name: "service-record", path: "ledger/record/m-bus", wait: "Dials, as they were read" },
  {
    name: "on-time",
    path: "ledger/on-time",
    wait: "By kind",
    then: async ({ page }) => {
      await page.waitForSelector("canvas");
    },
  },
  {
    name: "costs",
    path: "ledger/costs",
    wait: "By machine",
    then: async ({ page }) => {
      await page.waitForSelector("canvas");
    },
  },
  { name: "reckoner", path: "yard/m-bus", wait: "Last filled", then: reckon },
];

/** A coolant that is too weak, on the bus. */
async function reckon({ page }: RunningApplication): Promise<void> {
  await page.keyboard.press("k");
  await page.waitForSelector("[role=dialog]");
  await press(page, "What to drain and fill for the frost wanted");
  await write(page, "Missing now", "1 L");
  await write(page, "In it now", "-16");
  await write(page, "Wanted", "45");
  await waitForWords(page, "Drain");
}

async function take(app: RunningApplication, shot: Shot): Promise<void> {
  const { page, address } = app;
  await page.setViewport(
    shot.narrow === true ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  );
  await page.evaluate((theme: string) => {
    localStorage.setItem("yonderfell-preferences", JSON.stringify({ theme, aheadAs: "reach" }));
  }, shot.theme ?? "day");
  await page.goto(`${address}${shot.path}`);
  await waitForWords(page, shot.wait);
  await page.waitForFunction(() => !document.body.innerText.includes("reckoning"));
  await shot.then?.(app);
  await page.evaluate(async () => {
    await document.fonts.ready;
  });
  await page.screenshot({ path: `${FOLDER}${shot.name}.png` as `${string}.png` });
}

const app = await startApplication();
try {
  await openDemonstration(app);
  const wanted = new Set(process.argv.slice(2));
  for (const shot of SHOTS) if (wanted.size === 0 || wanted.has(shot.name)) await take(app, shot);
} finally {
  await app.end();
}
