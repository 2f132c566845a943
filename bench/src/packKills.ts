import { rm } from "node:fs/promises";
import { seededRandom } from "@yonderfell/demo/random";
import type { Browser, Page } from "puppeteer-core";
import { startServing } from "../../e2e/application.js";
import { launchWith, newProfile } from "../../e2e/browser.js";
import { killProcess } from "../../e2e/kills.js";
import { exportedText } from "../../e2e/steps.js";

const SEED = 4711;
const KILLS = 10;
/** From asking for the page on: loading comes first, then the database is brought forward. */
const WITHIN_MS = 1500;
const PATIENCE_MS = 60_000;

/** Run by tsx, functions in the page are given their names by this. */
const TRANSLATED = "globalThis.__name = (named) => named";

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** The version of the book's database; the library counts in tens. */
function versionOfBook(): Promise<number> {
  return indexedDB
    .databases()
    .then(
      (all) => all.find(({ name }) => name?.startsWith("yonderfell-book-") === true)?.version ?? 0,
    );
}

const DATED = ["place", "machine", "replaces", "crosses"];
const PLAIN = ["place", "machine"];
/** What the rows of version 5 were looked up by. */
const INDEXES: Readonly<Record<string, readonly string[]>> = {
  ...{ readings: DATED, meterChanges: DATED, entries: DATED, tasks: PLAIN, servicePoints: PLAIN },
  ...{ specifications: PLAIN, visits: PLAIN, journeys: PLAIN, parts: PLAIN, products: PLAIN },
  ...{ people: PLAIN, places: PLAIN, machines: PLAIN, fluids: PLAIN, fitments: PLAIN, bays: PLAIN },
};

/** Puts the book's database back into the form of version 5: a row for each record of a machine. Runs in the page. */
async function backToVersion5(indexes: typeof INDEXES): Promise<void> {
  type Row = Record<string, unknown>;
  const asked = <T>(request: IDBRequest<T>): Promise<T> =>
    new Promise((resolve, reject) => {
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error(request.error?.message ?? "refused"));
    });
  const all = await indexedDB.databases();
  const name = all.find((one) => one.name?.startsWith("yonderfell-book-") === true)?.name ?? "";
  const now = await asked(indexedDB.open(name));
  const held = new Map<string, Row[]>();
  for (const store of now.objectStoreNames) {
    held.set(store, (await asked(now.transaction(store).objectStore(store).getAll())) as Row[]);
  }
  now.close();
  await asked(indexedDB.deleteDatabase(name));
  const opening = indexedDB.open(name, 50);
  opening.onupgradeneeded = () => {
    const old = opening.result;
    for (const [section, keys] of Object.entries(indexes)) {
      const store = old.createObjectStore(section, { keyPath: "id" });
      for (const key of keys) store.createIndex(key, key);
      if (["machines", "fluids", "fitments", "bays"].includes(section)) {
        store.createIndex("refers", "refers", { multiEntry: true });
      }
      if (section === "entries") store.createIndex("[date+place]", ["date", "place"]);
    }
    old.createObjectStore("journal", { keyPath: "seq", autoIncrement: true });
    old.createObjectStore("pictures", { keyPath: "hash" });
    for (const store of ["drafts", "facts", "boardFacts"]) {
      old.createObjectStore(store, { keyPath: "key" });
    }
    old.createObjectStore("board", { keyPath: "machine" }).createIndex("place", "place");
  };
  const old = await asked(opening);
  const write = old.transaction([...old.objectStoreNames], "readwrite");
  const done = new Promise<void>((resolve) => {
    write.oncomplete = () => resolve();
  });
  for (const [store, rows] of held) {
    if (store === "pages") continue;
    for (const row of rows) write.objectStore(store).put(row);
  }
  for (const page of held.get("pages") ?? []) {
    const records = JSON.parse(page["text"] as string) as [number, Row][];
    for (const [place, record] of records) {
      const { id, machine, date = "", replaces = "" } = record;
      const row = { id, place, machine, date, replaces: replaces ?? "", record };
      write.objectStore(page["section"] as string).put(row);
    }
  }
  await done;
  old.close();
}

async function openedPage(profile: string): Promise<{ browser: Browser; page: Page }> {
  const browser = await launchWith(profile);
  const [first] = await browser.pages();
  return { browser, page: first ?? (await browser.newPage()) };
}

/** Kills browsers while a database of version 5 is packed, and says whether all of the book is there after it. */
export async function tryPackKills(): Promise<void> {
  const { address, stop } = await startServing();
  const profile = await newProfile();
  const random = seededRandom(SEED);
  const plain = `${address}manifest.webmanifest`;
  let [cut, packed, wrong] = [0, 0, 0];
  try {
    let { browser, page } = await openedPage(profile);
    await page.goto(`${address}demonstration`);
    await page.waitForSelector("[data-strip]");
    const expected = await exportedText(page, address);
    for (let trial = 0; trial < KILLS; trial += 1) {
      await page.goto(plain);
      await page.evaluate(TRANSLATED);
      await page.evaluate(backToVersion5, INDEXES);
      void page.goto(`${address}ahead`).catch(() => undefined);
      await wait(random() * WITHIN_MS);
      await killProcess(browser);
      ({ browser, page } = await openedPage(profile));
      await page.goto(plain);
      const version = await page.evaluate(versionOfBook);
      if (version === 50) cut += 1;
      else packed += 1;
      await page.goto(`${address}ahead`);
      await page.waitForSelector("[data-strip]", { timeout: PATIENCE_MS });
      if ((await exportedText(page, address)) !== expected) wrong += 1;
    }
    await browser.close();
  } finally {
    await stop();
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  }
  console.log(
    `killed ${KILLS} times while rows were packed (seed ${SEED}): ${cut} times before it was done, ${packed} after; not as it was ${wrong}${wrong > 0 ? "  BAD" : ""}`,
  );
}
