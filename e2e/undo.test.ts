import { openDemonstration, stripAfter, stripOf, waitForWords, wordsOf } from "./application.js";
import { anotherTab, logNote, press } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
const TASK = "t-bus-oil";

async function logOil(): Promise<void> {
  const { page, address } = app();
  await page.goto(`${address}log/m-bus?task=${TASK}`);
  await page.waitForSelector(`[data-next='${TASK}']`);
  await page.click("button[type=submit]");
  await waitForWords(page, "Saved in the log.");
}

const combined = async (...keys: ("Control" | "Shift" | "z")[]): Promise<void> => {
  const { page } = app();
  for (const key of keys) await page.keyboard.down(key);
  for (const key of [...keys].reverse()) await page.keyboard.up(key);
};

test("work is taken back and made again by keys, named each time, and the strip follows", async () => {
  const { page, address } = app();
  await openDemonstration(app());
  const before = await stripOf(page, TASK);
  await logOil();
  // What follows from the work comes after it and moves the way on.
  await page.locator("main a[href='/ahead']").click();
  const logged = await stripAfter(page, TASK, before);
  const name = await page.$eval("header button[aria-label^='Undo']", (button) => button.ariaLabel);
  expect(name).toMatch(/^Undo: work on 07, \d+.+: engine oil and filter$/);
  await combined("Control", "z");
  expect(await stripAfter(page, TASK, logged)).toBe(before);
  await waitForWords(page, "Undone: work on 07");
  expect(await wordsOf(page)).not.toContain("Saved in the log.");
  await combined("Control", "Shift", "z");
  expect(await stripAfter(page, TASK, before)).toBe(logged);
  await waitForWords(page, "Done again: work on 07");
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  await press(page, String(name));
  expect(await stripAfter(page, TASK, logged)).toBe(before);
});

test("inside a field the keys undo typing and nothing else", async () => {
  const { page } = app();
  await logOil();
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("07");
  await combined("Control", "z");
  await page.keyboard.press("Escape");
  expect(await page.$("header button[aria-label^='Undo']")).not.toBeNull();
  expect(await wordsOf(page)).not.toContain("Undone");
});

test("what was corrected elsewhere is not taken back: it says why, and nothing is changed", async () => {
  const { page, address } = app();
  await logNote(page, address, "m-mower", "Guard bolt replaced");
  const other = await anotherTab(page);
  await other.goto(`${address}yard/m-mower`);
  await waitForWords(other, "Guard bolt replaced");
  await other.click("section[aria-labelledby=history] li a");
  await other.waitForSelector("textarea");
  await other.type("textarea", ", and its nut");
  await other.click("button[type=submit]");
  await waitForWords(other, "Corrected.");
  await page.bringToFront();
  await combined("Control", "z");
  await waitForWords(page, "cannot be undone");
  expect(await wordsOf(page)).toContain("other records stand on it");
  expect(await wordsOf(page)).toContain("Nothing was changed.");
  await other.bringToFront();
  await other.goto(`${address}yard/m-mower`);
  await waitForWords(other, "Guard bolt replaced, and its nut");
  await other.close();
});
