import type { Page } from "puppeteer-core";
import { waitForWords } from "./application.js";

/** Presses the button or link of a name, as it is read out. */
export async function press(page: Page, name: string): Promise<void> {
  const found = await page.waitForSelector(`::-p-aria([name="${name}"])`, { visible: true });
  await found?.click();
}

/**
 * Goes to an address within the application as its own links do, and waits until its window has a
 * title of its own: nothing is loaded anew, which takes several times as long. Where the page is
 * there already it is loaded anew.
 */
export async function go(page: Page, path: string): Promise<void> {
  const before = await page.title();
  const isElsewhere = await page.evaluate((to: string) => {
    if (location.pathname + location.search === to) return false;
    history.pushState(null, "", to);
    dispatchEvent(new PopStateEvent("popstate", { state: null }));
    return true;
  }, `/${path}`);
  if (!isElsewhere) {
    await page.reload();
    return;
  }
  await page.waitForFunction((title: string) => document.title !== title, {}, before);
}

/** What has the focus, as it is read out or written. */
export function focused(page: Page): Promise<string> {
  return page.evaluate(() => {
    const { activeElement } = document;
    const words = activeElement?.getAttribute("aria-label") ?? activeElement?.textContent ?? "";
    return words.replaceAll("\u00a0", " ");
  });
}

/** Writes into the field of a name, in place of what stands there. */
export async function write(page: Page, name: string, words: string): Promise<void> {
  const field = await page.waitForSelector(`::-p-aria([name="${name}"])`, { visible: true });
  await field?.click({ count: 3 });
  await page.keyboard.type(words);
}

/** Chooses in the field of the open dialog, or else of the page, the first choice that begins with some words. */
export async function choose(page: Page, label: string, words: string): Promise<void> {
  await page.evaluate(
    (name, wanted) => {
      const within = document.querySelector("[role=dialog]") ?? document;
      const labels = [...within.querySelectorAll("label")];
      const field = labels.find((one) => one.textContent.startsWith(name))?.control;
      if (!(field instanceof HTMLSelectElement)) throw new Error(`no choice of ${name}`);
      const option = [...field.options].find((one) =>
        one.text.replaceAll("\u00a0", " ").startsWith(wanted),
      );
      if (option === undefined) throw new Error(`${name} has no ${wanted}`);
      field.value = option.value;
      field.dispatchEvent(new Event("change", { bubbles: true }));
    },
    label,
    words,
  );
}

/** Saves what stands in the dialog, which closes. */
export async function save(page: Page): Promise<void> {
  await page.click("[role=dialog] button[type=submit]");
  await page.waitForFunction(() => document.querySelector("[role=dialog]") === null);
}

/** Opens another tab beside a page, as large as that one, and brings it to the front. */
export async function anotherTab(page: Page): Promise<Page> {
  const other = await page.browserContext().newPage();
  await other.setViewport({ width: 1280, height: 800 });
  return other;
}

/** Logs a note on a machine, and waits until it is said to be saved. */
export async function logNote(
  page: Page,
  address: string,
  machine: string,
  note: string,
): Promise<void> {
  await page.goto(`${address}log/${machine}`);
  await page.waitForSelector("textarea");
  await page.type("textarea", note);
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.click("button[type=submit]");
  await waitForWords(page, "Saved in the log.");
}

/** Gives the page a file, as a person chooses one. */
export async function giveFile(page: Page, name: string, text: string): Promise<void> {
  await page.waitForSelector("input[type=file]");
  await page.$eval(
    "input[type=file]",
    (input, fileName, content) => {
      const transfer = new DataTransfer();
      transfer.items.add(new File([content], fileName, { type: "application/json" }));
      input.files = transfer.files;
      input.dispatchEvent(new Event("change", { bubbles: true }));
    },
    name,
    text,
  );
}

/** All that the browser keeps for the page, as text: every database with every record. */
export async function storeOf(page: Page): Promise<string> {
  return page.evaluate(async () => {
    const answer = <T>(request: IDBRequest<T>): Promise<T> =>
      new Promise((resolve, reject) => {
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error(String(request.error)));
      });
    const all: Record<string, unknown> = {};
    for (const { name = "" } of await indexedDB.databases()) {
      const database = await answer(indexedDB.open(name));
      for (const table of database.objectStoreNames) {
        const store = database.transaction(table).objectStore(table);
        all[`${name}/${table}`] = [await answer(store.getAllKeys()), await answer(store.getAll())];
      }
      database.close();
    }
    return JSON.stringify(all);
  });
}

/** The text of the file that an action hands over as a download. */
export async function textDownloadedBy(page: Page, act: () => Promise<void>): Promise<string> {
  const waiting = page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const make = URL.createObjectURL.bind(URL);
        URL.createObjectURL = (file: Blob | MediaSource): string => {
          URL.createObjectURL = make;
          if (file instanceof Blob) void file.text().then(resolve);
          return make(file);
        };
      }),
  );
  await act();
  return waiting;
}

/** The bytes of the file that an act hands over as a download. */
export async function bytesDownloadedBy(page: Page, act: () => Promise<void>): Promise<Buffer> {
  const waiting = page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const make = URL.createObjectURL.bind(URL);
        URL.createObjectURL = (file: Blob | MediaSource): string => {
          URL.createObjectURL = make;
          const reader = new FileReader();
          reader.onload = () => resolve((reader.result as string).split(",")[1] ?? "");
          if (file instanceof Blob) reader.readAsDataURL(file);
          return make(file);
        };
      }),
  );
  await act();
  return Buffer.from(await waiting, "base64");
}

/** The text of the file the open book is exported to. */
export async function exportedText(page: Page, address: string): Promise<string> {
  await page.goto(`${address}ledger`);
  await waitForWords(page, "Export the book");
  const text = await textDownloadedBy(page, () => press(page, "Export the book"));
  await waitForWords(page, "The book is in");
  return text;
}

/** Has a page think, from its next address on, that it is noon of a day: for tests whose figures belong to one. */
export async function onDay(page: Page, date: string): Promise<void> {
  const noon = Date.parse(`${date}T12:00:00`);
  // As text, since it runs before anything of the page.
  await page.evaluateOnNewDocument(`
    globalThis.Date = new Proxy(Date, {
      construct: (target, args) =>
        args.length === 0 ? new target(${noon}) : Reflect.construct(target, args),
    });
  `);
}

/** A day so many days ago, as it is typed into a field for dates. */
export function typedDaysAgo(days: number): string {
  const now = new Date();
  const day = new Date(now.getFullYear(), now.getMonth(), now.getDate() - days);
  const of = (part: number): string => String(part).padStart(2, "0");
  return `${of(day.getMonth() + 1)}${of(day.getDate())}${day.getFullYear()}`;
}
