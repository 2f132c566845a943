import type { Book, Round } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { anotherTab, exportedText, go, press, save, write } from "./steps.js";
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

test("a finding made in one tab is in the other; closed there it is gone from both, and undone it is back in both", async () => {
  const { page, address } = app();
  const other = await anotherTab(page);
  await other.goto(`${address}yard/m-generator`);
  await waitForWords(other, "Note a finding");
  await page.bringToFront();
  await go(page, "yard/m-generator");
  await press(page, "Note a finding");
  await page.locator("[role=dialog] input").fill("Weep at the governor");
  await save(page);
  const line = "main a[aria-label='Log what puts right: Weep at the governor']";
  await go(page, "rounds/findings");
  await page.waitForSelector(line);
  await other.bringToFront();
  await waitForWords(other, "Weep at the governor");
  await go(other, "rounds/findings");
  await other.waitForSelector(line);
  await other
    .locator(
      "::-p-xpath(//main//a[contains(@href, 'finding=')][contains(., 'Weep at the governor')])",
    )
    .click();
  await press(other, "Close it without work");
  await write(other, "Who says so", "Edda Thwaite");
  await write(other, "How it is known to be right", "wiped, run an hour, dry");
  await press(other, "Close it");
  const isGone = (selector: string): boolean => document.querySelector(selector) === null;
  await other.waitForFunction(isGone, {}, line);
  await page.bringToFront();
  await page.waitForFunction(isGone, {}, line);
  await other.bringToFront();
  await other.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  await other.locator("header button[aria-label^='Undo']").click();
  await other.waitForSelector(line);
  await page.bringToFront();
  await page.waitForSelector(line);
  await other.close();
});

test("a finding becomes a task of the plan, what a round measured one that is due where it meets its limit", async () => {
  const { page } = app();
  await go(page, "rounds");
  await go(page, "rounds/findings?finding=fd-hatch-hose");
  await press(page, "Make it a task of the plan, to come back");
  await waitForWords(page, "It stays open until work that names it is logged.");
  await write(page, "Every", "6");
  await press(page, "Save the task");
  await waitForWords(page, "Every 6 months.", "main li");
  await go(page, "rounds/m-minibus/n-03-96");
  await page.locator("::-p-xpath(//a[starts-with(@aria-label, 'Put it on the plan: ')])").click();
  await waitForWords(page, "Its next turns, at the present pace");
  await press(page, "Save the task");
  await waitForWords(page, "When rounds measure", "main li");
  const { tasks = [], findings = [] } = JSON.parse(await exportedText(page, app().address)) as Book;
  const limitsOf = (wanted: string): unknown =>
    Object.values(tasks.find(({ name }) => name === wanted)?.regimes ?? {}).flat();
  expect(limitsOf("Fine cracks in a brake hose, right front")).toEqual([{ months: 6 }]);
  const worn = { checklist: "cl-wheels", check: "k-pads", point: "left", limit: 3 };
  expect(limitsOf("Front pads, left")).toEqual([expect.objectContaining(worn)]);
  expect(findings.find(({ id }) => id === "fd-hatch-hose")?.closed).toBeUndefined();
});
