import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { go, press } from "./steps.js";
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

/** Waits until another step is in hand. */
async function anotherThan(before: string): Promise<void> {
  await app().page.waitForFunction(
    (selector, was) => (document.querySelector(`${selector} h2`)?.textContent ?? was) !== was,
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
      await waitForWords(app().page, `${out} L`, STEP);
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
  await page.waitForSelector(`${STEP} h2`);
  await throughTheCard("3.6", "3.7");
  await act(press(page, "Finish: write it in the log"));
  await waitForWords(page, "Also written");
  await act(press(page, "Save in the log"));
  await waitForWords(page, "Saved in the log.");
  expect(interactions).toBeLessThanOrEqual(30);
  await go(page, "yard/m-hatch");
  await waitForWords(page, "3.7 L");
});
