import Papa from "papaparse";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { go, onDay, press, textDownloadedBy } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  // Its figures are of one day.
  await onDay(app().page, "2026-11-23");
  await openDemonstration(app());
});

const plain = (words: string): string => words.replaceAll(/[\u00a0\u2060]/g, " ");

/** The titles of what is proposed. */
const proposed = async (): Promise<string[]> =>
  (await app().page.$$eval("main li h3", (all) => all.map((one) => one.textContent))).map(plain);

const FLAILS = "Flails and rotor bearings looked over: every 20 h instead of 25 h";
const ENGINE = "Engine takes more than twice what it used to: look where it goes";
const SUMP = "Engine, with filter: 3.50 L instead of 3.80 L";

/** What the records of a machine teach; loaded, as the page's title is the same for all. */
const at = (machine: string): Promise<unknown> =>
  app().page.goto(`${app().address}ledger/learning?machine=${machine}`);

/** Waits until a proposal stands, or stands no more. */
async function waitForProposal(title: string, isThere: boolean): Promise<void> {
  await app().page.waitForFunction(
    (wanted, there) =>
      [...document.querySelectorAll("main li h3")].some(
        ({ textContent }) => textContent.replaceAll(/[\u00a0\u2060]/g, " ") === wanted,
      ) === there,
    {},
    title,
    isThere,
  );
}

/** Presses a button by its whole name, by the keyboard: a notice may lie over it. */
async function answer(name: string): Promise<void> {
  const { page } = app();
  await page.focus(`::-p-aria([name='${name}'][role='button'])`);
  await page.keyboard.press("Enter");
}

test("what the records speak for is proposed with its reason and what it stands on, and nothing changes by itself", async () => {
  const { page } = app();
  await go(page, "ledger/learning");
  await waitForProposal(FLAILS, true);
  expect(await proposed()).toEqual(expect.arrayContaining([FLAILS, ENGINE, SUMP]));
  const words = plain(await wordsOf(page, "main"));
  expect(words).toContain("Worse than expected at the last two turns");
  expect(words).toContain("The handbook gives every 50 h.");
  const rows = Papa.parse<string[]>(await textDownloadedBy(page, () => press(page, "As a table")), {
    skipEmptyLines: true,
  }).data;
  expect(rows.map((row) => plain(row[2] ?? ""))).toEqual(["Proposed", ...(await proposed())]);

  const stands = await page.waitForSelector(
    `::-p-xpath(//li[.//h3[contains(., "Flails")]]//summary)`,
  );
  await stands?.press("Enter");
  await waitForWords(page, "rotor bearing, end play: attend");
  await go(page, "yard/m-mower/plan/task/t-mower-flails");
  await waitForWords(page, "It reads");
  expect(plain(await wordsOf(page, "main"))).toContain("Every 25 h.");
});

test("a proposal is done, put off, and set aside for good, each in one press that can be taken back", async () => {
  const { page } = app();
  await at("m-mower");
  await waitForProposal(ENGINE, true);
  await answer(`Do so: note it as a finding, 12 ${ENGINE}`);
  await waitForProposal(ENGINE, false);
  await waitForWords(page, "Noted as a finding.");
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await waitForWords(page, "Undone: ");
  await waitForProposal(ENGINE, true);
  await waitForProposal(FLAILS, true);
  await answer(
    `Do so: every 20\u00a0h, 12 Flails and rotor bearings looked over: every 20\u00a0h instead of 25\u00a0h`,
  );
  await waitForProposal(FLAILS, false);
  await waitForWords(page, "too little is known since it was changed");
  await go(page, "yard/m-mower/plan/task/t-mower-flails");
  await waitForWords(page, "Every 20 h.");
  const typed = await page.$$eval("main input, main textarea", (all) =>
    all.map((one) => (one as HTMLInputElement).value),
  );
  expect(plain(typed.join("\n"))).toContain("It was every 25 h.");

  await at("m-mower");
  await waitForProposal(ENGINE, true);
  await answer(`Not now: 12 ${ENGINE}`);
  await waitForProposal(ENGINE, false);
  // What was pressed is gone: the focus is not lost with it.
  await page.waitForFunction(() => document.activeElement?.id === "proposed");
  await waitForWords(page, "it comes again in 90 days");
  await answer(`Bring it back: 12 ${ENGINE}`);
  await waitForProposal(ENGINE, true);
  await answer(`Never for this machine: 12 ${ENGINE}`);
  await waitForProposal(ENGINE, false);
  await answer(`Bring it back: 12 ${ENGINE}`);
  await waitForProposal(ENGINE, true);
  await answer(`Do so: note it as a finding, 12 ${ENGINE}`);
  await waitForProposal(ENGINE, false);
  await go(page, "rounds/findings");
  await waitForWords(page, "Takes more than it used to, engine");
});

test("a learned capacity is taken as the figure to work by, with its reason on the plate", async () => {
  const { page } = app();
  await at("m-hatch");
  await waitForProposal(SUMP, true);
  await answer("Do so: work by 3.50 L, H1 Engine, with filter: 3.50 L instead of 3.80 L");
  await waitForProposal(SUMP, false);
  await go(page, "yard/m-hatch/plate");
  await waitForWords(page, "own experience");
  expect(plain(await wordsOf(page, "main"))).toContain("The middle of 3 fills to the mark");
});

test("what one machine teaches stands in tables, its chart with them, and what is too little known says so", async () => {
  const { page } = app();
  await at("m-mower");
  await waitForWords(page, "Usual is 0.21 L by 100 h, the middle of 6");
  await page.waitForSelector("canvas[role=img]");
  const spans = await page.$$eval("[aria-label='engine, between services'] tbody tr", (all) =>
    all.map((row) => row.lastElementChild?.textContent ?? ""),
  );
  expect(spans.map(plain)).toContain("0.58 L by 100 h");
  expect(plain(await wordsOf(page, "main"))).toMatch(
    /T 58-102 Oil filter, spin-on\s+Corrie Factors\s+7\s+15\d h, 14\d to 15\d h/,
  );

  await page.select("::-p-aria([name='Machine'])", "m-bus");
  await waitForWords(page, "Too little is known: nothing was topped up between two services");
  expect(page.url()).toContain("machine=m-bus");
  const before = await wordsOf(page, "[aria-label='Estimates as a table']");
  expect(plain(before)).toContain("42 % below");
  await answer("Take it over: minutes of Brake fluid");
  await page.waitForFunction(
    () => document.querySelector("[aria-label='Take it over: minutes of Brake fluid']") === null,
  );
});
