import { openDemonstration, stripAfter, stripOf, waitForWords, wordsOf } from "./application.js";
import { anotherTab, logNote } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

test("two tabs that open the demonstration at once have one book", async () => {
  const { page, address } = app();
  const other = await anotherTab(page);
  await Promise.all([page, other].map((tab) => tab.goto(`${address}demonstration`)));
  for (const tab of [page, other]) {
    await tab.bringToFront();
    await tab.waitForSelector("[data-strip]");
  }
  await other.goto(`${address}books`);
  await waitForWords(other, "stands in this browser twice");
  expect(await other.$$eval("main li:has(button)", (rows) => rows.length)).toBe(1);
  await other.close();
});

test("what is logged in one tab moves the board of another that stands open", async () => {
  const { page, address } = app();
  await openDemonstration(app());
  const before = await stripOf(page, "t-bus-oil");
  const other = await anotherTab(page);
  await other.goto(`${address}log/m-bus?task=t-bus-oil`);
  await other.waitForSelector("[data-next='t-bus-oil']");
  await other.click("button[type=submit]");
  await waitForWords(other, "Saved in the log.");
  await page.bringToFront();
  const after = await stripAfter(page, "t-bus-oil", before);
  await other.bringToFront();
  await other.goto(`${address}ahead`);
  await other.waitForSelector("[data-strip]");
  expect(await stripOf(other, "t-bus-oil")).toBe(after);
  await other.close();
});

test("two tabs that correct one entry do not overwrite each other: the second is told, and keeps what it wrote", async () => {
  const { page, address } = app();
  await logNote(page, address, "m-bus", "Mirror glass replaced");
  await page.goto(`${address}yard/m-bus`);
  await waitForWords(page, "Mirror glass replaced");
  const path = await page.$eval("section[aria-labelledby=history] li a", (link) => link.pathname);
  const other = await anotherTab(page);
  for (const [tab, words] of [
    [page, ", left"],
    [other, ", right"],
  ] as const) {
    await tab.bringToFront();
    await tab.goto(`${address}${path.slice(1)}`);
    await tab.waitForSelector("textarea");
    await tab.type("textarea", words);
    await tab.waitForSelector("button[type=submit]:not([disabled])");
  }
  await page.bringToFront();
  await page.click("button[type=submit]");
  await waitForWords(page, "Corrected.");
  await other.bringToFront();
  await waitForWords(other, "corrected already");
  expect(await wordsOf(other)).not.toContain("Corrected.");
  const kept = await other.$eval("textarea", (field) => field.value);
  expect(kept).toContain(", right");
  await other.close();
});

test("each tab keeps the book it has open", async () => {
  const { page, address } = app();
  const other = await anotherTab(page);
  await other.goto(`${address}books`);
  await other.waitForSelector("form input", { visible: true });
  await other.type("form input", "Home garage");
  await Promise.all([other.waitForNavigation(), other.keyboard.press("Enter")]);
  await waitForWords(other, "Add the first machine");
  await page.bringToFront();
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  expect(await wordsOf(page, "header")).toContain("Skarrow Vale");
  await other.bringToFront();
  await other.reload();
  await waitForWords(other, "Home garage");
  await other.close();
});
