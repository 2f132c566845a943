import { readBook } from "@yonderfell/core";
import Papa from "papaparse";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { exportedText, go, press, textDownloadedBy, typedDaysAgo, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

beforeAll(async () => {
  await openDemonstration(app());
});

test("a typical machine comes from a library plan to a working due list in at most twelve interactions", async () => {
  const { page } = app();
  let interactions = 0;
  const act = async (doing: Promise<unknown>): Promise<void> => {
    await doing;
    interactions += 1;
  };
  await go(page, "yard");
  await waitForWords(page, "15 machines");
  await act(press(page, "Add a machine"));
  await waitForWords(page, "Fluids of its plate");
  await act(write(page, "Name", "Parish car"));
  await act(write(page, "Kind", "car"));
  await act(write(page, "Shows today", "41000"));
  await act(page.keyboard.press("Enter"));
  await waitForWords(page, "Every 15 000 km or every 12 months, whichever comes first.");
  await act(press(page, "Take 16\u00a0tasks"));
  // It is past the first turns of what it was given, and nothing tells when they were done.
  await waitForWords(page, "What each task starts from");
  await act(page.click("[role=group][aria-label='Several in one go'] button"));
  await act(page.click("[aria-label$='records show it'][aria-label*='tasks']"));
  await act(page.type("main form input[type=date]", typedDaysAgo(20)));
  await act(write(page, "At, in km (empty if not known)", "40000"));
  await act(press(page, "It was done then"));
  await waitForWords(page, "All are decided.");
  await act(page.click("nav[aria-label=Leaves] a"));
  await page.waitForFunction(() => document.querySelectorAll("[data-strip]").length === 16);
  expect(interactions).toBeLessThanOrEqual(12);
  const words = (await wordsOf(page, "main")).replaceAll("\u00a0", " ");
  // 15 000 km on from 36 000, or a year on: whichever comes first.
  expect(words).toContain("Engine oil and filter");
  console.log(`From an empty plan to a due list with its dates: ${interactions} interactions.`);
  const board = await page.$$eval("[data-strip]", (strips) => strips.map((one) => one.textContent));
  expect(board.filter((line) => line?.includes("overdue"))).toEqual([]);
});

test("a plan that was taken offers nothing twice, and a sister takes it task by task", async () => {
  const { page } = app();
  const machine = /yard\/([^/]+)/.exec(page.url())?.[1] ?? "";
  await go(page, `yard/${machine}/plan/take`);
  await waitForWords(page, "taken already");
  await waitForWords(page, "Nothing to take");
  await go(page, "yard/m-trike/plan/take");
  await waitForWords(page, "choose a plan");
  await page.select("main select", "machine:m-scooter");
  await waitForWords(page, "Copied as they are there");
  await page.waitForSelector("main form input[type=checkbox]");
  const before = await page.$$eval("main form input[type=checkbox]", (all) => all.length);
  await page.click("main form input[type=checkbox]");
  await press(page, `Take ${before - 1}\u00a0tasks`);
  await waitForWords(page, `${before - 1} tasks taken.`);
  await page.keyboard.down("Control");
  await page.keyboard.press("z");
  await page.keyboard.up("Control");
  await waitForWords(page, `Undone: ${before - 1} tasks for 05.`);
});

test("a task is written by plain controls, read back with its next turns, and kept", async () => {
  const { page, address } = app();
  await go(page, "yard/m-bus/plan/task/new");
  await waitForWords(page, "Say what is done");
  await write(page, "Task", "Rear door runners greased");
  await waitForWords(page, "Say every how much");
  await write(page, "Every", "5 k");
  await waitForWords(page, "Every 5 000 km. Counted from when it was last done.");
  await waitForWords(page, "Its next turns, at the present pace");
  const turns = await page.$$eval("main ol li", (all) => all.length);
  expect(turns).toBe(5);
  await write(page, "Minutes of work", "20");
  await press(page, "Save the task");
  await waitForWords(page, "Rear door runners greased");
  await waitForWords(page, "20 minutes");
  const book = readBook(await exportedText(page, address));
  const tasks = book.ok ? (book.value.tasks ?? []) : [];
  expect(tasks.find((task) => task.name === "Rear door runners greased")).toMatchObject({
    machine: "m-bus",
    regimes: { handbook: [{ meter: "odo", every: 5000 }] },
    minutes: 20,
  });
});

test("another school for the whole machine moves its tasks, and says so", async () => {
  const { page } = app();
  await go(page, "yard/m-bus/plan");
  await waitForWords(page, "Every 12 000 km (500 km of grace) or every 12 months");
  await page.select("main select", "cautious");
  await waitForWords(page, "Every 8 000 km or every 6 months, whichever comes first.");
  await page.select("main select", "handbook");
  await waitForWords(page, "Every 12 000 km (500 km of grace) or every 12 months");
});

test("schools stand side by side as table and chart, and say what they leave out", async () => {
  const { page } = app();
  await go(page, "yard/m-bus/plan/schools");
  await waitForWords(page, "Together");
  await page.waitForSelector("canvas[role=img]");
  const words = (await wordsOf(page, "main")).replaceAll("\u00a0", " ");
  for (const school of ["handbook", "cautious", "measured", "hard use"]) {
    expect(words).toContain(school);
  }
  expect(words).toContain("as the handbook:");
  expect(words).toContain("not recorded:");
  const services = (
    await page.$$eval("main tbody tr:first-child td", (all) => all.map((one) => one.textContent))
  ).map(Number);
  expect(services[1]).toBeGreaterThan(services[0] ?? 0);
});

test("schools are laid beside what was done over the years that are kept, and tests say what they found", async () => {
  const { page } = app();
  await go(page, "yard/m-minibus/costs");
  await waitForWords(page, "What each school would have asked for");
  await page.focus("main a[href*='over=back']");
  await page.keyboard.press("Enter");
  await waitForWords(page, "as it was done");
  const heads = await page.$$eval("main thead th", (all) => all.map((one) => one.textContent));
  expect(heads.at(-1)).toBe("as it was done");
  const words = (await wordsOf(page, "main")).replaceAll("\u00a0", " ");
  expect(words).toContain("as the machine really ran");
  expect(words).toMatch(/Tested sound, and put off\n+\d+ \w+ \d{4} Brake fluid/);
  const done = await page.$$eval("main tbody tr:first-child td", (all) => all.at(-1)?.textContent);
  expect(Number(done)).toBeGreaterThan(0);
  const table = Papa.parse<string[]>(
    await textDownloadedBy(page, () => press(page, "As a table")),
    {
      skipEmptyLines: true,
    },
  ).data;
  expect(table[0]?.at(-1)).toBe("as it was done");
  expect(table[1]?.at(-1)).toBe(done);
  await page.select("::-p-aria([name='Over'])", "2");
  await waitForWords(page, "at the machine’s present pace");
  expect(page.url()).toContain("over=2");
});

test("a raised code makes its tasks due, and stays open until all is logged and it is reset", async () => {
  const { page } = app();
  await go(page, "yard/m-lunch/plan");
  await waitForWords(page, "INSP 2");
  await press(page, "It is done: INSP 2");
  await waitForWords(page, "Noted.");
  // Not by the pointer: the note of what was noted may lie over it.
  await page.focus("[aria-label='It is reset: INSP 2']");
  await page.keyboard.press("Enter");
  await page.waitForFunction(
    () => document.querySelector("[aria-label='It is reset: INSP 2']") === null,
  );
  await page.focus("[aria-label='Log the work: INSP 2']");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Log work: 15 Lunch van");
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.click("button[type=submit]");
  await waitForWords(page, "Saved in the log.");
  await go(page, "yard/m-lunch/plan");
  await page.waitForSelector("[aria-label='It is raised: INSP 2']");
});

test("a task tested sound is put off, is said as that, and never as done", async () => {
  const { page } = app();
  await go(page, "log/m-bus");
  await press(page, "Brake fluid: tested sound, not done");
  await write(page, "What was found", "moisture 1.1 %");
  await page.waitForFunction(() =>
    document.querySelector("[data-next='t-bus-brake-fluid']")?.textContent.includes("clear"),
  );
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.click("button[type=submit]");
  await waitForWords(page, "Saved in the log.");
  await go(page, "yard/m-bus");
  await waitForWords(page, "Brake fluid tested sound, look again in 6 months (moisture 1.1 %)");
  await page.click("[data-strip='t-bus-brake-fluid']");
  await waitForWords(page, "It was not done by that; doing it ends this.");
});

test("a machine without records is taken on task by task, put down and gone on with", async () => {
  const { page, address } = app();
  await go(page, "yard/m-lorry/plan");
  await press(page, "Go on taking it on");
  await waitForWords(page, "5 tasks of 7 decided.");
  await press(page, "Winch and rope, thorough examination: do now");
  await waitForWords(page, "6 tasks of 7 decided.");
  await page.waitForFunction(() =>
    document
      .querySelector("section[aria-labelledby=makes-due]")
      ?.textContent.includes("Winch and rope, thorough examination"),
  );
  await go(page, "ahead");
  await go(page, "yard/m-lorry/plan/baseline");
  await waitForWords(page, "6 tasks of 7 decided.");
  await press(page, "Gearbox oil: judged sound");
  await write(page, "What was seen: level, colour, smell, test", "amber, no glitter");
  await press(page, "Count from here");
  await waitForWords(page, "All are decided.");
  await press(page, "It is taken on");
  await page.waitForFunction(() => location.pathname.endsWith("/plan"));
  const book = readBook(await exportedText(page, address));
  const lorry = book.ok ? book.value.machines?.find((one) => one.id === "m-lorry") : undefined;
  expect(lorry?.baseline?.finished).toMatch(/^\d{4}-\d\d-\d\d$/);
  const entry = book.ok ? book.value.entries?.at(-1) : undefined;
  expect(entry).toMatchObject({
    assumed: true,
    tasks: ["t-lorry-box"],
    note: "amber, no glitter",
    estimatedMeters: ["odo"],
  });
});

test("stacked services are one ladder: written at once, and a larger step ticked with the smaller ones", async () => {
  const { page } = app();
  await go(page, "yard/m-mower/plan");
  await press(page, "Add a ladder");
  await waitForWords(page, "Ladder of stacked services");
  const names = await page.$$("[role=group] .grid > div:nth-child(2) input");
  for (const [index, field] of names.entries()) {
    await field.type(["belts", "fuel filter", "valves", "pump"][index] ?? "");
  }
  await press(page, "Leave out step 4");
  const second = await page.$("[role=group][aria-label='Step 2'] input");
  await second?.click({ count: 3 });
  await page.keyboard.type("600");
  await press(page, "Save the ladder");
  await waitForWords(page, "must be a whole multiple of 250 h");
  await second?.click({ count: 3 });
  await page.keyboard.type("500");
  await press(page, "Save the ladder");
  await page.waitForFunction(() => location.pathname.endsWith("/plan"));
  await waitForWords(page, "With every fourth belts.");
  await go(page, "log/m-mower");
  await waitForWords(page, "valves");
  await page.evaluate(() => {
    const labels = [...document.querySelectorAll("label")];
    labels.find((one) => one.textContent.startsWith("valves"))?.click();
  });
  await page.waitForFunction(() =>
    ["belts", "fuel filter", "valves"].every((name) =>
      [...document.querySelectorAll("label")]
        .find((one) => one.textContent.startsWith(name))
        ?.querySelector("[role=checkbox][data-state=checked]"),
    ),
  );
});
