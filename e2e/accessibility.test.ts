import {
  openDemonstration,
  startApplication,
  waitForWords,
  type RunningApplication,
} from "./application.js";
import { violationsOn } from "./axe.js";

let app: RunningApplication;

beforeAll(async () => {
  app = await startApplication();
  await openDemonstration(app);
});

afterAll(async () => {
  await app.end();
});

const SCREENS: readonly (readonly [string, string, string])[] = [
  ["Ahead", "ahead", "Two are overdue"],
  ["Yard", "yard", "Flail mower"],
  ["a machine", "yard/m-bus", "History"],
  ["log work", "log/m-bus?task=t-bus-oil", "Save in the log"],
  ["correcting a reading", "correct/m-hatch/readings/r-h1-odo-412", "Save the correction"],
  ["correcting a meter change", "correct/m-bus/meterChanges/c-07-odo", "Save the correction"],
  ["Ledger", "ledger", "The log"],
  ["welcome", "welcome", "Open the demonstration book"],
];

describe.each(["day", "night"] as const)("in the %s theme", (theme) => {
  beforeAll(async () => {
    await app.page.goto(`${app.address}ahead`);
    await app.page.evaluate((chosen: string) => {
      localStorage.setItem("yonderfell-preferences", JSON.stringify({ theme: chosen }));
    }, theme);
  });

  test.each(SCREENS)("axe finds nothing wrong with %s", async (_, path, words) => {
    await app.page.goto(`${app.address}${path}`);
    await waitForWords(app.page, words);
    expect(await violationsOn(app.page)).toEqual([]);
    expect(await app.page.$eval("html", (html) => html.dataset["theme"])).toBe(theme);
  });

  test("axe finds nothing wrong with the reasons, the table, and reading a meter", async () => {
    const { page } = app;
    await page.goto(`${app.address}ahead`);
    await page.waitForSelector("[data-strip='t-bus-oil']");
    await page.click("[data-strip='t-bus-oil']");
    await waitForWords(page, "By the handbook intervals.");
    expect(await violationsOn(page)).toEqual([]);
    await page.click("[aria-label='Show as'] button:nth-child(2)");
    await page.waitForSelector("table");
    expect(await violationsOn(page)).toEqual([]);
    await page.click("[aria-label='Show as'] button:nth-child(1)");
    await page.keyboard.press("r");
    await page.waitForSelector("[role=dialog] input");
    await page.keyboard.type("07 3");
    await waitForWords(page, "Which is it?");
    expect(await violationsOn(page)).toEqual([]);
    await page.keyboard.press("Escape");
  });
});
