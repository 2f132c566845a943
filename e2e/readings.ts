import type { Page } from "puppeteer-core";
import type { Diary, Doing } from "./kills.js";

/** A check of the post van's round that is half done, which is read again and again. */
const AT = encodeURIComponent('["k-frost",null]');
const CHECK = "[aria-label='Check in hand']";
/** Each reading has a value of its own. */
const FIRST = -30;
const STEP = 0.001;

/** Reads a check of a round under way; a reading is shown when it stands among those that were read. */
async function readyReading(page: Page, address: string, diary: Diary): Promise<string> {
  diary.made += 1;
  const note = `reading ${diary.made}`;
  const value = (FIRST - diary.made * STEP).toFixed(3);
  await page.goto(`${address}rounds/m-post/n-18-1?at=${AT}`);
  await page.locator(`${CHECK} [data-reading] input`).fill(value);
  await page.waitForSelector(`${READ}:not([disabled])`);
  await page.evaluate(
    (words: string, selector: string) => {
      // No function of its own in here: run outside the tests it would bear a helper that the page does not have.
      const before = document.querySelector(selector)?.textContent ?? "";
      new MutationObserver((_changes, watching) => {
        if ((document.querySelector(selector)?.textContent ?? "") === before) return;
        watching.disconnect();
        void (window as unknown as { tellSaved: (note: string) => void }).tellSaved(words);
      }).observe(document.body, { childList: true, subtree: true, characterData: true });
    },
    note,
    `${CHECK} [role=status]`,
  );
  return note;
}

const READ = `${CHECK} [data-reading] button[type=submit]`;

/** A round at the machine: each reading that is shown must be there after a kill. */
export const READINGS: Doing = {
  ready: readyReading,
  press: READ,
  foundIn: ({ rounds = [] }) =>
    rounds
      .filter(({ id }) => id === "n-18-1")
      .flatMap(({ results = [] }) => results)
      .filter(({ check }) => check === "k-frost")
      .flatMap(({ readings = [] }) => readings)
      .map(({ value }) => `reading ${Math.round((FIRST - value) / STEP)}`),
};
