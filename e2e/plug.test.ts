import type { Book } from "@yonderfell/core";
import { serve, type Serving } from "@yonderfell/server";
import type { Page } from "puppeteer-core";
import { WEB_FOLDER, waitForWords, wordsOf } from "./application.js";
import { startContext, type OwnContext } from "./browser.js";
import { exportedText, press } from "./steps.js";

/** When the simulated machine was started, and what its clock says. */
let clock = 0;
let serving: Serving | null = null;
let own: OwnContext;
let page: Page;

const STEP = "[aria-label='Step in hand']";

beforeAll(async () => {
  const plug = { clock: () => clock, codes: ["INSP 2"], every: 50 };
  serving = await serve({ webFolder: WEB_FOLDER, opensDemonstration: true, plug }, 0);
  own = await startContext();
  page = await own.context.newPage();
  await page.setViewport({ width: 390, height: 844 });
  await page.goto(at("demonstration"));
  await page.waitForSelector("[data-strip]");
});

afterAll(async () => {
  await own.end();
  await serving?.stop();
});

const at = (path: string): string => `${serving?.address ?? ""}${path}`;

/** Goes to the step whose level has a window of temperature. */
async function toTheWindow(): Promise<void> {
  await press(page, "The card");
  const step = await page.waitForSelector("::-p-xpath(//button[contains(., 'Idle on the brake')])");
  await step?.click();
  await waitForWords(page, "Idle on the brake", `${STEP} h2`);
}

test("a level at its temperature: by the plug too cold, then open, then too hot, and its codes are raised", async () => {
  await page.goto(at("bench/new?machine=m-ambulance&task=t-amb-box"));
  await waitForWords(page, "Lay out");
  await press(page, "Begin the job");
  await waitForWords(page, "a gate");
  await toTheWindow();
  await waitForWords(page, "The level holds at 35 to 45 °C", STEP);
  await press(page, "Read the plug");
  await waitForWords(page, "too cold", STEP);
  clock = 120_000;
  await waitForWords(page, "open: read the level now", STEP);
  clock = 400_000;
  await waitForWords(page, "too hot", STEP);
  expect(await wordsOf(page)).toContain("Plug, simulated");
  await press(page, "Raise INSP 2");
  await page.waitForSelector("::-p-xpath(//span[starts-with(., 'raised ')])");
  const { entries = [] } = JSON.parse(await exportedText(page, at(""))) as Book;
  expect(entries.at(-1)).toMatchObject({
    machine: "m-ambulance",
    reminders: [{ code: "INSP 2", fact: "raised" }],
  });
});

test("without the server there is no plug, which is said, and a thermometer does as well", async () => {
  await page.goto(at("bench"));
  const job = await page.waitForSelector("::-p-xpath(//a[contains(., 'Automatic gearbox fluid')])");
  await job?.click();
  await waitForWords(page, "a gate");
  await toTheWindow();
  await serving?.stop();
  serving = null;
  await press(page, "Read the plug");
  await waitForWords(page, "No plug answers", STEP);
  await page.locator(`${STEP} section input`).fill("38.5");
  await page.keyboard.press("Enter");
  await waitForWords(page, "open: read the level now", STEP);
  expect(await wordsOf(page, STEP)).toMatch(/38.5\s*°C/);
});
