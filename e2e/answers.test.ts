import { bookCosts, dayFromParts, formatDay, partsFromDay, type DayNumber } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { go, press, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
let interactions = 0;

function today(): DayNumber {
  const now = new Date();
  return dayFromParts(now.getFullYear(), now.getMonth() + 1, now.getDate());
}

/** One press, or one line with its Enter. */
async function act(doing: Promise<unknown>): Promise<void> {
  await doing;
  interactions += 1;
}

const plain = (text: string): string => text.replaceAll(/[\u00a0\u202f]/g, " ");
const main = async (): Promise<string> => plain(await wordsOf(app().page, "main"));

/** Asked from a page that has nothing to do with it. */
async function fromAnywhere(): Promise<void> {
  await go(app().page, "preferences");
  await waitForWords(app().page, "Theme");
  interactions = 0;
}

/** Finds a machine by a word and goes there: two interactions. */
async function find(words: string, name: string): Promise<void> {
  const { page } = app();
  await act(page.keyboard.press("/"));
  await page.waitForSelector("[role=dialog] input");
  await page.keyboard.type(words);
  await page.waitForSelector(
    `::-p-xpath(//*[@cmdk-item and @data-selected='true' and contains(., '${name}')])`,
  );
  await act(page.keyboard.press("Enter"));
  await waitForWords(page, "Last filled");
}

beforeAll(() => openDemonstration(app()));

test("which oil, how much, and which filter it was last time: in at most three interactions", async () => {
  await fromAnywhere();
  await find("library bus", "Library bus");
  const words = await main();
  expect(words).toMatch(/Engine\s+1[12](\.\d+)? L Fellmaster 15W-40/);
  expect(words).toMatch(/HD 4510/);
  expect(interactions).toBeLessThanOrEqual(3);
});

test("what the gritter takes per 1 000 km: in at most three", async () => {
  await fromAnywhere();
  await find("gritter", "Road gritter");
  expect(await main()).toMatch(/takes 0\.\d+ L per 1 000 km: \d+(\.\d+)? L in \d+ top-ups/);
  expect(interactions).toBeLessThanOrEqual(3);
});

test("what a kilometre of the hatchback cost this year: in at most three, the figure of the command line", async () => {
  const { page } = app();
  await fromAnywhere();
  await act(page.keyboard.press("6"));
  await act(press(page, "Costs"));
  await waitForWords(page, "By machine");
  const { year } = partsFromDay(today());
  const book = demonstrationBook(today());
  const { machines } = bookCosts(book, `${year}-01-01`, formatDay(today()));
  const cost = machines.find(({ id }) => id === "m-hatch");
  if (cost === undefined) throw new Error("the demonstration has a hatchback");
  // In the first days of a year it may have cost nothing yet, and is not listed.
  if (cost.total + cost.missing > 0) {
    const row = plain(await wordsOf(page, "::-p-xpath(//main//tr[contains(., 'Hatchback')])"));
    expect(row.replaceAll(/(\d) (?=\d{3})/g, "$1")).toContain(cost.total.toFixed(2));
    const perKm = cost.meters[0]?.perUnit ?? 0;
    if (perKm > 0) expect(row).toContain(` cr a km over `);
    if (perKm > 0 && perKm < 1) expect(row).toContain(perKm.toFixed(3));
  }
  expect(interactions).toBeLessThanOrEqual(3);
});

test("which findings are open: in one", async () => {
  const { page } = app();
  await fromAnywhere();
  await act(page.keyboard.press("4"));
  await waitForWords(page, "Engine uses oil");
  expect(interactions).toBe(1);
});

test("an oil change with what was planned is logged in four interactions from the board, and shows what it took", async () => {
  const { page } = app();
  await go(page, "ahead");
  await page.waitForSelector("[data-strip='t-bus-oil']");
  interactions = 0;
  await act(page.click("a[aria-label='Log Engine oil and filter on 07']"));
  await waitForWords(page, "What it took");
  await act(press(page, "As planned"));
  await waitForWords(page, "Cost so far");
  await act(press(page, "Save in the log"));
  await waitForWords(page, "Saved in the log.");
  expect(interactions).toBeLessThanOrEqual(4);
  await go(page, "ledger");
  await waitForWords(page, "engine 12.6 L Fellmaster 15W-40 · HD 4510");
  const first = plain(await wordsOf(page, "main [role=rowgroup] [role=row]"));
  expect(first).toMatch(/Engine oil and filter/);
  expect(first).toMatch(/engine 1[12](\.\d+)? L Fellmaster 15W-40/);
});

test("a top-up is two interactions from the machine, and is none of the work due", async () => {
  const { page } = app();
  await go(page, "yard/m-gritter");
  await waitForWords(page, "Last filled");
  interactions = 0;
  await act(press(page, "Top up"));
  await page.waitForSelector("[role=dialog] input");
  await page.keyboard.type("0.4");
  await waitForWords(page, "0.4 L");
  await act(page.keyboard.press("Enter"));
  await waitForWords(page, "Saved. 21 Road gritter: engine +0.4 L");
  expect(interactions).toBe(2);
  await page.keyboard.press("Escape");
  await waitForWords(page, "Topped up 0.4 L");
});

test("a line without a price is one press from giving it one, and then counts", async () => {
  const { page } = app();
  const unpriced = async (): Promise<number> => {
    await go(page, "ledger/costs?span=12-months");
    await waitForWords(page, "By machine");
    const [, lines = "0"] = /(\d+) lines? without a price/.exec(await main()) ?? [];
    return Number(lines);
  };
  const before = await unpriced();
  expect(before).toBeGreaterThan(0);
  await page.waitForSelector("main a[aria-label^='Give a price']");
  await page.click("main a[aria-label^='Give a price']");
  await waitForWords(page, "What it took");
  // Its row stands open: the price is typed and saved.
  const price = await page.waitForSelector(
    "::-p-xpath(//label[contains(., 'Price a ') or contains(., 'Rate an hour') or starts-with(., 'Amount')]//input)",
  );
  await price?.type("5");
  await press(page, "Save the correction");
  await waitForWords(page, "Corrected.");
  expect(await unpriced()).toBe(before - 1);
});

test("the Reckoner opens by its key over any place, answers while one types, and goes by Escape", async () => {
  const { page } = app();
  await go(page, "yard/m-bus/plate");
  await waitForWords(page, "Specified and fitted");
  await page.keyboard.press("k");
  await page.waitForSelector("[role=dialog]");
  await press(page, "What to drain and fill for the frost wanted");
  await write(page, "In it now", "30");
  await write(page, "Wanted", "45");
  await waitForWords(page, "Drain 4.5");
  await page.keyboard.press("Escape");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  expect(app().misdeeds).toEqual({ consoleErrors: [], foreignRequests: [] });
});

test("a logbook tells what stands, in order, and prints without what is pressed", async () => {
  const { page } = app();
  await go(page, "yard/m-gritter/logbook");
  await waitForWords(page, "What was done, and what it took");
  const days = await page.$$eval("main tbody tr td:first-child", (cells) =>
    cells.map((cell) => Date.parse((cell.textContent ?? "").replaceAll("\u00a0", " "))),
  );
  expect(days.length).toBeGreaterThan(20);
  expect(days).toEqual([...days].sort((one, other) => one - other));
  await page.emulateMediaType("print");
  const pressed = await page.$$eval("main :is(button, a, input)", (all) =>
    all.filter((one) => (one as HTMLElement).offsetParent !== null).map((one) => one.textContent),
  );
  await page.emulateMediaType("screen");
  expect(pressed).toEqual([]);
});
