import type { Page } from "puppeteer-core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, focused, giveFile, onDay, press, save, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

const CALENDAR = [
  ...["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Skarrow Vale//Days off//EN"],
  ...["BEGIN:VEVENT", "UID:1@vale", "DTSTAMP:20260101T000000Z", "DTSTART;VALUE=DATE:20261207"],
  ...["DTEND;VALUE=DATE:20261209", "SUMMARY:Beacon days", "END:VEVENT"],
  ...["BEGIN:VEVENT", "UID:2@vale", "DTSTAMP:20260101T000000Z", "DTSTART:20261210T090000Z"],
  ...["SUMMARY:Talk", "END:VEVENT", "END:VCALENDAR", ""],
].join("\r\n");

beforeAll(async () => {
  // What falls into which week depends on the day of the week.
  await onDay(app().page, "2026-11-23");
  await openDemonstration(app());
});

async function openFleet(page: Page, address: string): Promise<void> {
  await page.goto(`${address}ahead/fleet`);
  await waitForWords(page, "What the plan changes");
}

/** Waits until nothing is looked for any more, and answers what is said of how good it is. */
async function found(page: Page): Promise<string> {
  await page.waitForFunction(() => document.querySelector("main progress") === null);
  return wordsOf(page, "section[aria-label='How good it is']");
}

test("holidays come in from a calendar, hours with hours are left out, and nothing is doubled", async () => {
  const { page, address } = app();
  await page.goto(`${address}workshop`);
  await waitForWords(page, "Days off");
  await giveFile(page, "vale.ics", CALENDAR);
  await waitForWords(page, "1 closure found. 1 appointment at an hour of the day is left out.");
  await press(page, "Close on it");
  await waitForWords(page, "The days off are in the book.");
  await waitForWords(page, "Beacon days");
  await giveFile(page, "vale.ics", CALENDAR);
  await waitForWords(page, "1 closure found, 1 of them there already.");
  await press(page, "Leave it");
  await giveFile(page, "vale.ics", "day;why");
  await waitForWords(page, "vale.ics could not be read as a calendar.");
});

test("the solver finds the best weeks in its worker, and says how near to the least they are", async () => {
  const { page, address } = app();
  await page.goto(`${address}workshop`);
  for (const name of ["Edda Thwaite", "Joss Rigg"]) {
    await press(page, `Edit ${name}`);
    await write(page, "Hours a week", "1.5");
    await save(page);
  }
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await openFleet(page, address);
  const words = await found(page);
  expect(words).not.toContain("could not be loaded");
  // From its first use on the solver is kept for when there is no network.
  await page.waitForFunction(async () => {
    const kept = await (await caches.open("solver")).keys();
    return kept.some(({ url }) => new URL(url).pathname.endsWith(".wasm"));
  });
  expect(words).toMatch(/within 0\.[012] %|there is no cheaper way/);
  expect(await wordsOf(page)).toContain("What cannot be held");
  // Nothing is put on a day that is closed.
  const days = await wordsOf(page, "main");
  expect(days).not.toMatch(/\b(Mon 7|Tue 8) Dec\n/);
});

test("a week of the plan is taken, then the whole, in one change that is taken back", async () => {
  const { page, address } = app();
  await openFleet(page, address);
  await found(page);
  const countIn = async (): Promise<string | undefined> =>
    /\d+ visits to accept/.exec(await wordsOf(page, "main"))?.[0];
  const before = await countIn();
  const [first] = await page.$$("::-p-aria([name='Take this week'][role='button'])");
  await first?.focus();
  await page.keyboard.press("Enter");
  await waitForWords(page, "Taken into the book: ");
  expect(await focused(page)).toBe("How good it is");
  await waitForWords(page, "What the plan changes");
  await found(page);
  const between = await countIn();
  expect(between).not.toBe(before);
  await page.focus("::-p-aria([name='Take the whole plan'])");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Nothing: what is accepted is what the plan would do.");
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await waitForWords(page, between ?? "no visits");
});

test("work that needs what nobody has is told, until somebody has it", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/m-bus/plan/task/t-bus-oil`);
  await write(page, "Needs of who does it, and where", "vacuum pump");
  await page.focus("button[type=submit]");
  await page.keyboard.press("Enter");
  await page.waitForFunction(() => location.pathname.endsWith("/plan"));
  await openFleet(page, address);
  await waitForWords(page, "Engine oil and filter on 07 needs vacuum pump, which nobody here has.");
  await page.goto(`${address}workshop`);
  await press(page, "Edit Joss Rigg");
  await write(page, "Skills", "vacuum pump, gas");
  await save(page);
  await press(page, "Add days off");
  await choose(page, "Who or what", "Joss Rigg");
  await page.$eval("[role=dialog] input[type=date]", (field) => {
    Reflect.set(HTMLInputElement.prototype, "value", "2026-11-24", field);
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
  await save(page);
  await waitForWords(page, "Joss Rigg away");
  await openFleet(page, address);
  await found(page);
  expect(await wordsOf(page)).not.toContain("which nobody here has");
});
