import { dayOf, formatDay } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { giveFile, logNote, press, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

const TODAY = dayOf("2026-11-23");

async function books(): Promise<string[]> {
  return app().page.$$eval("main ul > li p:first-child", (lines) =>
    lines.map((line) => line.textContent).filter((text) => !/\d (task|machine)/.test(text)),
  );
}

test("a book made new holds nothing yet and says what to do", async () => {
  const { page, address } = app();
  await page.goto(`${address}welcome`);
  await Promise.all([page.waitForNavigation(), press(page, "Begin an empty book")]);
  await waitForWords(page, "Add the first machine");
  await page.goto(`${address}books`);
  await write(page, "Name of a new book", "Home garage");
  await Promise.all([page.waitForNavigation(), press(page, "Make the book")]);
  await waitForWords(page, "What falls due on your machines stands here");
});

test("a file is looked through first: what it holds, its faults; kept, it is a book beside the others", async () => {
  const { page, address } = app();
  const book = demonstrationBook(TODAY);
  const readings = [
    ...(book.readings ?? []),
    {
      id: "r-slip",
      seq: 99999,
      machine: "m-bus",
      meter: "odo",
      date: formatDay(TODAY),
      value: 900000,
    },
  ];
  await page.goto(`${address}books`);
  await giveFile(
    page,
    "vale-2026-11-23.yonderfell.json",
    JSON.stringify({ ...book, readings, name: "Vale" }),
  );
  await waitForWords(page, "is a sound book");
  const words = await wordsOf(page, "main");
  expect(words).toContain(
    `It holds 15 machines, ${book.tasks?.length} tasks, ${book.entries?.length} entries`,
  );
  expect(words).toContain("cannot be true beside the others");
  expect(words).toContain("07 Library bus, odometer: 900 000 km");
  expect(await books()).toEqual(["Home garageopen here", "My machines"]);
  await Promise.all([page.waitForNavigation(), press(page, "Keep it as a new book")]);
  await page.waitForSelector("[data-strip]");
  expect(await wordsOf(page, "header")).toContain("Vale");
});

test("a file that is no book is refused with the place and what was expected", async () => {
  const { page, address } = app();
  await page.goto(`${address}books`);
  await giveFile(
    page,
    "other.json",
    '{"format":"yonderfell-book","version":1,"machines":[{"id":"m"}]}',
  );
  await waitForWords(page, "other.json was refused; nothing is changed.");
  expect(await wordsOf(page, "[role=alert]:not(:empty)")).toContain(
    "machines[0].tag: expected text",
  );
});

test("a book is renamed and duplicated, and its file bears its name", async () => {
  const { page, address } = app();
  await page.goto(`${address}books`);
  await press(page, "Rename: Vale");
  await page.waitForFunction(() => document.activeElement?.tagName === "INPUT");
  await page.keyboard.down("Control");
  await page.keyboard.press("a");
  await page.keyboard.up("Control");
  await page.keyboard.type("Upper vale");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Upper vale");
  expect(await wordsOf(page, "header")).toContain("Upper vale");
  await press(page, "Duplicate: Upper vale");
  await waitForWords(page, "Upper vale, copy");
  await page.waitForFunction(
    () => (document.body.innerText.match(/\d+\sentries/g) ?? []).length === 2,
  );
  await press(page, "Export: Upper vale, copy");
  await waitForWords(page, "The book is in Upper-vale-copy-");
});

test("a book is deleted only when its name is typed, an export is offered first, and the others stay", async () => {
  const { page, address } = app();
  await page.goto(`${address}books`);
  await press(page, "Delete: Upper vale, copy");
  await page.waitForSelector("[role=dialog] input");
  expect(await wordsOf(page, "[role=dialog]")).toContain("Export it first");
  const button = "[role=dialog] button[type=submit]";
  expect(await page.$eval(button, (one) => one.disabled)).toBe(true);
  await page.type("[role=dialog] input", "Upper vale, copy");
  await page.click(button);
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
  await page.waitForFunction(() => !document.body.innerText.includes("Upper vale, copy"));
  expect((await books()).sort()).toEqual(["Home garage", "My machines", "Upper valeopen here"]);
  // It leaves the list at once; its database is gone a moment later.
  await page.waitForFunction(async () => {
    const databases = await indexedDB.databases();
    return databases.filter(({ name }) => name?.startsWith("yonderfell-book")).length === 3;
  });
});

test("the demonstration is a book of its own and is made anew without touching the others", async () => {
  const { page, address } = app();
  const today = dayOf(new Date().toISOString().slice(0, 10));
  const entries = demonstrationBook(today).entries?.length ?? 0;
  await openDemonstration(app());
  await logNote(page, address, "m-bus", "Changed for a while");
  await page.goto(`${address}books`);
  await waitForWords(page, `${entries + 1} entries`);
  await Promise.all([page.waitForNavigation(), press(page, "Make it anew: Skarrow Vale")]);
  await page.waitForSelector("[data-strip]");
  await page.goto(`${address}books`);
  await waitForWords(page, "Skarrow Vale");
  await waitForWords(page, `${entries} entries`);
  const all = ["Home garage", "My machines", "Skarrow Valeopen here", "Upper vale"];
  expect((await books()).sort()).toEqual(all);
});

test("what can be pressed among the books does not move once it is in sight", async () => {
  const { page, address } = app();
  await page.evaluateOnNewDocument(() => {
    const tops = new Set<number>();
    Object.assign(window, { tops });
    const note = (): void => {
      const buttons = [...document.querySelectorAll("main button")];
      const last = buttons.findLast((one) => one.checkVisibility({ visibilityProperty: true }));
      if (last !== undefined) tops.add(last.getBoundingClientRect().top);
      requestAnimationFrame(note);
    };
    requestAnimationFrame(note);
  });
  await page.goto(`${address}books`);
  await waitForWords(page, "Not exported yet");
  await waitForWords(page, "Choose a folder");
  const tops = (): Promise<number[]> =>
    page.evaluate(() => [...(window as unknown as { tops: Set<number> }).tops]);
  expect(await tops()).toHaveLength(1);
});

test("a folder once chosen gets the book by itself, one file a day, shortly after changes", async () => {
  const { page, address } = app();
  // The browser's own folder dialog cannot be worked from a test: a folder of the page's own stands in.
  await page.evaluateOnNewDocument(() => {
    Object.assign(window, { showDirectoryPicker: () => navigator.storage.getDirectory() });
  });
  const files = (): Promise<Record<string, string>> =>
    page.evaluate(async () => {
      const all: Record<string, string> = {};
      for await (const [name, handle] of await navigator.storage.getDirectory()) {
        if (handle.kind === "file") all[name] = await (await handle.getFile()).text();
      }
      return all;
    });
  await page.goto(`${address}books`);
  await press(page, "Choose a folder");
  await waitForWords(page, "Exported by itself to the folder");
  const [name = ""] = Object.keys(await files());
  expect(name).toMatch(/^Skarrow-Vale-\d{4}-\d{2}-\d{2}\.yonderfell\.json$/);
  await logNote(page, address, "m-bus", "Exported without a word");
  await page.waitForFunction(
    async (file: string) => {
      const folder = await navigator.storage.getDirectory();
      const text = await (await (await folder.getFileHandle(file)).getFile()).text();
      return text.includes("Exported without a word");
    },
    { polling: 1000 },
    name,
  );
  await page.goto(`${address}books`);
  await waitForWords(page, "nothing changed since");
  await press(page, "Stop exporting by itself");
  await waitForWords(page, "Choose a folder");
});

test("after many changes a line reminds of an export, once, and not again when it is put off", async () => {
  const { page, address } = app();
  await page.goto(`${address}books`);
  await Promise.all([page.waitForNavigation(), press(page, "Open: Upper vale")]);
  await page.waitForSelector("[data-strip]");
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  for (let change = 1; change <= 25; change += 1) {
    await page.keyboard.type(`H1 ${200000 + change}`);
    await page.waitForFunction(
      () =>
        document.querySelector("[role=dialog] [role=radio]") !== null ||
        document.querySelector("[role=dialog] button[type=submit]:not([disabled])") !== null,
    );
    const question = await page.$("[role=dialog] [role=radio][value=right]");
    await question?.click();
    await page.waitForSelector("[role=dialog] button[type=submit]:not([disabled])");
    await page.click("[role=dialog] button[type=submit]");
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>("[role=dialog] input")?.value === "",
    );
  }
  await page.keyboard.press("Escape");
  await waitForWords(page, "25 changes");
  const words = await wordsOf(page);
  expect(words).toMatch(/25 changes (made here|since the export)/);
  expect(words).toContain("A file elsewhere keeps them if this device is lost.");
  await press(page, "Later");
  await page.reload();
  await page.waitForSelector("[data-strip]");
  expect(await wordsOf(page)).not.toContain("A file elsewhere");
});
