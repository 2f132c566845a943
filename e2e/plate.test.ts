import { readBook } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, exportedText, press, save, write, go } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

test("a torque that looks like inch-pounds is asked about, and kept where it is right", async () => {
  const { page, address } = app();
  await go(page, "yard/m-minibus/plate");
  await press(page, "Add a point");
  await page.keyboard.type("transfer box plug");
  await write(page, "Torque", "240 ftlb");
  await waitForWords(page, "240 ft·lbf = 325.4 N·m");
  await waitForWords(page, "Inch-pounds? Usual here is 15–60 N·m.");
  await write(page, "Torque", "24 ftlb");
  await page.waitForFunction(() => !document.body.innerText.includes("Inch-pounds?"));
  await write(page, "How many there are", "0");
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "How many there are must be a whole number from 1 on.");
  await write(page, "How many there are", "2");
  await write(page, "Seal to renew", "copper ring 18 mm");
  await save(page);
  await waitForWords(page, "transfer box plug");
  const book = readBook(await exportedText(page, address));
  const points = book.ok ? (book.value.servicePoints ?? []) : [];
  expect(points.find((point) => point.name === "transfer box plug")).toMatchObject({
    machine: "m-minibus",
    count: 2,
    torque: { value: 24, unit: "ft-lbf" },
    seal: "copper ring 18 mm",
  });
});

test("a battery smaller than specified is seen on the machine at once, and no longer once it is right", async () => {
  const { page } = app();
  await go(page, "yard/m-trike/plate");
  await press(page, "Add a specification");
  await page.keyboard.type("Battery, cold cranking");
  await write(page, "At least", "640 A");
  await write(page, "As a quantity", "540");
  await save(page);
  await go(page, "yard/m-trike");
  await waitForWords(page, "Not as it should be");
  await waitForWords(page, "Battery, cold cranking");
  await go(page, "yard/m-trike/plate");
  await press(page, "Edit Battery, cold cranking");
  await write(page, "As a quantity", "680");
  await save(page);
  await go(page, "yard/m-trike");
  await page.waitForSelector("[data-strip]");
  expect(await wordsOf(page, "main")).not.toContain("Battery, cold cranking");
});

test("a preferred measure is shown beside what was typed, and alters nothing in the book", async () => {
  const { page, address } = app();
  const before = readBook(await exportedText(page, address));
  await go(page, "preferences");
  await press(page, "US customary");
  await go(page, "yard/m-bus/plate");
  await waitForWords(page, "13.31 US qt (12.6 L) with filter");
  const after = readBook(await exportedText(page, address));
  expect(after.ok && before.ok && after.value.fluids).toEqual(before.ok && before.value.fluids);
  await go(page, "preferences");
  await press(page, "as they were typed");
  await go(page, "yard/m-bus/plate");
  await waitForWords(page, "12.6 L with filter");
});

test("a bare quart is not guessed at: it is asked whose it is, and then shown with litres", async () => {
  const { page } = app();
  await go(page, "yard/m-minibus/plate");
  await press(page, "Add a fluid");
  await write(page, "System", "Washer bottle");
  await choose(page, "Kind", "washer");
  const field = "[role=group][aria-label='Capacity 1'] input";
  await page.waitForSelector(field);
  await page.click(field);
  await page.keyboard.type("3 qt");
  await waitForWords(page, "US or imperial? They differ by a fifth");
  await page.click(field, { count: 3 });
  await page.keyboard.type("3 imp qt");
  await waitForWords(page, "3 imp qt = 3.41 L");
});
