import { openDemonstration } from "./application.js";
import { go } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

const ADDRESSES = [
  ...["ahead", "ahead/today", "ahead/visits", "ahead/fleet", "ahead/journeys", "yard"],
  "yard/readings",
  ...["yard/new", "yard/m-bus", "yard/m-bus/plan", "yard/m-bus/plan/task/new"],
  ...["yard/m-bus/plan/task/t-bus-oil", "yard/m-bus/plan/take", "yard/m-bus/plan/schools"],
  ...["yard/m-lorry/plan/baseline", "yard/m-bus/plan/ladder", "yard/m-bus/plate"],
  ...["yard/m-bus/meters", "yard/m-bus/parts", "yard/m-bus/card", "yard/m-bus/facts", "log/m-bus"],
  ...[
    "bench",
    "bench/new?machine=m-bus&task=t-bus-oil",
    "bench/m-bus/j-bus",
    "bench/m-bus/j-bus/card",
    "bench/ways",
  ],
  ...["rounds", "rounds/new?machine=m-bus", "rounds/m-post/n-18-1", "rounds/m-gritter/n-21-5"],
  ...["rounds/findings", "rounds/checklists", "rounds/checklists/cl-bonnet"],
  ...["rounds/samples", "rounds/samples/m-carrier/f-carr-oil", "rounds/report/m-minibus"],
  ...["rounds/samples/new?machine=m-carrier", "yard/m-hatch/plan/task/t-hatch-pads"],
  "rounds/m-post/n-18-1?at=%5B%22k-volts%22%2Cnull%5D",
  ...["yard/minutes", "ahead/today?on=2030-01-07"],
  ...["stores", "stores/buy", "stores/count", "stores/orders", "stores/orders/or-1"],
  ...["stores/orders/new", "stores/waste", "stores/quotes", "stores/quote/m-mower/v-mower"],
  ...["stores/numbers", "stores/labels", "stores/waste/year"],
  ...["ledger", "ledger/costs?span=12-months", "ledger/ahead", "ledger/on-time"],
  ...["ledger/learning", "ledger/learning?machine=m-mower"],
  ...["ledger/record/m-hatch", "ledger/warranty/m-hatch"],
  ...["workshop", "books", "hand-over", "preferences", "tables", "welcome"],
];
const LEAST_TARGET = 44;
const LEAST_TEXT = 16;
const QUIET_MS = 300;

/** What of a page does not fit its width, is too small for a finger, or has a phone zoom in. */
function faultsOf(least: number, leastText: number): string[] {
  const faults: string[] = [];
  const { scrollWidth, clientWidth } = document.documentElement;
  if (scrollWidth > clientWidth) faults.push(`${scrollWidth - clientWidth} px too wide`);
  const pressed = "a, button, input, select, textarea, summary, [role=checkbox], [role=radio]";
  for (const one of document.querySelectorAll<HTMLElement>(pressed)) {
    const own = one.getBoundingClientRect();
    // What is there for readers only, or folded away.
    if (own.width <= 1 || own.height <= 1) continue;
    const isTick = one.matches("[type=checkbox], [type=radio], [role=checkbox], [role=radio]");
    const target = (isTick ? (one.closest("label") ?? one) : one).getBoundingClientRect();
    const name = one.getAttribute("aria-label") ?? one.textContent.slice(0, 30);
    if (target.height < least - 0.5) faults.push(`${target.height} px high: ${name}`);
    const isWritten = one.matches("select, textarea, input:not([type=file])") && !isTick;
    const size = parseFloat(getComputedStyle(one).fontSize);
    if (isWritten && size < leastText) faults.push(`${size} px text: ${one.outerHTML}`);
  }
  return faults;
}

/** Waits until nothing of the page has changed for a while: until what is fetched after the first sight is drawn. */
function quiet(forMs: number): Promise<void> {
  return new Promise((resolve) => {
    const done = (): void => {
      observer.disconnect();
      resolve();
    };
    let timer = setTimeout(done, forMs);
    const observer = new MutationObserver(() => {
      clearTimeout(timer);
      timer = setTimeout(done, forMs);
    });
    observer.observe(document.body, { subtree: true, childList: true, attributes: true });
  });
}

interface Look {
  readonly name: string;
  readonly faults: () => Promise<string[]>;
}

const sized = async (width: number, height: number): Promise<string[]> => {
  const { page } = app();
  await page.setViewport({ width, height });
  await page.evaluate(quiet, QUIET_MS);
  return page.evaluate(faultsOf, LEAST_TARGET, LEAST_TEXT);
};

const printed = async (): Promise<string[]> => {
  const { page } = app();
  await page.setViewport({ width: 1280, height: 800 });
  await page.emulateMediaType("print");
  await page.evaluate(quiet, QUIET_MS);
  const faults = await page.evaluate(pressedOnPaper);
  faults.push(...(await page.evaluate(buttonsOnPaper)));
  await page.emulateMediaType("screen");
  return faults;
};

/** What an address must hold at: 390 px, 200 %, and on paper. */
const LOOKS: readonly Look[] = [
  { name: "390 px", faults: () => sized(390, 844) },
  {
    name: "200 %",
    faults: async () => (await sized(640, 400)).filter((fault) => fault.endsWith("too wide")),
  },
  { name: "paper", faults: printed },
];

beforeAll(async () => {
  await openDemonstration(app());
});

test.each(ADDRESSES)(
  "%s fits 390 px and 200 %, its targets are large enough, and on paper there is nothing to press",
  async (path) => {
    const { page } = app();
    await go(page, path);
    await page.waitForSelector("main h1");
    const found: Record<string, string[]> = {};
    for (const { name, faults } of LOOKS) {
      const wrong = [...new Set(await faults())];
      if (wrong.length > 0) found[name] = wrong;
    }
    expect(found).toEqual({});
  },
);

test("the table of what is ahead fits 390 px too", async () => {
  const { page, address } = app();
  await page.setViewport({ width: 390, height: 844 });
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  await page.evaluate(() => {
    localStorage.setItem("yonderfell-preferences", JSON.stringify({ aheadAs: "table" }));
  });
  await page.reload();
  await page.waitForSelector("table[role=table] td");
  expect(await page.evaluate(faultsOf, LEAST_TARGET, LEAST_TEXT)).toEqual([]);
});

/** What of a page is there to be pressed or typed into, as it is printed. */
function pressedOnPaper(): string[] {
  const pressed =
    "nav, button:not([data-prints], [data-strip]), input:not([data-prints]), select, textarea, [role=tab]";
  return [...document.querySelectorAll<HTMLElement>(`header nav, main :is(${pressed})`)]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }))
    .map((one) => one.outerHTML.slice(0, 80));
}

/** The links of a page that look like buttons, as it is printed. */
function buttonsOnPaper(): string[] {
  return [...document.querySelectorAll<HTMLElement>("main a")]
    .filter((one) => one.checkVisibility({ visibilityProperty: true }))
    .filter((one) => parseFloat(getComputedStyle(one).borderTopWidth) > 0)
    .map((one) => one.innerText);
}

test("a printed page has its words", async () => {
  const { page } = app();
  await go(page, "ahead/visits");
  await page.emulateMediaType("print");
  await page.waitForSelector("main button[data-prints]");
  const words = await page.$eval("main", (main) => main.innerText);
  await page.emulateMediaType("screen");
  expect(words).toContain("All visits ahead");
  expect(words).toContain("Library bus");
});
