import type { Page } from "puppeteer-core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { onDay, press, textDownloadedBy } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  // What falls into which week depends on the day of the week.
  await onDay(app().page, "2026-11-23");
  await openDemonstration(app());
});

async function openVisits(page: Page, address: string): Promise<void> {
  await page.goto(`${address}ahead/visits`);
  await waitForWords(page, "All visits ahead");
}

/** The line of a machine's first visit. */
const LINE = (tag: string): string => `::-p-xpath(//button[@data-visit][.//span[text()='${tag}']])`;

async function lineOf(page: Page, tag: string): Promise<string> {
  const line = await page.waitForSelector(LINE(tag));
  const text = await line?.evaluate((one) => (one as HTMLElement).innerText);
  return (text ?? "").replaceAll("\u00a0", " ").replaceAll("\n", " ");
}

/** Waits until the first visit of a machine says so. */
async function waitForLine(page: Page, tag: string, words: string): Promise<string> {
  await page.waitForFunction(
    (machine: string, wanted: string) => {
      const lines = [...document.querySelectorAll<HTMLElement>("[data-visit]")];
      const line = lines.find((one) =>
        [...one.querySelectorAll("span")].some((span) => span.textContent === machine),
      );
      return line?.innerText.replaceAll("\u00a0", " ").includes(wanted) === true;
    },
    {},
    tag,
    words,
  );
  return lineOf(page, tag);
}

test("a proposed visit is moved by the keyboard with what it costs, kept in the book, and undone", async () => {
  const { page, address } = app();
  await openVisits(page, address);
  expect(await lineOf(page, "15")).toContain("proposed");
  const opener = await page.waitForSelector(LINE("15"));
  await opener?.focus();
  await page.keyboard.press("Enter");
  const before = await lineOf(page, "15");
  await page.waitForSelector("[role=group][aria-label^='Move it'] button");
  await page.focus("[role=group][aria-label^='Move it'] button");
  await page.keyboard.press("ArrowLeft");
  await waitForWords(page, "+");
  const moved = await lineOf(page, "15");
  expect(moved).not.toBe(before);
  // Nothing is kept until it is said so.
  await openVisits(page, address);
  expect(await lineOf(page, "15")).toBe(before);
  await (await page.waitForSelector(LINE("15")))?.click();
  await page.waitForSelector("[role=group][aria-label^='Move it'] button");
  await page.focus("[role=group][aria-label^='Move it'] button");
  await page.keyboard.press("ArrowLeft");
  const keep = await page.waitForSelector(
    "[role=group][aria-label^='Move it'] ::-p-text(Move to )",
  );
  await keep?.click();
  await waitForLine(page, "15", "accepted");
  // The visit in hand stays in hand: its panel is open and the keyboard is on its line.
  await page.waitForFunction(
    () =>
      document.activeElement?.getAttribute("aria-expanded") === "true" &&
      document.activeElement.hasAttribute("data-visit"),
  );
  await openVisits(page, address);
  const kept = await waitForLine(page, "15", "accepted");
  expect(kept.slice(0, 10)).toBe(moved.slice(0, 10));
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  expect(await waitForLine(page, "15", "proposed")).toBe(before);
});

test("a visit is dragged by its grip onto a week, to its cheapest day there, and left where it was", async () => {
  const { page, address } = app();
  // Tall enough for the ridge and the line to be in sight at once.
  await page.setViewport({ width: 1280, height: 1600 });
  await openVisits(page, address);
  const before = await lineOf(page, "12");
  const line = await page.waitForSelector(LINE("12"));
  const grip = await line?.evaluateHandle((one) => one.previousElementSibling as Element);
  const from = await grip?.asElement()?.clickablePoint();
  const weeks = await page.$$("[data-week]");
  const onto = await weeks[3]?.clickablePoint();
  if (from === undefined || onto === undefined)
    throw new Error("the grip and the week are in sight");
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 12, from.y - 12, { steps: 3 });
  // In one sweep and let go at once, as a quick hand does.
  await page.mouse.move(onto.x, onto.y);
  await page.mouse.up();
  const move = await page.waitForSelector(
    "[role=group][aria-label^='Move it'] ::-p-text(Move to )",
  );
  expect(await move?.evaluate((one) => one.textContent)).toMatch(/Move to \w+\s1[4-8]\sDec/);
  await press(page, "Leave it");
  await waitForLine(page, "12", before.slice(4, 9));
  await page.setViewport({ width: 1280, height: 800 });
});

test("a week's visits are accepted at once, one is pinned, a task is left out of it, and it is dropped", async () => {
  const { page, address } = app();
  await openVisits(page, address);
  await page.waitForSelector("[data-week]");
  await page.click("[data-week]");
  await waitForWords(page, "Week of");
  const monday = await page.$eval("[data-week]", (week) => week.getAttribute("data-week"));
  const inAddress = new URL(page.url()).searchParams.get("week") ?? "";
  expect(Date.parse(inAddress) / 86_400_000).toBe(Number(monday));
  await page.reload();
  await waitForWords(page, "Week of");
  const accept = await page.waitForSelector("::-p-text(of this week)");
  await accept?.click();
  await waitForWords(page, "visits are in the book.");
  await waitForLine(page, "33", "accepted");
  await (await page.waitForSelector(LINE("33")))?.click();
  await press(page, "Pin to this day");
  await waitForLine(page, "33", "pinned");
  // Said once it is certain; until then a further press changes nothing.
  await waitForWords(page, "is pinned to");
  await press(page, "Leave out Block heater tried");
  await page.waitForFunction(
    () => document.querySelector("[aria-label='Leave out Block heater tried']") === null,
  );
  await waitForWords(page, "Left out of");
  expect(await lineOf(page, "33")).not.toContain("Block heater tried");
  await press(page, "Drop the visit");
  await waitForLine(page, "33", "proposed");
});

test("a week too full is gone to from the top, and one press makes room in it", async () => {
  const { page, address } = app();
  await openVisits(page, address);
  await (await page.waitForSelector("button::-p-text(The week of)"))?.click();
  const move = await page.waitForSelector("section:has(#room) li");
  const words = await move?.evaluate((one) => one.textContent.replaceAll("\u00a0", " "));
  expect(words).toMatch(/^\d\d.* to (Mon|Tue|Wed|Thu|Fri) .* h, \+[\d.]+ cr$/);
  await press(page, "Move it");
  await page.waitForFunction(() => document.querySelector("#room") === null);
  await waitForWords(page, `${words?.slice(0, 2)} is on `);
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await page.waitForSelector("#room");
});

test("what cannot be kept to says so, and a day that is spared for it frees it", async () => {
  const { page, address } = app();
  await openVisits(page, address);
  const cannot = "section[aria-labelledby=cannot]";
  await page.waitForSelector(cannot);
  expect(await wordsOf(page, cannot)).toMatch(/on 01: it cannot be spared: on call/);
  const spare = await page.waitForSelector(`${cannot} button`);
  await spare?.click();
  await page.waitForFunction(
    (section: string) => document.querySelector(section) === null,
    {},
    cannot,
  );
  await waitForLine(page, "01", "accepted");
});

test("today stands on one sheet, and the missed visit is logged from it with all its tasks", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead/today`);
  await waitForWords(page, "and is not logged");
  expect(await wordsOf(page, "main")).toMatch(/Out of service[\s\S]*Due by law or warranty/);
  await press(page, "Log the visit of 31");
  await waitForWords(page, "Log work: 31 Bog pump");
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.click("button[type=submit]");
  await waitForWords(page, "Saved in the log.");
  await page.goto(`${address}ahead/today`);
  await waitForWords(page, "Due by law or warranty");
  await page.waitForFunction(() => !document.body.innerText.includes("is not logged"));
});

test("the calendar and the due list are handed over as files", async () => {
  const { page, address } = app();
  await openVisits(page, address);
  await page.waitForSelector("section[aria-labelledby=take-away] button:not([disabled])");
  const calendar = await textDownloadedBy(page, () => press(page, "Calendar"));
  expect(calendar).toMatch(/^BEGIN:VCALENDAR[\s\S]*UID:visit-v-hatch@yonderfell/);
  const list = await textDownloadedBy(page, () => press(page, "Due list as a table"));
  expect(list).toContain("Number,Machine,Task,State");
});
