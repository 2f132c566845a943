import { execFileSync } from "node:child_process";
import { closeSync, openSync, rmSync, writeSync } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";
import type { Browser, Page } from "puppeteer-core";
import { startServing, waitForWords } from "./application.js";
import { launchWith } from "./browser.js";
import { change, Diary, foundIn, killProcess, openPage } from "./kills.js";
import { exportedText, press } from "./steps.js";

/** What a trial came to. */
export interface FullDiskTrial {
  /** How the disk was made to refuse: a small file system that was filled, or a store that fails and loses its databases. */
  readonly how: "full disk" | "failing store";
  /** How many changes were pressed, and how many of them said to be saved. */
  readonly made: number;
  readonly saved: number;
  /** Saved changes that were not there afterwards. */
  readonly lost: readonly string[];
  readonly faults: readonly string[];
  /** Whether the book had to be put back from its second trace. */
  readonly isPutBack: boolean;
}

const SMALL_DISK = "160m";
/** A change is tried so long on a disk that refuses. */
const TRIED_MS = 6000;
const CHUNK = 65_536;

/** A file system of its own, so small that it can be filled; null where none can be mounted here. */
async function smallDisk(): Promise<{ readonly path: string; readonly end: () => void } | null> {
  const path = await mkdtemp(join(tmpdir(), "yonderfell-disk-"));
  try {
    execFileSync("mount", ["-t", "tmpfs", "-o", `size=${SMALL_DISK}`, "tmpfs", path], {
      stdio: "ignore",
    });
  } catch {
    await rm(path, { recursive: true });
    return null;
  }
  const end = (): void => {
    execFileSync("umount", [path], { stdio: "ignore" });
    rmSync(path, { recursive: true });
  };
  return { path, end };
}

/** Writes a file until no more of it goes onto its disk. */
function fill(file: string): void {
  const open = openSync(file, "w");
  try {
    for (;;) writeSync(open, Buffer.alloc(CHUNK, 1));
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "ENOSPC") throw error;
  } finally {
    closeSync(open);
  }
}

/** From now on the databases of a page refuse to be written, as on a full disk. */
async function refuse(page: Page): Promise<void> {
  await page.evaluateOnNewDocument(() => {
    const fail = (): never => {
      throw new DOMException("Internal error", "UnknownError");
    };
    Object.assign(IDBObjectStore.prototype, { put: fail, add: fail });
  });
}

/** What a site stores is gone, as where the browser clears a store that it can no longer read, or a person clears it: its databases, or all. */
export async function loseStorage(
  page: Page,
  address: string,
  what: "indexeddb" | "all",
): Promise<void> {
  const session = await page.createCDPSession();
  const { origin } = new URL(address);
  await session.send("Storage.clearDataForOrigin", { origin, storageTypes: what });
  await session.detach();
}

/** Tries changes on a disk that refuses: the page may say that they are not saved, or nothing, or be gone. */
async function tryChanges(page: Page, address: string, diary: Diary, tries: number): Promise<void> {
  page.setDefaultTimeout(TRIED_MS);
  for (let at = 0; at < tries; at += 1) {
    try {
      await change(page, address, diary);
      await setTimeout(TRIED_MS / 2);
    } catch (error) {
      // The browser may end the page, or itself.
      if (!(error instanceof Error)) throw error;
    }
  }
}

/** Ends a browser that may have ended itself. */
async function end(browser: Browser): Promise<void> {
  if (browser.process()?.exitCode === null && browser.process()?.signalCode === null) {
    await killProcess(browser);
  }
}

/** The book as it is found afterwards: where the browser has lost it, put back from its second trace. */
async function foundAfter(
  page: Page,
  address: string,
): Promise<[text: string, isPutBack: boolean]> {
  // Where there is no book any more, this shows what there is to begin with; what was lost stands in both.
  await page.goto(`${address}books`);
  const known = ["[aria-labelledby=lost]", "main ul > li button"];
  await page.waitForSelector(known.join(","), { visible: true });
  const isPutBack = (await page.$("[aria-labelledby=lost]")) !== null;
  if (isPutBack) {
    await press(page, "Put it back: Skarrow Vale");
    await page.waitForSelector("[data-strip]");
  }
  // What the database has lost is put back soon after the book is opened.
  await page.goto(`${address}books`);
  await waitForWords(page, "stands in this browser twice");
  return [await exportedText(page, address), isPutBack];
}

/** A person goes on saving while the disk is full; afterwards all that was said to be saved must be there. */
export async function fullDiskTrial(tries: number): Promise<FullDiskTrial> {
  const { address, stop } = await startServing();
  const disk = await smallDisk();
  const folder = disk?.path ?? (await mkdtemp(join(tmpdir(), "yonderfell-profile-")));
  const [profile, filler] = [join(folder, "profile"), join(folder, "filler")];
  const diary = new Diary();
  try {
    const browser = await launchWith(profile);
    const page = await openPage(browser, diary);
    await page.goto(`${address}demonstration`);
    await page.waitForSelector("[data-strip]");
    await page.goto(`${address}books`);
    await waitForWords(page, "stands in this browser twice");
    for (let good = 0; good < 2; good += 1) await diary.told(await change(page, address, diary));
    if (disk === null) await refuse(page);
    else fill(filler);
    await tryChanges(page, address, diary, tries);
    await end(browser);
    rmSync(filler, { force: true });
    const next = await launchWith(profile);
    const after = await openPage(next, new Diary());
    if (disk === null) await loseStorage(after, address, "indexeddb");
    const [text, isPutBack] = await foundAfter(after, address);
    const { notes, faults } = foundIn(text);
    await next.close();
    return {
      how: disk === null ? "failing store" : "full disk",
      made: diary.made,
      saved: diary.saved.size,
      lost: [...diary.saved].filter((note) => !notes.has(note)),
      faults,
      isPutBack,
    };
  } finally {
    await stop();
    if (disk === null) await rm(folder, { recursive: true, force: true, maxRetries: 5 });
    else disk.end();
  }
}
