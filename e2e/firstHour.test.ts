import type { Page } from "puppeteer-core";
import { waitForWords, wordsOf } from "./application.js";
import { focused, press, typedDaysAgo, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

/** How a person presses what has a name, and fills in a field. */
interface Hand {
  readonly press: (page: Page, name: string) => Promise<void>;
  readonly write: (page: Page, name: string, words: string) => Promise<void>;
}

const MOUSE: Hand = { press, write };

const FINGER: Hand = {
  press: async (page, name) => {
    const found = await page.waitForSelector(`::-p-aria([name="${name}"])`, { visible: true });
    await found?.tap();
  },
  write: async (page, name, words) => {
    const found = await page.waitForSelector(`::-p-aria([name="${name}"])`, { visible: true });
    await found?.tap();
    // A list of words that stood open takes what comes before it is gone; a finger is slower than that.
    const written = (): Promise<string> =>
      page.evaluate((field) => (field as HTMLInputElement | null)?.value ?? "", found);
    for (let tries = 0; tries < 20 && (await written()) !== words; tries += 1) {
      await found?.evaluate((field) => (field as HTMLInputElement).select());
      await page.keyboard.type(words);
    }
    expect(await written()).toBe(words);
  },
};

/** From an empty book to a due list with a right date for one car; answers how many interactions it took. */
async function firstHour(page: Page, address: string, hand: Hand): Promise<number> {
  await page.goto(`${address}welcome`);
  let interactions = 0;
  const act = async (doing: Promise<unknown>): Promise<void> => {
    await doing;
    interactions += 1;
  };
  await act(Promise.all([page.waitForNavigation(), hand.press(page, "Begin an empty book")]));
  await waitForWords(page, "What falls due on your machines stands here");
  await act(hand.press(page, "Add the first machine"));
  await waitForWords(page, "Fluids of its plate");
  await act(hand.write(page, "Name", "Fell hatchback"));
  await act(hand.write(page, "Kind", "car"));
  await act(hand.write(page, "Shows today", "84350"));
  await act(page.keyboard.press("Enter"));
  await waitForWords(page, "Every 15 000 km or every 12 months, whichever comes first.");
  await act(hand.press(page, "Take 16\u00a0tasks"));
  await waitForWords(page, "Nothing counts as overdue for want of a record.");
  await act(hand.press(page, "Engine oil and filter: records show it"));
  const inField = (): Promise<unknown> =>
    page.evaluate(() => (document.activeElement as HTMLInputElement).type);
  expect(await inField()).toBe("date");
  await act(page.type("main form input[type=date]", typedDaysAgo(20)));
  await act(hand.write(page, "At, in km (empty if not known)", "80350"));
  await act(hand.press(page, "It was done then"));
  await page.waitForFunction(() => !document.body.innerText.includes("It was done then"));
  await page.waitForFunction(() => document.activeElement?.tagName === "LI");
  expect(await focused(page)).toContain("Engine oil and filter");
  await act(hand.press(page, "Ahead"));
  await page.waitForSelector("[data-strip]");
  return interactions;
}

test.each([
  ["a mouse at 1280", { width: 1280, height: 800 }, MOUSE],
  ["a finger at 390", { width: 390, height: 844, hasTouch: true }, FINGER],
] as const)(
  "from an empty book to a due list with a right date for one car in at most twelve interactions, with %s",
  async (by, viewport, hand) => {
    const { page, address } = app();
    await page.setViewport(viewport);
    const interactions = await firstHour(page, address, hand);
    console.log(`From an empty book to a due list, with ${by}: ${interactions} interactions.`);
    expect(interactions).toBeLessThanOrEqual(12);
    const words = await wordsOf(page, "main");
    expect(words).toContain("Engine oil and filter");
    expect(words).not.toContain("overdue");
    await page.setViewport({ width: 1280, height: 800 });
  },
);

test("what is still missing of a machine is said at its field, which takes the focus", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/new`);
  await waitForWords(page, "Fluids of its plate");
  await press(page, "Add the machine");
  await waitForWords(page, "Give it a name.");
  const field = await page.evaluate(() => {
    const { activeElement } = document;
    const told = document.getElementById(activeElement?.getAttribute("aria-describedby") ?? "");
    return [activeElement?.getAttribute("aria-invalid"), told?.textContent];
  });
  expect(field).toEqual(["true", "Give it a name."]);
  await write(page, "Name", "Beck mower");
  await write(page, "Kind", "mower");
  const counts = await page.$$eval("[aria-label='engine hours'] select", ([one]) => one?.value);
  expect(counts).toBe("h");
});

test("keys pressed while a dialog is being fetched belong to it", async () => {
  const { page, address } = app();
  const session = await page.createCDPSession();
  await page.goto(`${address}ledger`);
  await waitForWords(page, "Export the book");
  // What is fetched from now on takes a while.
  await session.send("Network.emulateNetworkConditions", {
    ...{ offline: false, latency: 400, downloadThroughput: -1, uploadThroughput: -1 },
  });
  await page.keyboard.press("r");
  await page.keyboard.type("1 8440x", { delay: 10 });
  await page.keyboard.press("Backspace");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("0");
  const typed = await page.$eval("[role=dialog] input", (input) => input.value);
  expect([typed, new URL(page.url()).pathname]).toEqual(["1 84400", "/ledger"]);
  await session.detach();
});

test("a dialog gives the focus back to what opened it", async () => {
  const { page, address } = app();
  await page.keyboard.press("Escape");
  for (const [path, opener] of [
    ["workshop", "Add a person"],
    ["stores/numbers", "Add a part"],
  ] as const) {
    await page.goto(`${address}${path}`);
    await press(page, opener);
    await page.waitForSelector("[role=dialog]");
    await page.keyboard.press("Escape");
    await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
    // It comes back a moment after the dialog has gone.
    await page.waitForFunction(
      (name: string) => document.activeElement?.textContent === name,
      {},
      opener,
    );
  }
});
