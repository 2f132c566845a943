import { fileURLToPath } from "node:url";
import { serve, type Serving } from "@yonderfell/server";
import { TimeoutError, type Page } from "puppeteer-core";
import { startContext, watchPage, type Misdeeds } from "./browser.js";

/** The built application. */
export const WEB_FOLDER = fileURLToPath(new URL("../web/dist", import.meta.url));

/** Where the runner of all tests says that the application is served, for files to share. */
const SHARED_ADDRESS = "YONDERFELL_ADDRESS";

/** What a runner sets for its tests, so that they share its server. */
export function servingAt(address: string): Record<string, string> {
  return { [SHARED_ADDRESS]: address };
}

/** Serves the application, unless the runner does so for all; answers where, and the way to end it. */
export async function startServing(): Promise<Serving> {
  const address = process.env[SHARED_ADDRESS];
  if (address !== undefined) return { address, stop: () => Promise.resolve() };
  const standIns = { laboratory: LABORATORY, supplier: SUPPLIER };
  return serve({ webFolder: WEB_FOLDER, opensDemonstration: true, ...standIns }, 0);
}

const MOODS = ["late", "other-unit", "twice", "lost"] as const;

/** A laboratory that answers at once, in the way that a label asks for: `twice 1`. */
const LABORATORY = {
  takes: 200,
  again: 0,
  moodOf: (label: string) => MOODS.find((mood) => label.startsWith(mood)) ?? ("plain" as const),
};

/** A supplier that delivers what it has at once, and the rest when it is asked again a little later. */
const SUPPLIER = { takes: 0, rest: 1500 };

/** The application as a person has it: served on loopback, open in a browser profile of its own. */
export interface RunningApplication {
  readonly address: string;
  readonly page: Page;
  readonly misdeeds: Misdeeds;
  readonly end: () => Promise<void>;
}

/** Starts the built application and a browser profile, with an empty page. */
export async function startApplication(): Promise<RunningApplication> {
  const serving = await startServing();
  const own = await startContext();
  const page = await own.context.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  const misdeeds = watchPage(page, serving.address);
  const end = async (): Promise<void> => {
    await own.end();
    await serving.stop();
  };
  return { address: serving.address, page, misdeeds, end };
}

/** Opens the demonstration book and waits for its board. */
export async function openDemonstration({ page, address }: RunningApplication): Promise<void> {
  await page.goto(`${address}demonstration`);
  await page.waitForSelector("[data-strip]");
}

/** The words of the page with no-break spaces made plain and joiners dropped. */
export async function wordsOf(page: Page, selector = "body"): Promise<string> {
  const text = await page.$eval(selector, (element) => (element as HTMLElement).innerText);
  return text.replaceAll("\u00a0", " ").replaceAll("\u2060", "");
}

/** Laying a long page out for its words at every frame would leave nothing for the page itself. */
const LOOK_EVERY_MS = 50;

/** Waits until the page, or a part of it where the whole is long, shows some words; where they do not come, throws with what it shows instead. */
export async function waitForWords(page: Page, words: string, within = "body"): Promise<void> {
  try {
    await page.waitForFunction(
      (wanted: string, part: string) =>
        [...document.querySelectorAll<HTMLElement>(part)].some((one) =>
          one.innerText.replaceAll("\u00a0", " ").replaceAll("\u2060", "").includes(wanted),
        ),
      { polling: LOOK_EVERY_MS },
      words,
      within,
    );
  } catch (error) {
    if (!(error instanceof TimeoutError)) throw error;
    const shown = await wordsOf(page);
    throw new Error(`"${words}" never came; ${page.url()} shows:\n${shown}`, { cause: error });
  }
}

/** What is heard of a task's strip: its state, its name, its date and what is left. */
export async function stripOf(page: Page, task: string): Promise<string> {
  const text = await page.$eval(`[data-strip="${task}"]`, (strip) =>
    [...strip.querySelectorAll("span:not(:has(span))")].map((span) => span.textContent).join(" "),
  );
  return text.replaceAll("\u00a0", " ").replaceAll("\u2060", "");
}

/** Waits until the strip of a task says something else than before; answers what. */
export async function stripAfter(page: Page, task: string, before: string): Promise<string> {
  await page.waitForSelector(`[data-strip="${task}"]`);
  await page.waitForFunction(
    (selector: string, earlier: string) => {
      const spans = [...document.querySelectorAll(`${selector} span:not(:has(span))`)];
      const text = spans.map((span) => span.textContent).join(" ");
      return text.replaceAll("\u00a0", " ").replaceAll("\u2060", "") !== earlier;
    },
    {},
    `[data-strip="${task}"]`,
    before,
  );
  return stripOf(page, task);
}
