import {
  dayOf,
  findFleetPlan,
  type Book,
  type BayId,
  type DayNumber,
  type FleetTold,
  type PersonId,
} from "@yonderfell/core";
import loadHighs from "highs";
import { bookOnPage, type BookOnPage } from "./bookOnPage.js";
import { report } from "./browser.js";
import { bookToPlan, someShared } from "./visits.js";

const TODAY = dayOf("2026-11-23");
const WEEKS = 26;
/** Of 200 machines: three people and two bays, whose hours grow with the fleet. */
const PEOPLE_HOURS = 152;
const BAY_HOURS = 160;
const MEASURED_AT = 200;
const MOST_TASK_MS = 100;
const MS_A_SECOND = 1000;

/** What is asked of a fleet of a size. */
interface Wanted {
  readonly machines: number;
  /** Over the least that sharing the weeks costs, as a share of it, and in so many seconds. */
  readonly gap: number;
  readonly seconds: number;
  /** A first plan, in so many seconds. */
  readonly first: number;
}

const WANTED: readonly Wanted[] = [
  { machines: 200, gap: 0.02, seconds: 10, first: 2 },
  { machines: 1000, gap: 0.05, seconds: 60, first: 10 },
];

/** A fleet with a backlog, three people and two bays. */
function fleetBook(machines: number, today: DayNumber): Book {
  const book = bookToPlan(today, someShared, machines);
  const scale = machines / MEASURED_AT;
  const hours = (all: number, hands: number): number => (all * scale) / hands;
  return {
    ...book,
    people: [1, 2, 3].map((at) => ({
      ...{ id: `p-${at}` as PersonId, name: `Person ${at}`, initials: `P${at}` },
      hoursAWeek: hours(PEOPLE_HOURS, 3),
    })),
    bays: [1, 2].map((at) => ({
      ...{ id: `b-${at}` as BayId, name: `Bay ${at}` },
      hoursAWeek: hours(BAY_HOURS, 2),
    })),
    settings: { ...book.settings, planning: { weeks: WEEKS } },
  };
}

/** A plan that was told of, and after how many milliseconds. */
interface ToldAt {
  readonly ms: number;
  readonly told: FleetTold;
}

async function measureSize({ machines, gap, seconds, first }: Wanted): Promise<void> {
  const book = fleetBook(machines, TODAY);
  const plans: ToldAt[] = [];
  let bound = 0;
  const begun = performance.now();
  await findFleetPlan(book, TODAY, loadHighs, (news) => {
    if (news.code === "bound") bound = Math.max(bound, news.bound);
    if (news.code !== "found") return;
    bound = Math.max(bound, news.told.bound);
    plans.push({ ms: performance.now() - begun, told: news.told });
  });
  const size = `fleet plan of ${machines} machines`;
  const over = ({ told }: ToldAt): number => told.cost.sharing / bound - 1;
  report(`${size}: first plan`, plans[0]?.ms ?? Infinity, first * MS_A_SECOND);
  const near = plans.find((plan) => over(plan) <= gap);
  const name = `${size}: within ${gap * 100} % of what sharing costs at least`;
  report(name, near?.ms ?? Infinity, seconds * MS_A_SECOND);
  for (const plan of plans) {
    const { told, ms } = plan;
    const at = `  ${(ms / MS_A_SECOND).toFixed(1)} s: ${(over(plan) * 100).toFixed(2)} %`;
    console.log(`${at}, ${told.full.length} weeks too full, ${told.changes.length} visits`);
  }
}

/** Measures the fleet plan: in the core with its solver, and on the page. */
export async function measureFleet(): Promise<void> {
  for (const wanted of WANTED) await measureSize(wanted);
  await bookOnPage(fleetBook(MEASURED_AT, TODAY), onThePage);
}

/** The fleet plan from pressing the way to it until its first plan is in sight, and until it is near the least. */
async function onThePage({ page, longestTaskOf }: BookOnPage): Promise<void> {
  await page.evaluate(() => {
    performance.mark("asked");
    document.querySelector<HTMLElement>("a[href='/ahead/fleet']")?.click();
  });
  const since = (): Promise<number> =>
    page.evaluate(() => {
      const mark = performance.getEntriesByName("asked")[0];
      return performance.now() - (mark?.startTime ?? 0);
    });
  const longest = await longestTaskOf(async () => {
    await page.waitForSelector("::-p-text(What the plan changes)", { timeout: 60_000 });
    report("fleet plan on the page: first plan in sight", await since(), 4000);
    await page.waitForFunction(
      () => /within [01]\.\d %/.test(document.body.innerText.replaceAll("\u00a0", " ")),
      { timeout: 120_000 },
    );
    report("fleet plan on the page: said to be within 2 %", await since(), 20_000);
  });
  report("fleet plan on the page while it is looked for: longest task", longest, MOST_TASK_MS);
}
