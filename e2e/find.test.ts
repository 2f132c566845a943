import { openDemonstration, stripOf, waitForWords, wordsOf } from "./application.js";
import { press } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

async function find(words: string, awaited: string): Promise<void> {
  const { page } = app();
  await page.waitForSelector("[data-strip], main h1");
  await page.keyboard.press("/");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type(words);
  await page.waitForFunction(
    (wanted: string) =>
      document.querySelector("[cmdk-item][data-selected=true]")?.textContent.includes(wanted),
    {},
    awaited,
  );
}

test("a machine, a task and an entry are found and gone to by keys alone", async () => {
  const { page } = app();
  await openDemonstration(app());
  await find("flail", "Flail mower");
  await page.keyboard.press("Enter");
  await waitForWords(page, "12 Flail mower");
  expect(await wordsOf(page, "h1")).toBe("12 Flail mower");
  await find("07 coolant", "Coolant");
  await page.keyboard.press("Enter");
  await page.waitForSelector("[role=group][aria-label='Because: Coolant']");
  await find("07 ramp thorough", "Ramp lift");
  await page.keyboard.press("ArrowDown");
  // What is read out is the line in hand.
  await page.waitForFunction(() => {
    const told = document.activeElement?.getAttribute("aria-activedescendant") ?? "";
    const line = document.getElementById(told);
    return line?.previousElementSibling !== null && line?.ariaSelected === "true";
  });
  await page.keyboard.press("Enter");
  await page.waitForSelector("li[data-marked=true]");
  expect(await wordsOf(page, "li[data-marked=true]")).toContain("Ramp lift, thorough examination");
});

test("commands are found by name, and what fits nothing says so", async () => {
  const { page } = app();
  await find("hand-over", "Hand-over");
  await page.keyboard.press("Enter");
  await waitForWords(page, "takes what another copy of this book holds");
  await page.keyboard.press("/");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("qqqqq");
  await waitForWords(page, "Nothing in this book fits.");
  await page.keyboard.press("Escape");
});

test("the list of keys opens by its own, and single keys can be switched off", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  await page.keyboard.press("?");
  await waitForWords(page, "take back the last change of this tab");
  await page.keyboard.press("Escape");
  await page.goto(`${address}preferences`);
  await press(page, "off");
  await page.keyboard.press("1");
  await page.keyboard.press("/");
  expect(new URL(page.url()).pathname).toBe("/preferences");
  expect(await page.$("[role=dialog]")).toBeNull();
  await page.keyboard.down("Control");
  await page.keyboard.press("k");
  await page.keyboard.up("Control");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.press("Escape");
  await press(page, "on");
  await page.keyboard.press("1");
  await page.waitForSelector("[data-strip]");
});

test("figures are written and typed as preferred, distances left in the unit preferred", async () => {
  const { page, address } = app();
  await page.goto(`${address}preferences`);
  await press(page, "41.286,5");
  await press(page, "miles");
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  expect(await stripOf(page, "t-bus-oil")).toMatch(/\d+ mi left/);
  expect(await wordsOf(page, "main")).toMatch(/\d\.\d{3} km/);
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("12 2.010,5");
  await waitForWords(page, "engine hours: 2.010,5 h");
  await page.keyboard.press("Escape");
  await page.goto(`${address}preferences`);
  await press(page, "41\u00a0286.5");
  await press(page, "as each dial counts");
});

test("the windows of the book move what is due and soon, and can be taken back", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  expect(await stripOf(page, "t-bus-oil")).toContain("soon");
  await page.goto(`${address}preferences`);
  await waitForWords(page, "What makes a task due");
  const field = await page.$$("input[inputmode=numeric]");
  await field[1]?.click({ count: 3 });
  await page.keyboard.type("2");
  await press(page, "Save the windows");
  await waitForWords(page, "Saved. The board is reckoned anew.");
  await page.goto(`${address}ahead`);
  await waitForWords(page, "Engine oil and filter");
  await page.waitForFunction(() =>
    document.querySelector("[data-strip='t-bus-oil']")?.textContent.includes("clear"),
  );
  await press(page, "Undo: settings of the book");
  await page.waitForFunction(() =>
    document.querySelector("[data-strip='t-bus-oil']")?.textContent.includes("soon"),
  );
});
