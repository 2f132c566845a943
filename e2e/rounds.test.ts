import type { Book, Round } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, go, press, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
const CHECK = "[aria-label='Check in hand']";
let interactions = 0;

/** One press, or one field filled and left. */
async function act(doing: Promise<unknown>): Promise<void> {
  await doing;
  interactions += 1;
}

const heading = (): Promise<string> =>
  app().page.$eval(`${CHECK} h2`, (element) => element.textContent ?? "");

/** Waits until another check is in hand, or the end of the round. */
async function anotherThan(before: string): Promise<void> {
  await app().page.waitForFunction(
    (selector, was) => {
      if (document.querySelector("[aria-label='End of the round']") !== null) return true;
      const words = document.querySelector(`${selector} h2`)?.textContent ?? was;
      return words !== was;
    },
    {},
    CHECK,
    before,
  );
}

const isAtTheEnd = async (): Promise<boolean> =>
  (await app().page.$("[aria-label='End of the round']")) !== null;

/** Begins a round of a machine by a checklist. */
async function begin(machine: string, name: string): Promise<void> {
  const { page } = app();
  await go(page, `rounds/new?machine=${machine}`);
  await waitForWords(page, name);
  interactions = 0;
  const list = await page.waitForSelector(`::-p-xpath(//button[starts-with(., "${name}")])`);
  // By the keyboard: a note on what was done before may lie over it.
  await list?.focus();
  await act(page.keyboard.press("Enter"));
  await page.waitForSelector(`${CHECK} h2`);
}

const SOUND = `${CHECK} [aria-label=Verdict] button`;

/** Says that a check is sound; it goes on by itself. */
async function sound(): Promise<void> {
  const before = await heading();
  await act(app().page.locator(SOUND).click());
  await anotherThan(before);
}

/** Types a reading, and goes on to what is next. */
async function read(value: string): Promise<void> {
  const { page } = app();
  const before = await heading();
  await act(
    (async () => {
      await page.locator(`${CHECK} [data-reading] input`).fill(value);
      await page.keyboard.press("Enter");
    })(),
  );
  const next = `${CHECK} button[data-action]:not([disabled])`;
  await page.waitForSelector(`${CHECK} [role=status] strong`);
  await page.waitForSelector(next);
  await act(page.locator(next).click());
  await anotherThan(before);
}

async function finish(): Promise<void> {
  const { page } = app();
  await act(press(page, "Finish the round"));
  await waitForWords(page, "All checks");
}

const lastRound = async (): Promise<Round> => {
  const { rounds = [] } = JSON.parse(await exportedText(app().page, app().address)) as Book;
  return rounds.at(-1) as Round;
};

beforeAll(async () => {
  await app().page.setViewport({ width: 390, height: 844 });
  await openDemonstration(app());
});

test("a daily walk round of twelve checks with nothing found takes fourteen interactions at most", async () => {
  await begin("m-bus", "Before use, bus or lorry");
  let checks = 0;
  for (; !(await isAtTheEnd()); checks += 1) await sound();
  await finish();
  expect([checks, interactions]).toEqual([12, 14]);
  await begin("m-bus", "After use, bus or lorry");
  while (!(await isAtTheEnd())) await sound();
  await finish();
  expect(interactions).toBeLessThanOrEqual(9);
});

test("a monthly round of twenty checks with three readings takes thirty interactions at most", async () => {
  const readings = ["-34", "1", "12.7"];
  await begin("m-lunch", "Monthly, bonnet open");
  while (!(await isAtTheEnd())) {
    if ((await app().page.$(`${CHECK} [data-reading]`)) === null) await sound();
    else await read(readings.shift() ?? "");
  }
  await finish();
  expect(readings).toEqual([]);
  expect(interactions).toBeLessThanOrEqual(30);
  const round = await lastRound();
  expect(round).toMatchObject({ machine: "m-lunch", finished: true });
  expect(round.results).toHaveLength(20);
});

test("near a limit it is read again; what is not sound is a finding at once, stop takes the machine out of service, and all of it stays when the round is left", async () => {
  const { page } = app();
  await begin("m-hatch", "Wheels off");
  await page.locator(`${CHECK} [data-reading] input`).fill("3.1");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Too close to call: read it once more.", CHECK);
  await page.waitForSelector("::-p-xpath(//button[@disabled and contains(., 'Read it again')])");
  await page.locator(`${CHECK} [data-reading] input`).fill("2.2");
  await page.keyboard.press("Enter");
  await waitForWords(page, "A finding is made of it: now", CHECK);
  await go(page, "rounds");
  await waitForWords(page, "Under way");
  expect(await wordsOf(page, "main")).toMatch(/Wheels off[\s\S]*1 thing found[\s\S]*1 of 8/);
  await go(page, "rounds/findings");
  await waitForWords(page, "2.65 mm (least 3, handbook)");
  await go(page, "yard/m-hatch");
  await waitForWords(page, "Front pads, left");
  const { machines = [], findings = [] } = JSON.parse(
    await exportedText(page, app().address),
  ) as Book;
  expect(machines.find(({ id }) => id === "m-hatch")?.stops?.at(-1)).toMatchObject({
    reason: "Front pads, left",
  });
  expect(findings.at(-1)).toMatchObject({ verdict: "stop", decision: "now" });
});

test("a verdict against the figures, and one without a look, need their reason", async () => {
  const { page } = app();
  await begin("m-minibus", "Wheels off, all round");
  await page.locator(`${CHECK} [data-reading] input`).fill("4");
  await page.keyboard.press("Enter");
  await waitForWords(page, "A finding is made of it: watch", CHECK);
  await act(page.locator(SOUND).click());
  await waitForWords(page, "Why sound, where the figures say watch", CHECK);
  await page
    .locator("::-p-xpath(//label[starts-with(., 'Why sound')]//input)")
    .fill("new ones next week");
  const before = await heading();
  await page.keyboard.press("Enter");
  await anotherThan(before);
  const { results = [] } = await lastRound();
  expect(results[0]).toMatchObject({
    ...{ verdict: "sound", reason: "new ones next week" },
    judgedBy: { watchLeast: 4.5 },
  });
});

test("what was sound last time at a station is told at once, each of it in sight; never what is measured or can stop the machine", async () => {
  const { page } = app();
  await begin("m-lunch", "Monthly, bonnet open");
  const box = "section[aria-label^='As last time']";
  while ((await page.$(box)) === null) {
    if ((await page.$(`${CHECK} [data-reading]`)) === null) await sound();
    else await read((await heading()) === "Battery at rest" ? "12.7" : "-34");
  }
  const named = await page.$$eval(`${box} li`, (lines) => lines.map((one) => one.textContent));
  expect(named.length).toBeGreaterThan(1);
  const before = await heading();
  await page.focus(`${box} button`);
  await page.keyboard.press("Enter");
  await anotherThan(before);
  const { results = [] } = await lastRound();
  const told = results.filter(({ note }) => note?.startsWith("as on "));
  expect(told.map(({ verdict }) => verdict)).toEqual(named.map(() => "sound"));
  expect(told.flatMap(({ readings = [] }) => readings)).toEqual([]);
});

test("a checklist is copied, changed and walked", async () => {
  const { page } = app();
  await go(page, "rounds/checklists/new?after=cl-after-use-bus-or-lorry");
  await waitForWords(page, "which stays as it is");
  await write(page, "Name", "Shed door");
  await page
    .locator("::-p-xpath(//button[starts-with(@aria-label, 'Leave out check 1,')])")
    .click();
  await press(page, "Another check");
  await write(page, "What is checked", "Door shut");
  await press(page, "Save the checklist");
  await waitForWords(page, "In this book");
  await begin("m-bus", "Shed door");
  const names: string[] = [];
  while (!(await isAtTheEnd())) {
    names.push(await heading());
    await sound();
  }
  expect(names.at(-1)).toBe("Door shut");
  await finish();
  const { checklists = [] } = JSON.parse(await exportedText(page, app().address)) as Book;
  const made = checklists.find(({ name }) => name === "Shed door");
  expect((made?.checks ?? []).map(({ name }) => name)).toEqual(names);
  expect(checklists.filter(({ name }) => name.startsWith("After use"))).toHaveLength(1);
});
