import { fileURLToPath } from "node:url";
import { serve, type Serving } from "@yonderfell/server";
import type { Page } from "puppeteer-core";
import { startBrowser, watchPage, type Misdeeds, type OwnBrowser } from "./browser.js";

const WEB_FOLDER = fileURLToPath(new URL("../web/dist", import.meta.url));

/** The application as a person has it: served on loopback, open in a browser of its own. */
export interface RunningApplication {
  readonly address: string;
  readonly page: Page;
  readonly misdeeds: Misdeeds;
  readonly end: () => Promise<void>;
}

/** Starts the built application and a browser, with an empty page. */
export async function startApplication(): Promise<RunningApplication> {
  const serving: Serving = await serve({ webFolder: WEB_FOLDER, opensDemonstration: true }, 0);
  const own: OwnBrowser = await startBrowser();
  const page = await own.browser.newPage();
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

/** Waits until the page shows some words. */
export async function waitForWords(page: Page, words: string): Promise<void> {
  await page.waitForFunction(
    (wanted: string) =>
      document.body.innerText.replaceAll("\u00a0", " ").replaceAll("\u2060", "").includes(wanted),
    {},
    words,
  );
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
