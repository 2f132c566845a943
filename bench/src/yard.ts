import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { dayOf, type Book } from "@yonderfell/core";
import { serve } from "@yonderfell/server";
import type { Page } from "puppeteer-core";
import { startBrowser } from "../../e2e/browser.js";
import { keepBook, report } from "./browser.js";
import { largeBook, type BookSize } from "./largeBook.js";
import { longestTasks, type TraceEvent } from "./trace.js";

/** 1,000 machines with plates; fewer entries than the other benchmark, which do not matter here. */
const SIZE: BookSize = { machines: 1000, tasksEach: 20, readingsEach: 20, entriesEach: 20 };
const WEB_FOLDER = fileURLToPath(new URL("../../web/dist", import.meta.url));
const MOST_TASK_MS = 100;
const PARTS = 1000;
const SYSTEMS = ["engine", "cooling system", "gearbox", "rear axle", "brakes"];

/** The large book with five fluids on each machine, and a thousand parts. */
function bookWithPlates(): Book {
  const book = largeBook(SIZE, dayOf(new Date().toISOString().slice(0, 10)));
  const fluids = (book.machines ?? []).flatMap((machine) =>
    SYSTEMS.map((system, index) => ({
      id: `${machine.id}-f${index}`,
      machine: machine.id,
      system,
      kind: "gear oil",
      capacities: [
        {
          id: "a",
          source: "handbook",
          condition: "dry",
          quantity: { value: 2 + index, unit: "L" },
        },
        { id: "b", source: "label", condition: "dry", quantity: { value: 2.4 + index, unit: "L" } },
      ],
    })),
  );
  const parts = Array.from({ length: PARTS }, (_, index) => ({
    id: `p${index}`,
    name: `Part ${index}`,
    number: `N ${index}`,
  }));
  return { ...book, fluids, parts } as unknown as Book;
}

/** One thing a person does, and what it is called. */
type Doing = readonly [string, (page: Page) => Promise<unknown>];

const type =
  (selector: string, words: string) =>
  async (page: Page): Promise<void> => {
    await page.waitForSelector(selector);
    await page.click(selector);
    await page.keyboard.type(words);
  };

const choose =
  (value: string) =>
  async (page: Page): Promise<void> => {
    await page.evaluate((wanted: string) => {
      const fields = [...document.querySelectorAll("select")];
      const field = fields.find((one) =>
        [...one.options].some((option) => option.value === wanted),
      );
      if (field === undefined) throw new Error(`nothing to choose ${wanted} in`);
      field.value = wanted;
      field.dispatchEvent(new Event("change", { bubbles: true }));
    }, value);
  };

const DOINGS: readonly Doing[] = [
  ["Yard opened", async (page) => page.keyboard.press("2")],
  ["Yard found by words", type("main input", "machine 5")],
  ["Yard in order of what presses", choose("most pressing")],
  ["Yard together by kind", choose("kind")],
  ["Yard scrolled to its end", async (page) => page.evaluate(() => window.scrollTo(0, 1e6))],
  [
    "a machine opened",
    async (page) => {
      await page.click("main [role=listitem] a");
      await page.waitForSelector("[data-strip]");
    },
  ],
  [
    "its plate opened",
    async (page) => {
      await page.click("nav[aria-label=Leaves] a:nth-child(3)");
      await page.waitForSelector("h3");
    },
  ],
  [
    "its plan opened",
    async (page) => {
      await page.click("nav[aria-label=Leaves] a:nth-child(2)");
      await page.waitForSelector("#tasks");
    },
  ],
  [
    "a task opened",
    async (page) => {
      await page.click("section[aria-labelledby=tasks] li a");
      await page.waitForSelector("#reads");
    },
  ],
  ["an interval typed", type("[role=group][aria-label='Limit 1'] input", "5")],
  [
    "back on its plate",
    async (page) => {
      await page.click("nav[aria-label=Leaves] a:nth-child(3)");
      await page.waitForSelector("h3");
    },
  ],
  [
    "a capacity typed",
    async (page) => {
      await page.click("button[aria-label='Edit engine']");
      await type("[role=group][aria-label='Capacity 1'] input", "5.25")(page);
    },
  ],
  ["the fluid saved", async (page) => page.click("[role=dialog] button[type=submit]")],
  [
    "the reading sheet opened",
    async (page) => {
      await page.evaluate(() => {
        window.history.pushState({}, "", "/yard/readings");
        window.dispatchEvent(new PopStateEvent("popstate"));
      });
      await page.waitForSelector("input[data-row='0']");
    },
  ],
  [
    "figures typed on the sheet",
    async (page) => {
      await page.focus("input[data-row='0']");
      for (const words of ["99001", "99002", "99003"]) {
        await page.keyboard.type(words);
        await page.keyboard.press("Enter");
      }
    },
  ],
  [
    "a column of 1,000 pasted",
    async (page) =>
      page.evaluate(() => {
        const data = new DataTransfer();
        data.setData("text", Array.from({ length: 1000 }, (_, row) => 90000 + row).join("\n"));
        const paste = { clipboardData: data, bubbles: true, cancelable: true };
        document.activeElement?.dispatchEvent(new ClipboardEvent("paste", paste));
      }),
  ],
  [
    "1,000 readings saved",
    async (page) => {
      await page.click("main .sticky button");
      await page.waitForFunction(() => /readings? saved/.test(document.body.innerText), {
        timeout: 60_000,
      });
    },
  ],
];

const SETTLE_MS = 1500;

async function measure(page: Page, folder: string): Promise<void> {
  const trace = join(folder, "trace.json");
  for (const [name, act] of DOINGS) {
    await page.tracing.start({ path: trace, categories: ["devtools.timeline", "toplevel"] });
    await act(page);
    await new Promise((resolve) => setTimeout(resolve, SETTLE_MS));
    await page.tracing.stop();
    const { traceEvents } = JSON.parse(readFileSync(trace, "utf8")) as {
      traceEvents: TraceEvent[];
    };
    report(`${name}: longest task`, longestTasks(traceEvents)[0] ?? 0, MOST_TASK_MS);
  }
}

/** Measures what one does in the Yard with 1,000 machines, by the browser's own tracing. */
export async function measureYard(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "yonderfell-yard-"));
  const serving = await serve({ webFolder: WEB_FOLDER, opensDemonstration: false }, 0);
  const own = await startBrowser();
  try {
    const page = await own.browser.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    page.on("pageerror", (error) => console.log(String(error)));
    const file = join(folder, "yard.yonderfell.json");
    writeFileSync(file, JSON.stringify(bookWithPlates()));
    await keepBook(page, serving.address, file);
    console.log(`yard: ${SIZE.machines} machines with plates, ${PARTS} parts`);
    await measure(page, folder);
  } finally {
    await own.end();
    await serving.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
