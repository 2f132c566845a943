import type { Book, Order } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, exportedText, go, press, textDownloadedBy, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

async function book(): Promise<Book> {
  return JSON.parse(await exportedText(app().page, app().address)) as Book;
}

test("from Ahead to a printed list for next month: three interactions", async () => {
  const { page } = app();
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute("data-printed", "yes");
  });
  let interactions = 0;
  const act = async (doing: Promise<unknown>): Promise<void> => {
    interactions += 1;
    await doing;
  };
  await act(page.keyboard.press("5"));
  await page.waitForFunction(() => location.pathname === "/stores");
  await act(press(page, "To buy"));
  await waitForWords(page, "things to buy");
  await act(press(page, "Print"));
  await page.waitForSelector("body[data-printed]");
  expect(interactions).toBe(3);
});

test("the list says by when, in which packs, from whom, for which job, and as a table and a message the same", async () => {
  const { page } = app();
  await page.goto(`${app().address}stores/buy?days=182`);
  // With what the book calls its money, which is read beside the list.
  await waitForWords(page, "cr together");
  const words = await wordsOf(page, "main");
  expect(words).toContain("the counts do not agree: taken as none");
  expect(words).toContain("(proposed)");
  const names = await page.$$eval("main li input[type=checkbox]", (boxes) =>
    boxes.map((box) => (box.getAttribute("aria-label") ?? "").replace("In the basket: ", "")),
  );
  expect(names.length).toBeGreaterThan(6);
  const table = await textDownloadedBy(page, () => press(page, "As a table"));
  for (const name of names) expect(table).toContain(name);
  await page.evaluate(() => {
    Object.defineProperty(navigator, "clipboard", {
      value: {
        writeText: (text: string) => {
          document.body.setAttribute("data-copied", text);
          return Promise.resolve();
        },
      },
    });
  });
  await press(page, "Copy for a message");
  await page.waitForSelector("body[data-copied]");
  const message = await page.$eval("body", (body) => body.getAttribute("data-copied") ?? "");
  for (const name of names) expect(message).toContain(name);
  const total = /(\d[\d\u00a0 ]*\.\d\d) cr together/.exec(words)?.[1] ?? "no total";
  expect(message).toContain(`Together ${total} cr`);
});

test("for some machines only, and from one source only, it lists less", async () => {
  const { page } = app();
  await page.goto(`${app().address}stores/buy?days=182&machines=m-mower`);
  await waitForWords(page, "T 58-102");
  expect(await wordsOf(page, "main")).not.toContain("07 Engine oil");
  await page.goto(`${app().address}stores/buy?days=182&from=Netherby%20Stores`);
  await waitForWords(page, "cost unknown");
});

/** The order that was placed last, as the book has it. */
async function lastOrder(): Promise<Order> {
  const order = (await book()).orders?.at(-1);
  if (order === undefined) throw new Error("no order");
  return order;
}

test("an order is placed by a press, comes in parts and under another number, and its prices are the source's from then on", async () => {
  const { page } = app();
  await go(page, "stores/orders/new");
  await write(page, "From", "Corrie Factors");
  await waitForWords(page, "Corrie Factors answers here; it is simulated.");
  await choose(page, "What", "HD 4521 Fuel filter with water trap");
  await write(page, "How many", "2");
  await press(page, "Ask price and time");
  await waitForWords(page, "superseded: HD 4521B comes");
  expect((await book()).orders).toHaveLength(1);
  await go(page, "stores/orders/new");
  await waitForWords(page, "Kept from when you last were here");
  await press(page, "Another line");
  await page.waitForSelector("[aria-label='Line 2']");
  await page.select("[aria-label='Line 2'] select", "part pt-hd-oilf");
  await page.type("[aria-label='Line 2'] input", "5");
  await waitForWords(page, "Order it now");
  await press(page, "Order it now");
  await waitForWords(page, "2 lines still to come");
  await press(page, "Ask after it");
  await waitForWords(page, "What came is filled in below");
  await press(page, "Take it in");
  await waitForWords(page, "HD 4521B came instead");
  const first = await lastOrder();
  expect(first).toMatchObject({ online: true, lines: [{ closed: "HD 4521B came instead" }, {}] });
  expect(first.received?.[0]?.lines).toMatchObject([{ count: 2 }, { count: 3, price: 15.2 }]);
  const { parts = [], stockMoves = [] } = await book();
  const filter = parts.find(({ id }) => id === "pt-hd-oilf");
  expect(filter?.prices?.at(-1)).toMatchObject({ source: "Corrie Factors", price: 15.2 });
  expect(stockMoves.at(-1)).toMatchObject({ part: "pt-hd-oilf", amount: 3, why: "bought" });
  await go(page, `stores/orders/${first.id}`);
  await waitForWords(page, "1 line still to come, come in part");
  await page.waitForFunction(
    () => {
      const ask = [...document.querySelectorAll("button")].find(
        ({ textContent }) => textContent === "Ask after it",
      );
      if (!document.body.innerText.includes("What came is filled in below")) ask?.click();
      return document.body.innerText.includes("What came is filled in below");
    },
    { polling: 300 },
  );
  await press(page, "Take it in");
  await waitForWords(page, "all of it has come or is closed");
  expect((await lastOrder()).received).toHaveLength(2);
});

test("a line that will not come is closed with a reason, and is on the list again", async () => {
  const { page } = app();
  await go(page, "stores/orders/or-1");
  await press(page, "It will not come: line 2");
  await press(page, "Close the line");
  await waitForWords(page, "say why nothing more is to come");
  await write(page, "Why", "not to be had");
  await press(page, "Close the line");
  await waitForWords(page, "all of it has come or is closed");
  await go(page, "stores/buy");
  await waitForWords(page, "W 24 Copper washer 24 mm");
});
