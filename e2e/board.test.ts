import type { Page } from "puppeteer-core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, press, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

/** Opens the board as a new tab does. */
async function openBoard(page: Page, address: string): Promise<void> {
  await page.evaluate(() => sessionStorage.clear());
  await page.goto(`${address}ahead`);
  await page.waitForSelector("::-p-aria([name='Grouped by'])");
}

const headings = (page: Page, level: "h2" | "h3"): Promise<string[]> =>
  page.$$eval(`main ${level}`, (all) => all.map((one) => one.textContent));

test("the board is grouped and chosen from, kept as a view, found again after a reload, and taken out", async () => {
  const { page, address } = app();
  await openBoard(page, address);
  await choose(page, "Grouped by", "person");
  await page.waitForFunction(() => document.querySelectorAll("main h3").length > 0);
  expect(await headings(page, "h2")).toEqual(["Edda Thwaite", "Joss Rigg", "Nobody named"]);
  await choose(page, "Shows", "what is due");
  await choose(page, "of", "at Long Shed");
  await page.waitForFunction(() => document.querySelectorAll("main h2").length === 1);
  const shown = await headings(page, "h3");
  await press(page, "Views");
  await write(page, "Keep what is shown now as", "Shed, due");
  await press(page, "Keep");
  await waitForWords(page, "The view “Shed, due” is kept.");
  await openBoard(page, address);
  expect((await headings(page, "h2")).length).toBeGreaterThan(1);
  await press(page, "Views");
  const view = await page.waitForSelector("[role=dialog] li button");
  expect(await wordsOf(page, "[role=dialog]")).toContain("what is due at Long Shed, by person");
  await view?.click();
  await page.waitForFunction(() => document.querySelectorAll("main h2").length === 1);
  expect(await headings(page, "h3")).toEqual(shown);
  await press(page, "Views");
  await press(page, "Take out Shed, due");
  await waitForWords(page, "None is kept yet");
});

test("what was chosen and how far it was scrolled stand after a reload and on the way back", async () => {
  const { page, address } = app();
  await openBoard(page, address);
  await choose(page, "Grouped by", "place");
  await page.waitForFunction(() => document.querySelectorAll("main h3").length > 0);
  const scrolled = (): Promise<number> => page.evaluate(() => window.scrollY);
  const isAt = async (top: number): Promise<void> => {
    await page.waitForFunction((wanted) => Math.abs(window.scrollY - wanted) < 2, {}, top);
  };
  // What is drawn in turn makes the page long enough.
  await page.waitForFunction(() => document.documentElement.scrollHeight > 2000);
  await page.evaluate(() => window.scrollTo(0, 700));
  await isAt(700);
  await page.reload();
  await page.waitForSelector("::-p-aria([name='Grouped by'])");
  await isAt(700);
  expect((await headings(page, "h2")).length).toBeGreaterThan(1);
  expect(await headings(page, "h2")).toContain("Long Shed");
  const left = await scrolled();
  await page.evaluate(() => {
    const links = [...document.querySelectorAll<HTMLElement>("main h3 a")];
    links.find((one) => one.getBoundingClientRect().top > 100)?.click();
  });
  await waitForWords(page, "History");
  // A new place begins at its top.
  expect(await scrolled()).toBe(0);
  await page.goBack();
  await isAt(left);
  expect(await headings(page, "h2")).toContain("Long Shed");
  // What was left at its top is come back to at its top, however far one scrolled meanwhile.
  // By a key, as a person does: until then the page keeps to where it was left, however it grows.
  await page.keyboard.press("Home");
  await isAt(0);
  await page.click("main h3 a");
  await waitForWords(page, "History");
  await page.waitForFunction(() => document.documentElement.scrollHeight > 1200);
  await page.evaluate(() => window.scrollTo(0, 300));
  await isAt(300);
  await page.goBack();
  await isAt(0);
});

test("where nothing fits it says so, with the way to everything", async () => {
  const { page, address } = app();
  await openBoard(page, address);
  await choose(page, "of", "Motorcycle");
  await choose(page, "Shows", "what is due");
  await waitForWords(page, "Nothing of what is asked for is on the board.");
  await press(page, "Show everything");
  await page.waitForSelector("[data-strip='t-bus-oil']");
});

test("the table is put in order by a column, and back", async () => {
  const { page, address } = app();
  await openBoard(page, address);
  await press(page, "Table");
  const first = (): Promise<string> =>
    page.$eval("main tbody tr th", (one) => one.textContent.trim());
  const sortBy = async (column: string, order: "ascending" | "descending"): Promise<void> => {
    await (await page.waitForSelector(`::-p-xpath(//th/button[.='${column}'])`))?.click();
    await page.waitForSelector(`::-p-xpath(//th[@aria-sort='${order}']/button[.='${column}'])`);
  };
  await page.waitForSelector("main tbody tr th");
  const usual = await first();
  await sortBy("Task", "ascending");
  const up = await first();
  await sortBy("Task", "descending");
  expect(up.localeCompare(await first())).toBeLessThan(0);
  await sortBy("State", "ascending");
  expect(await first()).toBe(usual);
  await press(page, "Reach");
});

test("the table goes on paper whole: every row with its reason, within the page", async () => {
  const { page, address } = app();
  await openBoard(page, address);
  await press(page, "Table");
  await page.waitForSelector("main tbody tr th");
  const rows = await page.$$eval("main tbody tr", (all) => all.length);
  await page.emulateMediaType("print");
  await page.evaluate(() => window.dispatchEvent(new Event("beforeprint")));
  const printed = await page.$$eval(".board-print tbody tr", (all) =>
    all.map((row) => ({
      reason: row.lastElementChild?.textContent ?? "",
      right: row.getBoundingClientRect().right - (row.closest("div")?.offsetLeft ?? 0),
    })),
  );
  expect(printed).toHaveLength(rows);
  expect(printed.every(({ right }) => right <= 976)).toBe(true);
  expect(printed[0]?.reason).toMatch(/Every \d+/);
  await page.evaluate(() => window.dispatchEvent(new Event("afterprint")));
  await page.emulateMediaType();
  await page.waitForFunction(() => document.querySelector(".board-print") === null);
  await press(page, "Reach");
});

test("on paper stands every strip, across the page, with the time scale and what the marks mean", async () => {
  const { page, address } = app();
  await openBoard(page, address);
  const strips = await page.$$eval("[data-strip]", (all) => all.length);
  await page.evaluate(() => window.dispatchEvent(new Event("beforeprint")));
  const printed = await page.$$eval(".board-print [data-strip]", (all) => all.length);
  expect(printed).toBe(strips);
  expect(await page.$eval(".board-print", (one) => one.textContent)).toContain("Stones:");
  await page.evaluate(() => window.dispatchEvent(new Event("afterprint")));
  await page.waitForFunction(() => document.querySelector(".board-print") === null);
  const paper = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString("latin1");
  const boxes = paper.match(/MediaBox\s*\[\s*0 0 [\d.]+ [\d.]+/g) ?? [];
  expect(boxes.length).toBeGreaterThan(3);
  for (const box of boxes) {
    const [width = 0, height = 0] = box.split(/\s+/).slice(-2).map(Number);
    expect(width).toBeGreaterThan(height);
  }
});
