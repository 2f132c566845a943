import { execFile } from "node:child_process";
import { mkdtemp, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { promisify } from "node:util";
import type { Book, StockList } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, go, press, textDownloadedBy, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
const MAIN = fileURLToPath(new URL("../cli/src/main.ts", import.meta.url));

beforeAll(async () => {
  await openDemonstration(app());
});

/** The book as it is exported now. */
async function book(): Promise<Book> {
  return JSON.parse(await exportedText(app().page, app().address)) as Book;
}

/** What the command line says is in stock of a book today. */
async function stockByCommand(text: string): Promise<StockList> {
  const file = join(await mkdtemp(join(tmpdir(), "yonderfell-stock-")), "book.json");
  await writeFile(file, text);
  const now = new Date();
  const on = [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((part) => String(part).padStart(2, "0"))
    .join("-");
  const args = ["--import", "tsx", MAIN, "stock", file, "--on", on, "--json"];
  const { stdout } = await promisify(execFile)(process.execPath, args);
  return JSON.parse(stdout) as StockList;
}

/** Number and name of each item, with what is on hand, as a table on the page has them. */
const shown = (): Promise<string[]> =>
  app().page.$$eval("main table tbody tr", (rows) =>
    rows.map((row) => {
      const cells = [...row.querySelectorAll("td")].map((cell) =>
        cell.innerText
          .split("\n")[0]
          ?.replaceAll(/[\u00a0\u2007]/g, " ")
          .trim(),
      );
      return `${cells[0] ?? ""} | ${(cells[2] ?? "").replace("−", "-")}`;
    }),
  );

test("screen, print, table and command line tell the same stock", async () => {
  const { page } = app();
  const text = await exportedText(page, app().address);
  const { items } = await stockByCommand(text);
  const { parts = [], products = [] } = JSON.parse(text) as Book;
  const told = items.map((item) => {
    const figure = String(Math.round(item.onHand * 1000) / 1000);
    if ("part" in item) {
      const part = parts.find(({ id }) => id === item.part);
      return `${part?.number ?? ""} ${part?.name ?? ""} | ${figure}`;
    }
    const product = products.find(({ id }) => id === item.product);
    return `${product?.name ?? ""} | ${figure} ${item.unit}`;
  });
  expect(told.length).toBeGreaterThan(20);
  await go(page, "stores");
  await page.waitForSelector("main table tbody tr");
  expect((await shown()).toSorted()).toEqual(told.toSorted());
  const table = await textDownloadedBy(page, () => press(page, "As a table"));
  const rows = table
    .slice(1)
    .trim()
    .split("\r\n")
    .slice(1)
    .map((line) => line.match(/("([^"]|"")*"|[^,]*)(,|$)/g) ?? [])
    .map((cells) => cells.map((cell) => cell.replace(/,$/, "").replaceAll('"', "")))
    .map((cells) => {
      const [number = "", name = "", , onHand = "", unit = ""] = cells;
      return `${[number, name].filter(Boolean).join(" ")} | ${unit === "piece" ? onHand : `${onHand} ${unit}`}`;
    });
  expect(rows.toSorted()).toEqual(told.toSorted());
  await page.emulateMediaType("print");
  expect((await shown()).toSorted()).toEqual(told.toSorted());
  expect(await wordsOf(page)).not.toContain("Something came or went");
  await page.emulateMediaType("screen");
});

test("a shelf is counted with a figure and Enter for each item, and one Enter more", async () => {
  const { page } = app();
  await go(page, "stores/count?shelf=B1");
  await page.waitForSelector("[data-count]");
  const count = await page.$$eval("[data-count]", (fields) => fields.length);
  await page.focus("[data-count]");
  let keys = 0;
  for (let item = 0; item < count; item += 1) {
    await page.keyboard.press("3");
    await page.keyboard.press("Enter");
    keys += 2;
  }
  await page.waitForFunction(() => document.activeElement?.textContent.startsWith("Write down"));
  await page.keyboard.press("Enter");
  await page.waitForFunction(() => location.pathname === "/stores");
  // A shelf of 30 takes 60 keys and Enter.
  expect(keys).toBe(2 * count);
  const { stockMoves = [] } = await book();
  const counts = stockMoves.slice(-count);
  expect(
    counts.every(({ why, amount, shelf }) => why === "counted" && amount === 3 && shelf === "B1"),
  ).toBe(true);
});

test("what was bought comes to the shelf with its price", async () => {
  const { page } = app();
  await go(page, "stores");
  await page.waitForSelector("main table tbody tr");
  await press(page, "Write down what came or went of W 24 Copper washer 24 mm");
  await page.waitForSelector("[role=dialog]");
  await write(page, "How much", "10");
  await write(page, "Price of all of it", "0.7");
  await page.click("[role=dialog] button[type=submit]");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  const { stockMoves = [] } = await book();
  expect(stockMoves.at(-1)).toMatchObject({ part: "pt-washer-24", amount: 10, price: 0.7 });
  await go(page, "stores");
  await press(page, "Write down what came or went of W 24 Copper washer 24 mm");
  await waitForWords(page, "0.70 cr", "[role=dialog]");
  await page.focus("[role=dialog] button[aria-label^='Strike out bought 10']");
  await page.keyboard.press("Enter");
  await page.waitForFunction(
    () => !document.querySelector<HTMLElement>("[role=dialog]")?.innerText.includes("0.70"),
  );
  await page.keyboard.press("Escape");
  const struck = (await book()).stockMoves?.at(-1);
  expect(struck).toMatchObject({ replaces: stockMoves.at(-1)?.id, void: true });
});

test("labels for a shelf name what lies there", async () => {
  const { page } = app();
  await go(page, "stores/labels?shelf=B2");
  await waitForWords(page, "Labels for shelf B2");
  const labels = await wordsOf(page, "main ul");
  expect(labels).toContain("W 24");
  expect(labels).toContain("buy below 10");
  expect(labels).not.toContain("HD 4530");
});

test("a drum that is handed in is empty, and the year's sheet has its receipt", async () => {
  const { page } = app();
  await go(page, "stores/waste");
  await press(page, "Hand in Oil drum by the pit");
  await page.waitForSelector("[role=dialog]");
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "Say where it went", "[role=dialog]");
  await write(page, "Where, or who took it", "Corrie Factors, yard");
  await write(page, "Number of the receipt", "CF 22 001");
  await page.click("[role=dialog] button[type=submit]");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  await waitForWords(page, "CF 22 001");
  const { wasteMoves = [] } = await book();
  expect(wasteMoves.at(-1)).toMatchObject({ kind: "oil", container: "wc-oil", why: "handed-in" });
  await go(page, "stores/waste/year");
  await waitForWords(page, "CF 22 001");
});

test("a quote is kept with its visit, and what is not in it stands out", async () => {
  const { page } = app();
  await go(page, "ahead/visits");
  // By keyboard: what is told of the change before may stand over what would be pressed.
  await page.waitForSelector("[data-visit='v-mower']");
  await page.focus("[data-visit='v-mower']");
  await page.keyboard.press("Enter");
  const way = await page.waitForSelector("::-p-aria(Beside a quote)");
  await way?.focus();
  await page.keyboard.press("Enter");
  await waitForWords(page, "Only in the quote: Travel to the shed");
  expect(await wordsOf(page)).toContain("not in the quote");
  await write(page, "All of it", "199");
  await press(page, "Keep the quote");
  await waitForWords(page, "The quote: 199.00 cr");
  await go(page, "stores/quotes");
  await waitForWords(page, "quote 199.00 cr");
  const { visits = [] } = await book();
  expect(visits.find(({ id }) => id === "v-mower")?.quote?.total).toBe(199);
});
