import { dayFromParts, dayOf, partsFromDay, readBook } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import { openDemonstration, stripAfter, stripOf, waitForWords, wordsOf } from "./application.js";
import { press } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

test("a first start without a book offers the demonstration book and opens it", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead`);
  await waitForWords(page, "Load the demonstration");
  await press(page, "Load the demonstration");
  await page.waitForSelector("[data-strip]");
  const now = new Date();
  const today = dayFromParts(now.getFullYear(), now.getMonth() + 1, now.getDate());
  const book = demonstrationBook(today);
  const strips = await page.$$eval("[data-strip]", (all) =>
    all.map((one) => one.getAttribute("data-strip") ?? ""),
  );
  // A strip for each task, and one for each finding that is not closed.
  const isTask = new Set((book.tasks ?? []).map(({ id }) => String(id)));
  expect(strips.filter((id) => isTask.has(id))).toHaveLength(isTask.size);
  const closed = new Set((book.entries ?? []).flatMap(({ closes }) => closes ?? []));
  const open = (book.findings ?? []).filter(
    ({ id, closed: by }) => (by ?? null) === null && !closed.has(id),
  );
  expect(strips.filter((id) => !isTask.has(id)).sort()).toEqual(open.map(({ id }) => id).sort());
  expect(await wordsOf(page, "h1")).toBe("Ahead");
});

test("a due task is one press from its log, shows its next date before saving, and moves on the board after", async () => {
  const { page } = app();
  await openDemonstration(app());
  const before = await stripOf(page, "t-bus-oil");
  expect(before).toContain("soon");
  await page.click("a[aria-label='Log Engine oil and filter on 07']");
  await page.waitForSelector("[data-next='t-bus-oil']");
  const promised = (await wordsOf(page, "[data-next='t-bus-oil']")).replace(/^next\s*/, "");
  expect(promised).toMatch(/^clear, \d+ \w+( \d{4})? \(/);
  const figures = await page.$$eval("input[inputmode=decimal]", (inputs) =>
    inputs.map((input) => input.value),
  );
  expect(figures).toHaveLength(2);
  await page.type("textarea", "Drain plug washer renewed.");
  await page.$eval("button[type=submit]", (button) => {
    button.click();
    button.click();
  });
  await waitForWords(page, "Saved in the log.");
  expect(await wordsOf(page, "main")).toContain(promised);
  expect(await page.evaluate(() => (document.activeElement as HTMLElement).innerText)).toBe(
    "Saved in the log.",
  );
  // By keyboard: what follows from the work comes after it, and the page moves under the pointer.
  await page.focus("main a[href='/ahead']");
  await page.keyboard.press("Enter");
  const after = await stripAfter(page, "t-bus-oil", before);
  expect(after).toContain("clear");
  const [likely = ""] = /\d+ \w+ \d{4}/.exec(promised) ?? [];
  expect(after).toContain(likely);
});

test("figures accepted untouched are recorded as estimated, and a reload keeps everything", async () => {
  const { page, address } = app();
  const before = await stripOf(page, "t-bus-oil");
  await page.reload();
  await page.waitForSelector("[data-strip]");
  expect(await stripOf(page, "t-bus-oil")).toBe(before);
  await page.goto(`${address}yard/m-bus`);
  await waitForWords(page, "Drain plug washer renewed.");
  expect(await wordsOf(page, "main")).toMatch(/[\d ]+ km reckoned, [\d .]+ h reckoned/);
});

test("a meter is read on one line and the dates move", async () => {
  const { page, address } = app();
  await page.goto(`${address}ahead`);
  await page.waitForSelector("[data-strip]");
  const before = await stripOf(page, "t-mower-oil");
  const due = Number(/([\d.]+) h left/.exec(before)?.[1]);
  const shown = await page.$$eval("section", (sections) =>
    sections.map((section) => section.textContent ?? ""),
  );
  const mower = shown.find((text) => text.includes("Flail mower")) ?? "";
  const dial = Number((/([\d\u00a0]+\.\d)\u00a0h/.exec(mower)?.[1] ?? "").replaceAll("\u00a0", ""));
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type(`12 ${(dial + 6).toFixed(1)}`);
  await waitForWords(page, "This moves");
  await page.keyboard.press("Enter");
  await waitForWords(page, "Saved. 12 Flail mower");
  expect(await page.evaluate(() => document.activeElement?.tagName)).toBe("INPUT");
  expect(await wordsOf(page, "[role=dialog]")).toContain("Engine oil and filter");
  await page.keyboard.press("Escape");
  const after = await stripAfter(page, "t-mower-oil", before);
  expect(Number(/([\d.]+) h left/.exec(after)?.[1])).toBeCloseTo(due - 6, 1);
});

test("a figure that goes back is questioned, and a replaced meter is recorded from the answer", async () => {
  const { page } = app();
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("12 3.5");
  await waitForWords(page, "Which is it?");
  const isHeld = await page.$eval("[role=dialog] button[type=submit]", (button) => button.disabled);
  expect(isHeld).toBe(true);
  await page.click("[role=dialog] [role=radio][value=replaced]");
  await waitForWords(page, "Old one ended at");
  await page.waitForSelector("[role=dialog] button[type=submit]:not([disabled])");
  await page.click("[role=dialog] button[type=submit]");
  await waitForWords(page, "Saved. 12 Flail mower: 3.5 h");
  await page.keyboard.press("Escape");
  await page.goto(`${app().address}yard/m-mower`);
  await waitForWords(page, "Meter replaced");
  expect(await wordsOf(page, "main")).toContain("3.5 h");
});

test("work begun and not saved is there again after a reload", async () => {
  const { page, address } = app();
  await page.goto(`${address}log/m-hatch?task=t-hatch-tyres`);
  await page.waitForSelector("[data-next='t-hatch-tyres']");
  await page.type("textarea", "Nearside front slow leak");
  await waitForWords(page, "What you have written is kept, not yet in the log.");
  await page.reload();
  await waitForWords(page, "Kept from when you last were here.");
  expect(await page.$eval("textarea", (area) => area.value)).toBe("Nearside front slow leak");
});

test("a figure in logged work that does not agree is asked about, and the answer is recorded with it", async () => {
  const { page, address } = app();
  await page.goto(`${address}log/m-bus?task=t-bus-cabin`);
  await page.waitForSelector("[data-next='t-bus-cabin']");
  await page.focus("input[inputmode=decimal]");
  await page.keyboard.down("Control");
  await page.keyboard.press("a");
  await page.keyboard.up("Control");
  await page.keyboard.type("12");
  await waitForWords(page, "Odometer: That is below");
  expect(await page.$eval("button[type=submit]", (button) => button.disabled)).toBe(true);
  await page.click("[role=radio][value=right]");
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.click("[role=radio][value=replaced]");
  await waitForWords(page, "Old one ended at");
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.click("button[type=submit]");
  await waitForWords(page, "Saved in the log.");
  await page.goto(`${address}yard/m-bus`);
  await page.waitForFunction(() => document.body.innerText.match(/Meter replaced/g)?.length === 2);
  expect(await wordsOf(page, "main")).toContain("12 km, ");
});

test("a corrected entry takes the place of the old one, which stays in the history", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/m-bus`);
  await waitForWords(page, "Drain plug washer renewed.");
  await page.click("a[aria-label^='Correct Engine oil and filter']");
  await page.waitForSelector("textarea");
  await page.type("textarea", " Filter cut open, clean.");
  await page.click("button[type=submit]");
  await waitForWords(page, "Corrected. The old entry stays in the history.");
  await page.goto(`${address}yard/m-bus`);
  await waitForWords(page, "Drain plug washer renewed. Filter cut open, clean.");
  expect(await wordsOf(page, "main")).toMatch(
    /Engine oil and filter · corrected[\s\S]*Engine oil and filter · replaced/,
  );
});

test("a figure that was left out is put right from the machine's page", async () => {
  const { page, address } = app();
  await page.goto(`${address}yard/m-hatch`);
  await waitForWords(page, "Left out, does not agree:");
  await page.$$eval("a", (links) => links.find((link) => link.innerText === "Correct it")?.click());
  await waitForWords(page, "Correct a reading: H1 Hatchback");
  expect(await wordsOf(page, "main")).toMatch(/That is (below|above|more)/);
  await page.$$eval("main button", (buttons) =>
    buttons.find((button) => button.innerText === "Withdraw it")?.click(),
  );
  await page.$$eval("main button", (buttons) =>
    buttons.find((button) => button.innerText === "Yes, withdraw it")?.click(),
  );
  await waitForWords(page, "Withdrawn. It stays in the history.");
  await page.waitForSelector("[data-strip]");
  await page.waitForFunction(() => !document.body.innerText.includes("Left out, does not agree"));
});

test("the book is handed over as a file that holds what was done", async () => {
  const { page, address } = app();
  await page.goto(`${address}ledger`);
  await waitForWords(page, "The log");
  await page.evaluate(() => {
    const create = URL.createObjectURL.bind(URL);
    URL.createObjectURL = (blob: Blob) => {
      void blob.text().then((text) => Object.assign(window, { exported: text }));
      return create(blob);
    };
  });
  await page.$$eval("main button", (buttons) =>
    buttons.find((button) => button.innerText.includes("Export the book"))?.click(),
  );
  await page.waitForFunction(() => "exported" in window);
  const text = await page.evaluate(() => (window as unknown as { exported: string }).exported);
  const book = JSON.parse(text) as { entries: { note?: string; date: string }[] };
  expect(readBook(text).ok).toBe(true);
  const entry = book.entries.at(-1);
  expect(entry?.note).toBe("Drain plug washer renewed. Filter cut open, clean.");
  // Pressed twice, saved once; and its correction is the other one with these words.
  expect(book.entries.filter((one) => one.note?.includes("Drain plug washer"))).toHaveLength(2);
  expect((await wordsOf(page, "main")).match(/Drain plug washer/g)).toHaveLength(1);
  expect(partsFromDay(dayOf(entry?.date ?? "")).year).toBe(new Date().getFullYear());
  await waitForWords(page, "The book is in Skarrow-Vale-");
});

test("every place is reached by its key, and keys stay out of fields", async () => {
  const { page } = app();
  for (const [key, title] of [
    ["2", "Yard"],
    ["6", "The log"],
    ["1", "Ahead"],
  ] as const) {
    await page.keyboard.press(key);
    await page.waitForFunction(
      (wanted: string) => document.querySelector("h1")?.innerText === wanted,
      {},
      title,
    );
  }
  await page.keyboard.press("r");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("2");
  expect(await page.$eval("[role=dialog] input", (input) => input.value)).toBe("2");
  expect(await wordsOf(page, "h1")).toBe("Ahead");
  await page.keyboard.press("Escape");
});
