import type { Book, Sample } from "@yonderfell/core";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, go, press, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

const AWAITED = (label: string): string => `section[aria-label='Sample ${label}']`;

/** Takes a sample of the carrier's hydraulics under a label, and sends it. */
async function sent(label: string): Promise<void> {
  const { page } = app();
  await go(page, "rounds/samples/new?machine=m-carrier&fluid=f-carr-hyd");
  await write(page, "Label on the bottle", label);
  await press(page, "Write it down");
  await page.waitForSelector(AWAITED(label));
  await page.locator(`${AWAITED(label)} ::-p-xpath(.//button[starts-with(., 'Send it')])`).click();
}

async function samples(): Promise<readonly Sample[]> {
  const { samples: all = [] } = JSON.parse(await exportedText(app().page, app().address)) as Book;
  return all;
}

const ofLabel = async (label: string): Promise<readonly Sample[]> =>
  (await samples()).filter((sample) => sample.label === label);

test("a sample is taken with the lives of oil and machine, sent, answered and kept by a person's press", async () => {
  const { page } = app();
  await sent("plain 1");
  await waitForWords(page, "the laboratory has answered", AWAITED("plain 1"));
  expect((await ofLabel("plain 1"))[0]?.result).toBeUndefined();
  await go(page, "rounds/samples/m-carrier/f-carr-hyd");
  await press(page, "Keep the answer");
  await waitForWords(page, "What the sample of");
  const [sample] = await ofLabel("plain 1");
  expect(sample).toMatchObject({ online: true, result: { answer: 1 } });
  expect(sample?.oilLife).toBeGreaterThan(100);
  expect(sample?.life).toBeGreaterThan(3000);
});

test("another unit is asked about before anything is kept", async () => {
  const { page } = app();
  await sent("other-unit 1");
  await waitForWords(page, "usually in %", AWAITED("other-unit 1"));
  const keep = `${AWAITED("other-unit 1")} ::-p-xpath(.//button[. = 'Keep the answer'])`;
  expect(await page.$eval(keep, (button) => (button as HTMLButtonElement).disabled)).toBe(true);
  await press(page, "I have looked at it, and it is right so");
  await page.locator(keep).click();
  await page.waitForFunction(
    (part) => document.querySelector(part) === null,
    {},
    AWAITED("other-unit 1"),
  );
  const water = (await ofLabel("other-unit 1"))[0]?.result?.values["water"];
  expect(water).toBeGreaterThan(0.01);
  expect(water).toBeLessThan(0.2);
});

test("a second answer is asked about, and never takes the place of the first by itself", async () => {
  const { page } = app();
  await sent("twice 1");
  await waitForWords(page, "the laboratory has answered", AWAITED("twice 1"));
  await page.locator(`${AWAITED("twice 1")} ::-p-xpath(.//button[. = 'Keep the answer'])`).click();
  await waitForWords(page, "is kept already", AWAITED("twice 1"));
  await press(page, "Leave it: the one before holds");
  await page.waitForFunction(
    (part) => document.querySelector(part) === null,
    {},
    AWAITED("twice 1"),
  );
  expect((await ofLabel("twice 1"))[0]?.result).toMatchObject({ answer: 1, seen: 2 });
});

test("one that was lost is said so, and struck out with its reason", async () => {
  const { page } = app();
  await sent("lost 1");
  await waitForWords(page, "knows nothing of this label", AWAITED("lost 1"));
  await page.locator(`${AWAITED("lost 1")} ::-p-xpath(.//summary[. = 'Strike it out'])`).click();
  await page.locator(`${AWAITED("lost 1")} details[open] input`).fill("lost in the post");
  await page.keyboard.press("Enter");
  await page.waitForFunction(
    (part) => document.querySelector(part) === null,
    {},
    AWAITED("lost 1"),
  );
  const struck = await ofLabel("lost 1");
  expect(struck.map((one) => one.void === true)).toEqual([false, true]);
});

test("what stands out becomes a finding, and another interval is taken over with its reason", async () => {
  const { page } = app();
  await go(page, "rounds/samples/m-carrier/f-carr-oil");
  await press(page, "Make it a finding: next visit");
  await waitForWords(page, "It is a finding already");
  await press(page, "Take it over for Engine oil and filter");
  await waitForWords(page, "goes by it: sample 25/7");
  expect(await wordsOf(page, "main")).toContain("was every 100 h");
  const { findings = [], tasks = [] } = JSON.parse(await exportedText(page, app().address)) as Book;
  expect(findings.at(-1)).toMatchObject({ kind: "oil sample", verdict: "attend" });
  const task = tasks.find(({ id }) => id === "t-carr-oil");
  expect(task).toMatchObject({ regime: "measured" });
  expect(task?.regimes?.["measured"]?.[0]).toEqual({ meter: "hrs", every: 80 });
  expect(task?.regimes?.["hard use"]?.[0]).toEqual({ meter: "hrs", every: 100 });
});
