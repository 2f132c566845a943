import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { fullDiskTrial, loseStorage } from "./fullDisk.js";
import { exportedText, go, logNote, press } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

test("whatever was said to be saved is there after the disk was full, from the book or from its second trace", async () => {
  const { lost, faults, made, saved } = await fullDiskTrial(3);
  expect({ lost, faults }).toEqual({ lost: [], faults: [] });
  expect(made).toBeGreaterThan(2);
  expect(saved).toBeGreaterThanOrEqual(2);
}, 300_000);

test("a book that the browser has lost is offered back, whole, and is an ordinary book again", async () => {
  const { page, address } = app();
  await openDemonstration(app());
  await logNote(page, address, "m-bus", "Written before it was lost");
  await loseStorage(page, address, "indexeddb");
  await page.goto(`${address}ledger`);
  await waitForWords(page, "Lost here, and kept in a second trace");
  expect(await wordsOf(page, "[aria-labelledby=lost]")).toContain("15 machines");
  await press(page, "Put it back: Skarrow Vale");
  await page.waitForSelector("[data-strip]");
  await page.goto(`${address}ledger`);
  await waitForWords(page, "Written before it was lost");
  // What was put back is offered no more, and has a trace of its own.
  await page.goto(`${address}books`);
  await waitForWords(page, "stands in this browser twice");
  expect(await page.$("[aria-labelledby=lost]")).toBeNull();
});

test("nothing is said to be saved into a book whose storage was cleared under an open tab", async () => {
  const { page, address } = app();
  await exportedText(page, address);
  await waitForWords(page, "nothing changed since");
  await go(page, "log/m-bus");
  await page.waitForSelector("textarea");
  await page.type("textarea", "Written into nothing");
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await loseStorage(page, address, "all");
  await page.$eval("main button[type=submit]", (button) => button.click());
  await waitForWords(page, "It was not saved: this book is not in this browser any more");
  // What was typed can still be copied, and the last file is named.
  expect(await page.$eval("textarea", (field) => field.value)).toBe("Written into nothing");
  const words = await wordsOf(page);
  expect(words).toContain("Its last export is Skarrow-Vale-2");
  expect(words).not.toContain("Saved in the log.");
  await page.goto(`${address}ledger`);
  await waitForWords(page, "Begin an empty book");
  await waitForWords(page, "What you save will stand in this browser twice");
  expect(await page.$("[aria-labelledby=lost]")).toBeNull();
});
