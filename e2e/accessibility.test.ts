import type { Page, SerializedAXNode } from "puppeteer-core";
import { openDemonstration, waitForWords } from "./application.js";
import { violationsOn } from "./axe.js";
import { exportedText, giveFile, go, press } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

const SCREENS: readonly (readonly [string, string, string])[] = [
  ["Ahead", "ahead", "are overdue"],
  ["today", "ahead/today", "Due by law or warranty"],
  ["visits", "ahead/visits", "All visits ahead"],
  ["fleet", "ahead/fleet", "What the plan changes"],
  ["journeys", "ahead/journeys", "Engine oil and filter"],
  ["Yard", "yard", "Flail mower"],
  ["a machine", "yard/m-bus", "History"],
  ["a plate", "yard/m-bus/plate", "sources disagree"],
  ["the parts of a machine", "yard/m-bus/parts", "Parts it takes"],
  ["meters", "yard/m-generator/meters", "Stopped since"],
  ["the facts of a machine", "yard/m-carrier/facts", "Release it for service"],
  ["a card", "yard/m-bus/card", "Sump plug"],
  ["minutes of work", "yard/minutes", "Save the minutes"],
  ["another day's sheet", "ahead/today?on=2030-01-07", "Overdue and due"],
  ["adding a machine", "yard/new", "Add the machine"],
  ["the reading sheet", "yard/readings", "Cargo trike"],
  ["a plan", "yard/m-lunch/plan", "own reminders"],
  ["a task", "yard/m-bus/plan/task/t-bus-oil", "It reads"],
  ["a new task", "yard/m-bus/plan/task/new", "It reads"],
  ["taking a plan", "yard/m-bus/plan/take", "Take tasks from a plan"],
  ["schools", "yard/m-bus/plan/schools", "Together"],
  ["a baseline", "yard/m-lorry/plan/baseline", "These do not agree."],
  ["Stores", "stores", "worth"],
  ["What to buy", "stores/buy", "things to buy"],
  ["A shelf counted", "stores/count", "Write down"],
  ["An order", "stores/orders/or-1", "Take in what came"],
  ["Waste", "stores/waste", "Oil drum by the pit"],
  ["Own work beside a quote", "stores/quote/m-mower/v-mower", "Done by yourself"],
  ["Numbers and prices", "stores/numbers", "Fluid products"],
  ["people and places", "workshop", "Edda Thwaite"],
  ["log work", "log/m-bus?task=t-bus-oil", "Save in the log"],
  ["correcting a reading", "correct/m-hatch/readings/r-h1-odo-412", "Save the correction"],
  ["correcting a meter change", "correct/m-bus/meterChanges/c-07-odo", "Save the correction"],
  ["the Bench", "bench", "Finished lately"],
  ["a job before it begins", "bench/new?machine=m-bus&task=t-bus-coolant", "Lay out"],
  ["a job at the machine", "bench/m-bus/j-bus", "Leave this step out"],
  ["a job finished", "bench/m-tow/j-bearing", "Finished"],
  ["the card of a job", "bench/m-bus/j-bus/card", "Work by this card"],
  ["ways of working", "bench/ways", "Take in a file of ways"],
  ["a tag", "bench/m-tow/j-bearing/tag", "On the filter"],
  ["Rounds", "rounds", "Walked lately"],
  ["beginning a round", "rounds/new?machine=m-bus", "Monthly, bonnet open"],
  ["a round at the machine", "rounds/m-post/n-18-1", "Check 3 of 4"],
  ["a round that is walked", "rounds/m-gritter/n-21-5", "All checks"],
  ["findings", "rounds/findings", "Engine uses oil"],
  ["samples", "rounds/samples", "Change it sooner"],
  ["samples of a system", "rounds/samples/m-carrier/f-carr-oil", "What follows"],
  ["taking a sample", "rounds/samples/new?machine=m-carrier", "Write it down"],
  ["the label of a sample", "rounds/samples/label/m-carrier/sa-25-8", "Oil has run"],
  ["a report", "rounds/report/m-minibus", "Not looked at"],
  ["a task by what rounds measure", "yard/m-hatch/plan/task/t-hatch-pads", "Set against"],
  ["checklists", "rounds/checklists", "From the library"],
  ["a checklist in the form", "rounds/checklists/cl-bonnet", "Save the checklist"],
  ["a check judged by a sum", "rounds/m-post/n-18-1?at=%5B%22k-volts%22%2Cnull%5D", "Taken as"],
  ["Ledger", "ledger", "The log"],
  ["costs", "ledger/costs?span=12-months", "By machine"],
  ["spending ahead", "ledger/ahead", "What waits, as a sum"],
  ["on time", "ledger/on-time", "By kind"],
  ["what the records teach", "ledger/learning", "How long parts last"],
  ["what a machine teaches", "ledger/learning?machine=m-mower", "Usual is"],
  ["a service record", "ledger/record/m-hatch", "Dials, as they were read"],
  ["the turns for a warranty", "ledger/warranty/m-hatch", "Judged by the limits"],
  ["Books", "books", "Safe and shared"],
  ["tables", "tables", "Write a table out"],
  ["Preferences", "preferences", "Save the windows"],
  ["welcome", "welcome", "Load the demonstration"],
];

/** The names of links that stand on the page more than once, as they are read out. */
async function namedTwice(page: Page): Promise<string[]> {
  const tree = await page.accessibility.snapshot();
  const names: string[] = [];
  const gather = ({ role, name, children = [] }: SerializedAXNode): void => {
    if (role === "link") names.push(name ?? "");
    children.forEach(gather);
  };
  if (tree !== null) gather(tree);
  return [...new Set(names.filter((name, index) => names.indexOf(name) !== index))];
}

/** Where a window's title was met first. */
const titles = new Map<string, string>();

test.each(SCREENS)(
  "axe finds nothing wrong with %s, whose links and window have names of their own",
  async (screen, path, words) => {
    const { page } = app();
    await go(page, path);
    await waitForWords(page, words);
    expect(await violationsOn(page)).toEqual([]);
    expect(await namedTwice(page)).toEqual([]);
    const title = await page.title();
    expect([title, titles.get(title) ?? screen]).toEqual([title, screen]);
    titles.set(title, screen);
  },
);

test("axe finds nothing wrong with the reasons, the table, and reading a meter", async () => {
  const { page } = app();
  await page.goto(`${app().address}ahead`);
  await page.waitForSelector("[data-strip='t-bus-oil']");
  await page.click("[data-strip='t-bus-oil']");
  await waitForWords(page, "By the handbook intervals.");
  expect(await violationsOn(page)).toEqual([]);
  await page.waitForSelector("[aria-label='Show as'] button:nth-child(2)");
  await page.click("[aria-label='Show as'] button:nth-child(2)");
  await page.waitForSelector("table");
  expect(await violationsOn(page)).toEqual([]);
  await page.click("[aria-label='Show as'] button:nth-child(1)");
  // A short page behind the dialog: the board has been looked at.
  await go(page, "preferences");
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("07 3");
  await waitForWords(page, "Which is it?");
  expect(await violationsOn(page)).toEqual([]);
  await page.keyboard.press("Escape");
});

test("axe finds nothing wrong with finding, the keys, deleting, notes, a refused file and a hand-over", async () => {
  const { page, address } = app();
  const isSound = async (words: string): Promise<void> => {
    await waitForWords(page, words);
    expect(await violationsOn(page)).toEqual([]);
  };
  await page.keyboard.press("/");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("07 oil");
  await isSound("Gearbox oil");
  await page.keyboard.press("Escape");
  await page.keyboard.press("?");
  await isSound("this list of keys");
  await page.keyboard.press("Escape");
  const text = await exportedText(page, address);
  await isSound("The book is in");
  await page.goto(`${address}books`);
  await giveFile(page, "half.json", text.slice(0, 900));
  await isSound("half.json was refused");
  await press(page, "Delete: Skarrow Vale");
  await isSound("Delete Skarrow Vale?");
  await page.goto(`${address}hand-over`);
  await giveFile(page, "other.json", text.replace('"Library bus"', '"Book bus"'));
  await isSound("They differ: choose what stands");
  await page.goto(`${address}tables`);
  const rows = ["Machine,Date,Reading", "07,2026-11-23,5", "07,2026-11-22,nothing"];
  await giveFile(page, "shed.csv", rows.join("\n"));
  await isSound("2 readings: 1 new, 1 not readable.");
});
