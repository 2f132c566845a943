import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { choose, press, save, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

test("a part is written down, priced, and taken by a machine for its tasks", async () => {
  const { page, address } = app();
  await page.goto(`${address}stores/numbers`);
  await press(page, "Add a part");
  await write(page, "What it is", "Drain plug seal 20 mm");
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "Give the number it is ordered by.");
  await write(page, "Number", "W 20");
  await write(page, "How many come in a pack", "5");
  await press(page, "Add a price");
  await write(page, "From", "Corrie Factors");
  await write(page, "Price", "1.25");
  await save(page);
  await waitForWords(page, "1.25 cr, Corrie Factors");
  await page.goto(`${address}yard/m-minibus/parts`);
  await waitForWords(page, "Which filters, belts, plugs and seals it takes");
  await press(page, "Add a part it takes");
  await waitForWords(page, "Needed for");
  await choose(page, "Part", "Drain plug seal 20 mm");
  await press(page, "Engine oil and filter");
  await write(page, "Where", "sump plug");
  await save(page);
  await page.waitForSelector("main li");
  const words = await wordsOf(page, "main li");
  expect(words).toContain("Drain plug seal 20 mm");
  expect(words).toContain("Engine oil and filter");
});

test("a part that a machine takes is not taken out from under it", async () => {
  const { page, address } = app();
  await page.goto(`${address}stores/numbers`);
  await press(page, "Edit Drain plug seal 20 mm W 20");
  await press(page, "Take it out");
  await press(page, "Yes, take it out");
  await waitForWords(page, "Not saved: other records stand on it");
  await page.keyboard.press("Escape");
  await waitForWords(page, "Drain plug seal 20 mm");
});

test("a product that claims what is required covers it once it is in", async () => {
  const { page, address } = app();
  await page.goto(`${address}stores/numbers`);
  await press(page, "Add a fluid product");
  await write(page, "Called", "Screefast 5.1");
  await choose(page, "Kind", "brake fluid");
  await choose(page, "Type", "5.1");
  await write(page, "Codes and approvals its label claims, apart by commas", "DOT 5.1, DOT 4");
  await save(page);
  await page.goto(`${address}yard/m-post/plate`);
  await waitForWords(page, "not shown to meet DOT 5.1");
  await press(page, "Edit brakes");
  await choose(page, "In it now", "Screefast 5.1");
  await save(page);
  await page.waitForFunction(() => !document.body.innerText.includes("not shown to meet DOT 5.1"));
});

test("coolants that must not mix are refused with the reason, unless it was flushed", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/m-mower/plate`);
  await waitForWords(page, "its family is not conventional; do not mix, flush");
  await press(page, "What would do in cooling system");
  await waitForWords(page, "Rime Classic, conventional");
  await waitForWords(
    page,
    "Refused: conventional and organic acid coolants must not mix; flush first.",
  );
  await page.keyboard.press("Escape");
  await press(page, "Edit cooling system");
  await choose(page, "In it now", "Rime Classic");
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "coolants must not mix; flush first.");
  await press(page, "It was flushed before the other went in");
  await save(page);
  await page.waitForFunction(() => !document.body.innerText.includes("do not mix, flush"));
});

test("an override needs its reason, and then governs", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/m-minibus/plate`);
  await waitForWords(page, "not what is specified");
  await press(page, "Edit Rear wiper");
  await press(page, "Another part's maker sets something else");
  await waitForWords(page, "Instead of the handbook");
  await page.evaluate(() => {
    const legends = [...document.querySelectorAll("[role=dialog] legend")];
    const own = legends.find((one) => one.textContent === "Instead of the handbook");
    own?.parentElement?.querySelector("input")?.focus();
  });
  await page.keyboard.type("WB 350");
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "Say why it overrides the handbook.");
  await write(page, "Why", "rear door of another year");
  await save(page);
  await waitForWords(page, "overrides WB 400 of the handbook: rear door of another year");
  await page.waitForFunction(() => !document.body.innerText.includes("not what is specified"));
});

test("facts are saved, a number another machine has is refused, and a lay-up moves the forecasts", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/m-mower`);
  await page.waitForSelector("[data-strip='t-mower-oil']");
  const before = await wordsOf(page, "[data-strip='t-mower-oil']");
  await page.goto(`${address}yard/m-mower/facts`);
  await write(page, "Number", "07");
  await press(page, "Save the facts");
  await waitForWords(page, "The number 07 belongs to Library bus; choose another.");
  await write(page, "Number", "12");
  await press(page, "Add a lay-up");
  await press(page, "Dec");
  await press(page, "Jan");
  await press(page, "Save the facts");
  await waitForWords(page, "Saved.");
  await page.goto(`${address}yard/m-mower`);
  await page.waitForFunction(
    (earlier: string) => {
      const strip = document.querySelector<HTMLElement>("[data-strip='t-mower-oil']");
      return strip !== null && strip.innerText.replaceAll("\u00a0", " ") !== earlier;
    },
    {},
    before,
  );
});

test("people, bays and places are written down; one that is referred to stays", async () => {
  const { page, address } = app();
  await page.goto(`${address}workshop`);
  await press(page, "Add a person");
  await write(page, "Name", "Nan Postlethwaite");
  await write(page, "Initials for the record", "NP");
  await write(page, "Hours a week", "8");
  await save(page);
  await waitForWords(page, "Nan Postlethwaite");
  await waitForWords(page, "8 h a week");
  await press(page, "Edit Top Station");
  await press(page, "Take it out");
  await press(page, "Yes, take it out");
  await waitForWords(page, "Not saved: other records stand on it");
});

test("the Yard is found by words and put together by kind, and stands so when one comes back", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard`);
  await write(page, "Number, name, kind or place", "moss");
  await waitForWords(page, "3 of 15 machines");
  await page.goto(`${address}yard?by=kind&find=van`);
  await waitForWords(page, "3 of 15 machines");
  expect(
    await page.$$eval("main h2", (titles) =>
      titles.map((title) => title.innerText.split(/\s\d/)[0]),
    ),
  ).toEqual(["Electric van", "Van"]);
});

test("what the book calls its money, and whose quarts a bare word means, are set in preferences and undone", async () => {
  const { page, address } = app();
  await page.goto(`${address}preferences`);
  await write(page, "What stands behind an amount of money", "marks");
  await waitForWords(page, "An amount is then written 1 240.50 marks");
  await page.select("form select", "imperial");
  await press(page, "Save these");
  await waitForWords(page, "Saved.");
  await page.goto(`${address}stores/numbers`);
  await waitForWords(page, "1.25 marks, Corrie Factors");
  await page.goto(`${address}preferences`);
  await press(page, "Undo: settings of the book");
  await page.waitForFunction(
    () => document.querySelector<HTMLSelectElement>("form select")?.value === "",
  );
});

test("a part is found by a few words, and the Stores show it", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  await page.keyboard.press("/");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("drain seal 20");
  await waitForWords(page, "Drain plug seal 20 mm W 20");
  await page.keyboard.press("Enter");
  await page.waitForFunction(() => location.pathname === "/stores/numbers");
  await waitForWords(page, "Parts 1");
});
