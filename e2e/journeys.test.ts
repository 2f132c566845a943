import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, onDay, press, save, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await onDay(app().page, "2026-11-23");
  await openDemonstration(app());
});

test("a journey says what it asks of its machine, and its work is put into a visit before departure", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead/journeys`);
  await waitForWords(page, "1 job before departure, on Fri 4 Dec.");
  await waitForWords(page, "Engine oil and filter");
  await choose(page, "Visit before departure", "Mon 7 Dec, 1 day kept clear");
  await waitForWords(page, "The visit leaves less than 2 days until departure");
  await choose(page, "Visit before departure", "Wed 2 Dec, 6 days kept clear");
  await press(page, "Put a visit of 1\u00a0job in the book");
  await waitForWords(page, "in the visit of Wed 2 Dec");
  await waitForWords(page, "1 job before departure, all in the book.");
  // The button is gone with its work; the keyboard stands beside where it was.
  await page.waitForFunction(() => document.activeElement?.tagName === "SELECT");
  await page.goto(`${address}ahead/visits`);
  await waitForWords(page, "All visits ahead");
  const line = await page.waitForSelector(
    "::-p-xpath(//button[@data-visit][.//span[text()='07']][contains(., 'accepted')])",
  );
  const text = await line?.evaluate((one) => (one as HTMLElement).innerText);
  expect(text).toContain("Wed\u00a02\u00a0Dec");
  // The bus is away from the 9th to the 17th: nothing is proposed for it then.
  const days = await page.$$eval("[data-visit]", (lines) =>
    lines
      .filter((one) => [...one.querySelectorAll("span")].some((span) => span.textContent === "07"))
      .map((one) => (one as HTMLElement).innerText.replaceAll("\u00a0", " ").slice(0, 10)),
  );
  expect(days.length).toBeGreaterThan(1);
  expect(days.filter((day) => /\b(9|1[0-7]) Dec/.test(day))).toEqual([]);
});

test("a journey is written down, worked out as it is saved, changed, and taken out", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead/journeys`);
  await waitForWords(page, "Book fair");
  await press(page, "Add a journey");
  await page.waitForSelector("[role=dialog]");
  await press(page, "Save");
  await waitForWords(page, "Choose the machine that goes.");
  await choose(page, "Machine", "H1 Hatchback");
  await write(page, "Where to, or which season", "Over the tops");
  await page.focus("[role=dialog] input[type=date]");
  await page.keyboard.type("12102026");
  await write(page, "Days away", "12");
  await write(page, "Coldest start", "-40");
  await save(page);
  await waitForWords(page, "Over the tops");
  const opener = await page.waitForSelector(
    "::-p-xpath(//h2/button[contains(., 'Over the tops')])",
  );
  await opener?.click();
  await waitForWords(page, "at its usual pace");
  await waitForWords(page, "is too thick for −40 °C");
  expect(await wordsOf(page)).toContain("10–21 Dec, 12 days, down to −40 °C");
  await press(page, "Change Over the tops");
  await page.waitForSelector("[role=dialog]");
  await press(page, "Take it out");
  await press(page, "Yes, take it out");
  await page.waitForFunction(() => !document.body.innerText.includes("Over the tops"));
});
