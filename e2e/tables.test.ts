import type { Book, Reading } from "@yonderfell/core";
import type { Page } from "puppeteer-core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import {
  exportedText,
  focused,
  giveFile,
  onDay,
  press,
  storeOf,
  textDownloadedBy,
} from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  // The shed's own table below has dates of its own.
  await onDay(app().page, "2026-11-23");
  await openDemonstration(app());
});

async function takeBack(page: Page): Promise<void> {
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await waitForWords(page, "Undone: ");
}

const KINDS = ["machines", "readings", "tasks", "parts", "entries of the log"];

test("each kind is written out as a table that, brought in again, changes nothing", async () => {
  const { page, address } = app();
  for (const kind of KINDS) {
    await page.goto(`${address}tables`);
    await waitForWords(page, "1 137 readings");
    const name = await page.$$eval(
      "main button",
      (buttons, words) => buttons.find((one) => one.innerText.endsWith(words))?.innerText ?? "",
      kind,
    );
    const text = await textDownloadedBy(page, () => press(page, name));
    await giveFile(page, `${kind}.csv`, text);
    await waitForWords(page, "What it would do");
    await waitForWords(
      page,
      `${name}: ${name.split("\u00a0").slice(0, -1).join(" ")} in the book already.`.replaceAll(
        "\u00a0",
        " ",
      ),
      // The choices of all columns are a long page: looking through all of it leaves little for the page itself.
      "[aria-labelledby=would-do]",
    );
    // Looked for frame by frame: what changes between a look and the watching after it is not missed.
    await page.waitForFunction(() =>
      [...document.querySelectorAll("section button:disabled")].some((button) =>
        button.textContent.startsWith("Bring in 0"),
      ),
    );
  }
});

test("a table of a shed's own is looked through row by row, brought in as one change, and undone", async () => {
  const { page, address } = app();
  await page.goto(`${address}tables`);
  await waitForWords(page, "1 137 readings");
  const before = await storeOf(page);
  const rows = [
    "Fleet no;Odometer (km);Read on;Driver;Remarks",
    "07;11 100;20.11.2026;E.T.;after the round",
    "7;11 200;22.11.2026;;",
    "07;10 000;21.11.2026;;",
    "99;12;19.11.2026;;",
    "07;eleven;31.11.2026;;",
  ];
  await giveFile(page, "shed.csv", rows.join("\r\n"));
  await waitForWords(page, "5 readings: 3 new, 2 not readable. 2 are in doubt.");
  const said = await wordsOf(page, "main");
  expect(said).toContain(
    'Row 5, Fleet no: expected the number of a machine of this book (there is "99")',
  );
  expect(said).toContain(
    'Row 6, Odometer (km): expected a figure of at least 0 (there is "eleven")',
  );
  expect(said).toContain(
    'Row 6, Read on: expected a date as day, month, year (there is "31.11.2026")',
  );
  expect(said).toContain("That is below 11 100 km on 20 Nov 2026.");
  expect(said).toContain("7 is taken for 07.");
  expect(await storeOf(page)).toBe(before);
  await press(page, "Leave out what cannot be read, and bring in the rest");
  // A rise the person does not trust after all is left out by itself.
  await page.click("[data-doubt=tag-alike] li input");
  await press(page, "Bring in 1\u00a0reading");
  await waitForWords(page, "Brought in: 1 reading from shed.csv.");
  expect(await focused(page)).toBe("Brought in: 1 reading from shed.csv.");
  await waitForWords(page, "1 138 readings");
  await takeBack(page);
  await waitForWords(page, "1 137 readings");
});

test("a fleet's own list brings its people, places and dials, and the next of its headings is known", async () => {
  const { page, address } = app();
  await page.goto(`${address}tables`);
  const heading = "Unit No;Vehicle type;Current mileage (km);Date read;Responsible;Depot";
  const rows = [
    "91;van;84350;20.11.2026;Ina Tarn;North yard",
    "92;van;12000;20.11.2026;Ina Tarn;North yard",
  ];
  await giveFile(page, "fleet.csv", [heading, ...rows].join("\n"));
  await waitForWords(page, "2 machines: 2 new. 2 are in doubt.");
  expect(await page.$$eval("[data-doubt] li", (items) => items.length)).toBe(1);
  await press(page, "Bring in 2\u00a0machines");
  await waitForWords(page, "Brought in: 2 machines, 2 readings, 1 person, 1 place from fleet.csv.");
  await giveFile(page, "again.csv", [heading, rows[0]].join("\n"));
  await waitForWords(page, "As the last table with these headings was.");
  await waitForWords(page, "1 machine: 1 in the book already.");
  await takeBack(page);
  await page.reload();
  await waitForWords(page, "1 137 readings");
});

test("a log of earlier days asks once whether what follows its work was done", async () => {
  const { page, address } = app();
  await page.goto(`${address}tables`);
  const rows = ["Machine;Date;Work done", "H1;23.9.2026;Front brake pads"];
  await giveFile(page, "log.csv", rows.join("\n"));
  await waitForWords(page, "Front brake pads, bedding-in look followed this work on one machine.");
  const isDisabled = (): Promise<boolean> =>
    page.$eval("main button.bg-clear", (button) => button.disabled);
  expect(await wordsOf(page, "main")).toContain("say above whether the follow-ups were done");
  expect(await isDisabled()).toBe(true);
  await page.click("[role=radio][value=done]");
  await press(page, "Bring in 1\u00a0entry of the log");
  await waitForWords(page, "Brought in: 2 entries from log.csv.");
  await takeBack(page);
});

test("columns that were not recognised are named by hand, and dates that can be read in two ways are asked about", async () => {
  const { page, address } = app();
  await page.goto(`${address}tables`);
  const rows = ["Wagen,Stand,Ablesung", "07,11100,11/10/2026", "07,11150,11/11/2026"];
  await giveFile(page, "stand.csv", rows.join("\n"));
  await waitForWords(page, "3 columns left out: Wagen, Stand, Ablesung");
  const take = async (heading: string, column: string): Promise<void> => {
    await page.evaluate(
      (name, wanted) => {
        const labels = [...document.querySelectorAll("main li label")];
        const field = labels
          .find((one) => (one as HTMLElement).innerText.startsWith(name))
          ?.querySelector("select");
        if (!field) throw new Error(`no column ${name}`);
        field.value = wanted;
        field.dispatchEvent(new Event("change", { bubbles: true }));
      },
      heading,
      column,
    );
  };
  await page.select("main section select", "readings");
  await waitForWords(page, "a column that holds this");
  await take("Wagen", "machine");
  await waitForWords(page, "Row 1, Date");
  await take("Stand", "value");
  await page.waitForFunction(() => !document.body.innerText.includes("Row 1, Reading"));
  await take("Ablesung", "date");
  await waitForWords(page, "Its dates could be read in another order.");
  await page.evaluate(() => {
    const label = [...document.querySelectorAll("main label")].find((one) =>
      one.textContent.startsWith("Dates"),
    );
    const field = label?.querySelector("select");
    if (!field) throw new Error("no choice of dates");
    field.value = "mdy";
    field.dispatchEvent(new Event("change", { bubbles: true }));
  });
  await waitForWords(page, "2 readings: 2 new.");
  expect(await wordsOf(page, "main")).not.toContain("in another order");
});

/** Writing so many readings takes the browser half a minute, more beside other tests. */
const PATIENCE_MS = 300_000;

test(
  "a table of 50 000 readings is gone through beside a page that answers, stopped, and brought in",
  async () => {
    const { page, address } = app();
    await page.goto(`${address}tables`);
    await waitForWords(page, "1 137 readings");
    const machines = ["m-bus", "m-hatch", "m-lorry", "m-lunch", "m-carrier"];
    const lines = ["Machine id,Date,Reading"];
    for (let row = 0; row < 50_000; row += 1) {
      const count = Math.floor(row / machines.length);
      const two = (part: number): string => String(part).padStart(2, "0");
      const date = `${1960 + Math.floor(count / 336)}-${two(1 + (Math.floor(count / 28) % 12))}-${two(1 + (count % 28))}`;
      lines.push(`${machines[row % machines.length]},${date},${(count / 1e4).toFixed(4)}`);
    }
    await giveFile(page, "long.csv", lines.join("\n"));
    await page.waitForFunction(() => {
      const progress = document.querySelector("progress");
      return progress !== null && progress.value > 5;
    });
    // The page answers while the worker is at it.
    await page.keyboard.press("?");
    await waitForWords(page, "this list of keys");
    expect(await page.$("progress")).not.toBeNull();
    await page.keyboard.press("Escape");
    await press(page, "Stop");
    await waitForWords(page, "It was stopped; nothing is changed.");
    await press(page, "Go through it again");
    await waitAtEase(page, "50 000 readings: 50 000 new.");
    await press(page, "Bring in 50\u00a0000\u00a0readings");
    await page.waitForSelector("progress");
    await waitAtEase(page, "Brought in: 50 000 readings from long.csv.");
    await waitAtEase(page, "51 137 readings");
  },
  PATIENCE_MS,
);

/** Waits for words, looking only now and then: looking all the time would hold up the page it looks at. */
async function waitAtEase(page: Page, words: string): Promise<void> {
  await page.waitForFunction(
    (wanted: string) => document.body.innerText.replaceAll("\u00a0", " ").includes(wanted),
    { polling: 500, timeout: 110_000 },
    words,
  );
}

/** The readings of the book as it stands. */
async function readingsOf(page: Page, address: string): Promise<readonly Reading[]> {
  return (JSON.parse(await exportedText(page, address)) as Book).readings ?? [];
}

test("a meter feed is taken in with its doubts asked once; what was read by hand stays as it was", async () => {
  const { page, address } = app();
  const hand = await readingsOf(page, address);
  await page.goto(`${address}tables`);
  await waitForWords(page, "Take in a meter feed");
  // The machines are those of the board, which comes a moment later.
  await waitForWords(page, "07 Library bus");
  await press(page, "Ask the feed");
  await waitForWords(page, "of a day on which somebody read the dial");
  const would = async (): Promise<string> =>
    (await wordsOf(page, "[aria-labelledby=would-do]")).replaceAll("\u00a0", " ");
  const first = await would();
  // A jump, a unit that cannot be, a day told twice.
  expect(first).toContain("do not agree with the other figures of the meter");
  expect(first).toContain("Cannot be read");
  expect(first).toContain("the same as an earlier row");
  await press(page, "Leave out what cannot be read, and bring in the rest");
  const words = await page.$eval(
    "[aria-labelledby=would-do] .sticky button",
    (button) => button.textContent,
  );
  expect(words.replaceAll("\u00a0", " ")).toMatch(/^Bring in \d+ readings, set \d+ aside$/);
  await press(page, words);
  await waitForWords(page, "Brought in: ");
  const after = await readingsOf(page, address);
  const kept = new Set(after.map((reading) => JSON.stringify(reading)));
  expect(hand.filter((reading) => !kept.has(JSON.stringify(reading)))).toEqual([]);
  const fed = after.filter(({ source }) => source === "feed");
  expect(fed).toHaveLength(after.length - hand.length);
  expect(fed.filter((one) => one.void === true).length).toBeGreaterThan(2);

  await page.goto(`${address}tables`);
  await waitForWords(page, "Take in a meter feed");
  // The machines are those of the board, which comes a moment later.
  await waitForWords(page, "07 Library bus");
  await press(page, "Ask the feed");
  await waitForWords(page, "in the book already");
  const again = await would();
  expect(again).not.toContain("somebody read the dial");
  expect(again).not.toContain("do not agree");
});

test("lines of a feed that are pasted, or in a folder, are looked through alike, and say which of them are none", async () => {
  const { page, address } = app();
  await page.goto(`${address}tables`);
  await waitForWords(page, "Lines of it, pasted");
  const line = { machine: "18", meter: "odo", date: "2026-11-20", value: 36_250, unit: "km" };
  const text = `${JSON.stringify(line)}\nno line of it\n`;
  await page.$eval("textarea", (area) => area.focus());
  await page.keyboard.sendCharacter(text);
  await press(page, "Look at what is pasted");
  await waitForWords(page, "expected a JSON object on a line of its own");
  await waitForWords(page, "what was pasted");

  await page.goto(`${address}tables`);
  const folder = await page.waitForSelector("input[aria-label='A folder of its files']");
  await folder?.evaluate((input) => {
    const transfer = new DataTransfer();
    const table = (day: string, value: number): string =>
      `machine,meter,date,value,unit\n18,odo,${day},${String(value)},km\n`;
    transfer.items.add(new File([table("2026-11-21", 36_280)], "b.csv"));
    transfer.items.add(new File([table("2026-11-20", 36_250)], "a.csv"));
    transfer.items.add(new File(["not of the feed"], "readme.md"));
    input.files = transfer.files;
    input.dispatchEvent(new Event("change", { bubbles: true }));
  });
  await waitForWords(page, "a.csv and 1 more");
  await waitForWords(page, "2 readings");
});
