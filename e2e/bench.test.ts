import { bookFileText, type Book, type JobEvent } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, exportedText, giveFile, go, press, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
let interactions = 0;

/** One press, or one line with its Enter. */
async function act(doing: Promise<unknown>): Promise<void> {
  await doing;
  interactions += 1;
}

const STEP = "[aria-label='Step in hand']";
const stepWords = (): Promise<string> => wordsOf(app().page, STEP);
/** What the step in hand is called, empty where nothing is left. */
const heading = (): Promise<string> =>
  app().page.$eval(`${STEP} h2`, (element) => element.textContent ?? "");

/** Waits until another step is in hand and has the focus. */
async function anotherThan(before: string): Promise<void> {
  await app().page.waitForFunction(
    (selector, was) => {
      const step = document.querySelector(selector);
      const words = step?.querySelector("h2")?.textContent ?? was;
      return words !== was && step?.contains(document.activeElement) === true;
    },
    {},
    STEP,
    before,
  );
}

/** Presses the one large action of the step in hand. */
async function large(): Promise<void> {
  const before = await heading();
  await act(app().page.locator(`${STEP} [data-action]:not([disabled])`).click());
  await anotherThan(before);
}

/** Types an amount and has it told. */
async function pour(amount: string): Promise<void> {
  const { page } = app();
  await act(
    (async () => {
      await page.locator(`${STEP} input[inputmode=decimal]`).fill(amount);
      await page.keyboard.press("Enter");
    })(),
  );
}

/** Goes through the card to its end: what drained, what was poured, all else as it should be. */
async function throughTheCard(out: string, filled: string): Promise<void> {
  for (let count = 0; count < 60; count += 1) {
    const before = await heading();
    if (/^Everything/.test(before)) return;
    if (/^Drain through/.test(before)) {
      await pour(out);
      await waitForWords(app().page, `${out} L`, "nav[aria-label='Steps']");
    }
    if (/^Fill with/.test(before)) {
      await pour(filled);
      await app().page.waitForSelector("::-p-xpath(//button[.='On the mark'])");
    }
    await large();
  }
  throw new Error(`the card has no end: ${await stepWords()}`);
}

beforeAll(() => openDemonstration(app()));

test("an oil change from the board to the finished entry, in at most thirty interactions", async () => {
  const { page } = app();
  await go(page, "ahead");
  await waitForWords(page, "Hatchback");
  interactions = 0;
  await act(page.locator("::-p-aria(Begin Engine oil and filter on H1)").click());
  await waitForWords(page, "Lay out");
  await act(press(page, "Begin the job"));
  await anotherThan("");
  await throughTheCard("3.6", "3.7");
  await act(press(page, "Finish: write it in the log"));
  await waitForWords(page, "Also written");
  await act(press(page, "Save in the log"));
  await waitForWords(page, "Saved in the log.");
  expect(interactions).toBeLessThanOrEqual(30);
  await waitForWords(page, "L learned from 4 fills");
  expect(await wordsOf(page, "main")).toMatch(/Waste\s+oil[\s\S]*3.6 L more/);
  await go(page, "yard/m-hatch");
  await waitForWords(page, "3.7 L");
});

/** What was told of the job of the bus, as the book has it. */
async function toldOfTheBus(): Promise<readonly JobEvent[]> {
  const text = await exportedText(app().page, app().address);
  const { jobEvents = [] } = JSON.parse(text) as Book;
  return jobEvents.filter(({ job }) => job === "j-bus");
}

/** Goes to a step of the job of the bus by its words. */
async function toStep(words: string): Promise<void> {
  const { page } = app();
  const found = await page.waitForSelector(
    `::-p-xpath(//nav[@aria-label='Steps']//button[contains(., "${words}")])`,
  );
  await found?.click();
  await page.waitForFunction(
    (selector, wanted) => document.querySelector(`${selector} h2`)?.textContent?.includes(wanted),
    {},
    STEP,
    words,
  );
}

test("it cannot be started before what comes first is done; one press goes there", async () => {
  const { page } = app();
  await go(page, "bench/m-bus/j-bus");
  await toStep("Start: the pressure lamp");
  expect(await stepWords()).toMatch(
    /Held: this comes first[\s\S]*Outdoors, or the exhaust led out/,
  );
  const isDisabled = await page.$eval(
    `${STEP} [data-action]`,
    (button) => (button as HTMLButtonElement).disabled,
  );
  expect(isDisabled).toBe(true);
  await press(page, "Outdoors, or the exhaust led out: fumes kill");
  await waitForWords(page, "a gate", STEP);
  expect(await heading()).toMatch(/^Outdoors/);
});

test("what is poured is counted, what is taken back is told as such, and both stay in the book", async () => {
  const { page } = app();
  await toStep("Fill with Fellmaster");
  expect(await stepWords()).toMatch(/out\s+11.9 L\s+in\s+3 L/);
  await press(page, "0.5 L in");
  await waitForWords(page, "3.5 L", `${STEP} dl`);
  await press(page, "Undo: 0.5 L in on 07");
  await page.waitForFunction(
    (selector) => document.querySelector(selector)?.textContent?.includes("in3 L"),
    {},
    STEP,
  );
  const told = await toldOfTheBus();
  const poured = told.filter((event) => event.do === "in").map(({ amount }) => amount);
  expect(poured).toEqual([3, 0.5]);
  expect(told.at(-1)).toMatchObject({ do: "undo", taken: { amount: 0.5 } });
});

test("told on another device, a pour is counted here after a hand-over, and whoever took it up sees to the cautions anew", async () => {
  const { page, address } = app();
  const text = await exportedText(page, address);
  const book = JSON.parse(text) as Book;
  const fill = book.jobs
    ?.find(({ id }) => id === "j-bus")
    ?.steps?.find(({ kind }) => kind === "fill");
  const last = Math.max(...(book.jobEvents ?? []).map(({ at }) => at));
  const event = { job: "j-bus", machine: "m-bus", by: "pe-rigg" };
  const theirs = {
    ...book,
    jobEvents: [
      ...(book.jobEvents ?? []),
      { ...event, id: "phone-1", at: last + 1, do: "take" },
      { ...event, id: "phone-2", at: last + 2, do: "in", step: fill?.id, amount: 2 },
    ],
  } as unknown as Book;
  await go(page, "hand-over");
  await waitForWords(page, "Choose the other book's file");
  await giveFile(page, "from-the-phone.yonderfell.json", bookFileText(theirs, "Phone", []));
  await waitForWords(page, "Added: 2 events of jobs");
  await press(page, "Take it in");
  await waitForWords(page, "2 records taken in");
  await go(page, "bench");
  await waitForWords(page, "5 L in");
  expect(await wordsOf(page, "main")).toMatch(/Engine oil and filter[\s\S]*Joss Rigg/);
  await go(page, "bench/m-bus/j-bus");
  // The first caution is shut again, and is what comes next.
  expect(await heading()).toMatch(/^Engine off, key out/);
});

test("a job is put down with what it waits for, and stands so on the Bench", async () => {
  const { page } = app();
  await press(page, "Put it down");
  await write(page, "What it waits for", "a washer");
  await page.keyboard.press("Enter");
  await waitForWords(page, "waits for a washer");
  expect(await page.title()).toMatch(/^Bench/);
});

test("another way of the library is chosen for a task, and stays chosen after a reload", async () => {
  const { page } = app();
  await go(page, "bench/new?machine=m-minibus&task=t-mini-oil");
  await waitForWords(page, "Drain through");
  await choose(page, "Way for: Engine oil and filter", "engine oil by suction");
  await waitForWords(page, "Suck out, probe to the bottom");
  await page.reload();
  await waitForWords(page, "Suck out, probe to the bottom");
  expect(await wordsOf(page, "main")).not.toContain("Drain through");
});
