import { dayOf, type Book, type Sample } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, giveFile, go, press, textDownloadedBy, write } from "./steps.js";
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

/** Between the margins of a page, in CSS pixels: A4 and Letter less 14 mm all round. */
const PAPERS = { a4: [687, 1016], letter: [710, 950] } as const;

/** How large the first page of the lorry's report is, printed on a paper. */
async function firstPageOn(
  paper: keyof typeof PAPERS,
): Promise<{ readonly wide: number; readonly high: number }> {
  const { page, address } = app();
  await page.emulateMediaType();
  await page.setViewport({ width: PAPERS[paper][0] + 56, height: 1200 });
  await page.goto(`${address}rounds/report/m-lorry?days=1100&paper=${paper}`);
  await page.waitForSelector(`.report-${paper}`);
  // Of this document: what was asked of the one before may come to it a moment after it is loaded.
  await page.emulateMediaType("print");
  await page.waitForFunction(
    (wanted) => getComputedStyle(document.body).page === wanted,
    {},
    `report-${paper}`,
  );
  return page.$eval("[data-first-page]", (part) => ({
    wide: part.getBoundingClientRect().width,
    high: part.getBoundingClientRect().height,
  }));
}

/** The first page fits A4 and Letter; the page is as wide as ever afterwards. */
async function expectOnePage(): Promise<void> {
  const { page } = app();
  try {
    for (const paper of ["a4", "letter"] as const) {
      const [width, height] = PAPERS[paper];
      const { wide, high } = await firstPageOn(paper);
      expect([paper, wide <= width + 1, high <= height]).toEqual([paper, true, true]);
    }
  } finally {
    await page.emulateMediaType();
    await page.setViewport({ width: 1280, height: 800 });
  }
}

test("a report fits one page first on A4 and Letter, tells what was not looked at, and is whole in its own file", async () => {
  const { page } = app();
  await expectOnePage();
  await page.goto(`${app().address}rounds/report/m-lorry`);
  await waitForWords(page, "24 of 28 checks were not looked at.");
  const file = await textDownloadedBy(page, () => press(page, "As a file"));
  for (const words of ["<style>", "Milky or rusty", "Warning lamps and dials", "left closed"]) {
    expect(file).toContain(words);
  }
  // Nothing from elsewhere, nothing that runs.
  expect(file).not.toMatch(/<script|<link|src="(?!data:)|url\(/);
  const shown = await wordsOf(page, ".report");
  // The page's own policy knows no style in it: only what is read is compared.
  const body = file.replace(/<style>.*?<\/style>/s, "");
  const inFile = await page.evaluate((html: string) => {
    const paper = new DOMParser().parseFromString(html, "text/html").querySelector(".report");
    return (paper?.textContent ?? "").replaceAll(/\s+/g, "");
  }, body);
  expect(inFile).toBe(shown.replaceAll(/\s+/g, ""));
});

test("a report of very much that was found still fits one page first, and has all of it in its details", async () => {
  const { page, address } = app();
  const book = demonstrationBook(dayOf("2026-11-23"));
  const long =
    "a sentence that goes on about what was seen, where, how it looked and what it may mean ".repeat(
      4,
    );
  const many = Array.from({ length: 16 }, (_, at) => ({
    ...{ id: `f-many-${at}`, machine: "m-lorry", found: "2026-11-01", what: `Thing ${at} ${long}` },
    ...{ verdict: "attend", evidence: long, consequence: long, todo: long, cost: 1000 + at },
    decision: (["now", "next visit", "declined"] as const)[at % 3],
    reason: long,
  }));
  await page.goto(`${address}books`);
  await giveFile(
    page,
    "much.yonderfell.json",
    JSON.stringify({
      ...book,
      name: "Much",
      findings: [...(book.findings ?? []), ...many],
    }),
  );
  await Promise.all([page.waitForNavigation(), press(page, "Keep it as a new book")]);
  await page.waitForSelector("[data-strip]");
  await expectOnePage();
  expect(await wordsOf(page, ".report")).toContain("more on the pages after this");
  const details = await wordsOf(page, ".report .details");
  for (const { what } of many) expect(details).toContain(what.slice(0, 12));
});

test("a report that is given to somebody stands in the log", async () => {
  const { page } = app();
  await go(page, "rounds/report/m-lunch");
  await write(page, "Given to", "the owner");
  await press(page, "Note it in the log");
  await waitForWords(page, "Noted in the log");
  const { entries = [] } = JSON.parse(await exportedText(page, app().address)) as Book;
  const note = entries.findLast(({ machine }) => machine === "m-lunch")?.note;
  expect(note).toMatch(
    /^Report of .* given to the owner: \d now, \d for the next visit, 1 declined\.$/,
  );
});

test("what was seen on taking on speaks for a decision, which one press makes", async () => {
  const { page } = app();
  await go(page, "yard/m-lorry/plan/baseline");
  await waitForWords(page, "These do not agree.");
  await press(page, "Rear axle oil: Flush it, now");
  await waitForWords(page, "to be done now");
  await press(page, "Gearbox oil: Leave it: tested sound");
  await waitForWords(page, "to be looked at again");
  await press(page, "Levels again tomorrow, cold");
  await waitForWords(page, "Levels again on ");
  const { entries = [], findings = [] } = JSON.parse(
    await exportedText(page, app().address),
  ) as Book;
  const own = entries.filter(({ machine }) => machine === "m-lorry").slice(-2);
  expect(own[0]?.wanted).toEqual(["t-lorry-axle"]);
  expect(own[0]?.note).toMatch(/^flush: /);
  expect(own[1]?.lookAgain?.[0]).toMatchObject({ task: "t-lorry-box", months: 6 });
  expect(findings.at(-1)).toMatchObject({ kind: "levels again", decision: "watch" });
});
