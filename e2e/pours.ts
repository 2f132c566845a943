import type { Page } from "puppeteer-core";
import type { Diary, Doing } from "./kills.js";

/** Litres that are poured into the bus, each pour of an amount of its own. */
const LITRES_A_POUR = 0.001;
const POUR = "[aria-label='Step in hand'] form button[type=submit]";
const FILLING = "[aria-label='Step in hand'] dl";

/** Pours into the bus on the Bench; a pour is shown when it stands in the sum of what is in. */
async function readyPour(page: Page, address: string, diary: Diary): Promise<string> {
  diary.made += 1;
  const note = `pour ${diary.made}`;
  const amount = (diary.made * LITRES_A_POUR).toFixed(3);
  await page.goto(`${address}bench/m-bus/j-bus`);
  const step = await page.waitForSelector(
    "::-p-xpath(//nav[@aria-label='Steps']//button[contains(., 'Fill with')])",
  );
  await step?.click();
  await page.waitForSelector(FILLING);
  await page.locator("[placeholder='litres in']").fill(amount);
  await page.waitForSelector(`${POUR}:not([disabled])`);
  await page.evaluate((words: string) => {
    const shown = (): string =>
      document.querySelector("[aria-label='Step in hand'] dl")?.textContent ?? "";
    const before = shown();
    new MutationObserver((_changes, watching) => {
      if (shown() === before) return;
      watching.disconnect();
      void (window as unknown as { tellSaved: (note: string) => void }).tellSaved(words);
    }).observe(document.body, { childList: true, subtree: true, characterData: true });
  }, note);
  return note;
}

/** Work on the Bench: each tap that is shown must be there after a kill. */
export const POURS: Doing = {
  ready: readyPour,
  press: POUR,
  foundIn: ({ jobEvents = [] }) =>
    jobEvents.flatMap(({ do: what, amount, job }) =>
      what === "in" && job === "j-bus" && (amount ?? 1) < 1
        ? [`pour ${Math.round((amount ?? 0) / LITRES_A_POUR)}`]
        : [],
    ),
};
