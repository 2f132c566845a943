import { rm } from "node:fs/promises";
import { readBook, type Book } from "@yonderfell/core";
import type { Browser, Page } from "puppeteer-core";
import { startServing } from "./application.js";
import { launchWith, newProfile } from "./browser.js";
import { exportedText } from "./steps.js";

/** When a browser is killed: as the button is pressed, so long after that, or as soon as the work is said to be saved. */
export type Moment = "pressed" | { readonly afterMs: number } | "said to be saved";

/** What a trial came to. */
export interface KillTrial {
  /** Changes whose save button was pressed. */
  readonly made: number;
  /** Those that were said to be saved before the browser was killed. */
  readonly saved: number;
  /** Saved changes that a later browser did not find, as they were told. */
  readonly lost: readonly string[];
  /** Changes that stand in the book more than once. */
  readonly doubled: readonly string[];
  /** What the core's check says of the book after a kill. */
  readonly faults: readonly string[];
  /** What happened, a line each. */
  readonly story: readonly string[];
}

/** Each browser makes one change that is waited for, and one in which it is killed. */
const CHANGES_A_ROUND = 2;
const PATIENCE_MS = 60_000;

/** What a scripted user has done so far, and what of it was said to be saved. */
export class Diary {
  made = 0;
  readonly saved = new Set<string>();
  private readonly waiting = new Map<string, () => void>();

  private pressed: () => void = () => undefined;

  readonly tell = (note: string): void => {
    this.saved.add(note);
    this.waiting.get(note)?.();
  };

  readonly tellPressed = (): void => this.pressed();

  /** Settles when a change has been said to be saved. */
  told(note: string): Promise<void> {
    return new Promise((resolve) => {
      this.waiting.set(note, resolve);
      if (this.saved.has(note)) resolve();
    });
  }

  /** Settles when save is pressed the next time. */
  nextPress(): Promise<void> {
    return new Promise((resolve) => {
      this.pressed = resolve;
    });
  }
}

/** A page whose notes of work are told to a diary once they are said to be saved. */
export async function openPage(browser: Browser, diary: Diary): Promise<Page> {
  const [first] = await browser.pages();
  const page = first ?? (await browser.newPage());
  await page.setViewport({ width: 1280, height: 800 });
  await page.exposeFunction("tellSaved", diary.tell);
  await page.exposeFunction("tellPressed", diary.tellPressed);
  return page;
}

/** What a scripted user does again and again: makes ready for a press, and how what was done is found in a book. */
export interface Doing {
  /** Makes ready, so that one press of `press` does it; told to the diary as soon as the page shows it. */
  readonly ready: (page: Page, address: string, diary: Diary) => Promise<string>;
  readonly press: string;
  readonly foundIn: (book: Book) => readonly string[];
}

/** Writes a note of work; what is said to be saved is told as soon as it stands on the page. */
async function writeNote(page: Page, address: string, diary: Diary): Promise<string> {
  diary.made += 1;
  const note = `scripted ${diary.made}`;
  await page.goto(`${address}log/m-bus`);
  await page.waitForSelector("textarea");
  await page.click("textarea", { count: 3 });
  await page.keyboard.sendCharacter(note);
  await page.waitForSelector("button[type=submit]:not([disabled])");
  await page.evaluate((words: string) => {
    new MutationObserver((_changes, watching) => {
      if (!document.body.innerText.includes("Saved in the log.")) return;
      watching.disconnect();
      void (window as unknown as { tellSaved: (note: string) => void }).tellSaved(words);
    }).observe(document.body, { childList: true, subtree: true });
  }, note);
  return note;
}

/** Work that is logged: what is said to be saved must be there after a kill. */
const NOTES: Doing = {
  ready: writeNote,
  press: "button[type=submit]",
  foundIn: ({ entries = [] }) =>
    entries.flatMap(({ note }) => (note?.startsWith("scripted ") === true ? [note] : [])),
};

/** Does what is done again and again: makes ready and presses. */
export async function change(
  page: Page,
  address: string,
  diary: Diary,
  { ready, press }: Doing = NOTES,
): Promise<string> {
  const note = await ready(page, address, diary);
  await page.$eval(press, (button) => (button as HTMLElement).click());
  return note;
}

/** Makes ready and presses on a page that then comes to nothing else: it is killed while it is held. */
async function changeHeld(
  page: Page,
  address: string,
  diary: Diary,
  { ready, press }: Doing,
): Promise<void> {
  await ready(page, address, diary);
  const pressed = diary.nextPress();
  const held = page.$eval(
    press,
    (button, patience) => {
      (button as HTMLElement).click();
      (window as unknown as { tellPressed: () => void }).tellPressed();
      const until = performance.now() + patience;
      while (performance.now() < until);
    },
    PATIENCE_MS,
  );
  // The kill takes its answer away.
  held.catch(() => undefined);
  await pressed;
}

/** Waits until a change is said to be saved; where it is not, throws with what the page says instead. */
async function untilTold(page: Page, diary: Diary, note: string): Promise<void> {
  let timer: NodeJS.Timeout | undefined;
  const given = new Promise<boolean>((resolve) => {
    timer = setTimeout(() => resolve(false), PATIENCE_MS);
  });
  const isTold = await Promise.race([diary.told(note).then(() => true), given]);
  clearTimeout(timer);
  if (isTold) return;
  const words = await page.evaluate(
    () => `${document.querySelector("textarea")?.value}\n${document.body.innerText}`,
  );
  throw new Error(`${note} was never said to be saved; the page says:\n${words}`);
}

/** Ends a browser at once, as a power cut does. */
export async function killProcess(browser: Browser): Promise<void> {
  const child = browser.process();
  if (child === null) throw new Error("the browser runs as a process of this trial");
  const gone = new Promise<void>((resolve) => child.once("exit", () => resolve()));
  child.kill("SIGKILL");
  await gone;
}

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** The change in which a browser is killed, up to its moment. */
async function lastChange(
  page: Page,
  address: string,
  diary: Diary,
  moment: Moment,
  doing: Doing,
): Promise<void> {
  if (moment === "pressed") return changeHeld(page, address, diary, doing);
  const note = await change(page, address, diary, doing);
  if (moment === "said to be saved") await untilTold(page, diary, note);
  else await wait(moment.afterMs);
}

/** How often each of the scripted changes stands in a book, and what is wrong with the book. */
export function foundIn(
  text: string,
  doing: Doing = NOTES,
): {
  readonly notes: ReadonlyMap<string, number>;
  readonly faults: readonly string[];
} {
  const read = readBook(text);
  if (!read.ok) return { notes: new Map(), faults: read.issues.map(({ path }) => path.join(".")) };
  const notes = new Map<string, number>();
  for (const note of doing.foundIn(read.value)) notes.set(note, (notes.get(note) ?? 0) + 1);
  return { notes, faults: [] };
}

/**
 * A person logs work, and the browser is killed at each of the moments; the next browser, with the
 * same profile, must find all that was said to be saved, each once, in a sound book.
 */
export async function killTrial(
  moments: readonly Moment[],
  doing: Doing = NOTES,
): Promise<KillTrial> {
  const { address, stop } = await startServing();
  const profile = await newProfile();
  const diary = new Diary();
  const lost = new Set<string>();
  const doubled = new Set<string>();
  const faults: string[] = [];
  const story: string[] = [];
  const lookThrough = async (page: Page): Promise<void> => {
    const found = foundIn(await exportedText(page, address), doing);
    for (const note of diary.saved) if (!found.notes.has(note)) lost.add(note);
    for (const [note, times] of found.notes) if (times > 1) doubled.add(note);
    faults.push(...found.faults);
    story.push(`${diary.saved.size} said to be saved, ${found.notes.size} found`);
  };
  try {
    for (const [index, moment] of [...moments, null].entries()) {
      const browser = await launchWith(profile);
      const page = await openPage(browser, diary);
      if (index === 0) {
        await page.goto(`${address}demonstration`);
        await page.waitForSelector("[data-strip]");
      } else {
        await lookThrough(page);
      }
      if (moment === null) {
        await browser.close();
        break;
      }
      for (let count = 1; count < CHANGES_A_ROUND; count += 1) {
        await untilTold(page, diary, await change(page, address, diary, doing));
      }
      await lastChange(page, address, diary, moment, doing);
      await killProcess(browser);
      const when = typeof moment === "string" ? moment : `${moment.afterMs.toFixed(1)} ms after`;
      story.push(`kill ${index + 1}: ${when}`);
    }
  } finally {
    await stop();
    await rm(profile, { recursive: true, force: true, maxRetries: 5 });
  }
  const ended = { made: diary.made, saved: diary.saved.size };
  return { ...ended, lost: [...lost], doubled: [...doubled], faults, story };
}
