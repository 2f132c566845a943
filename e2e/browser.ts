import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import puppeteer, { type Browser, type BrowserContext, type Page } from "puppeteer-core";

const FLAGS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  // A page that is left ends: kept frozen instead, with its workers and its database, it hung the next one in half of the runs of a bench.
  "--disable-features=BackForwardCache",
];

/** A browser with a profile of its own, and the way to end both. */
export interface OwnBrowser {
  readonly browser: Browser;
  readonly end: () => Promise<void>;
}

/** Where the runner of all tests says that its browsers listen, for files to share: one for each of its workers. */
const SHARED_BROWSERS = "YONDERFELL_BROWSERS";

/**
 * What a runner sets for its tests, so that they share its browsers. A worker has one to itself:
 * two workers with one browser between them were slower.
 */
export function sharing(browsers: readonly Browser[]): Record<string, string> {
  return { [SHARED_BROWSERS]: browsers.map((one) => one.wsEndpoint()).join(" ") };
}

function sharedBrowser(): string | undefined {
  const browsers = process.env[SHARED_BROWSERS]?.split(" ") ?? [];
  return browsers[(Number(process.env["JEST_WORKER_ID"] ?? 1) - 1) % browsers.length];
}

/** A profile in memory within a browser, and the way to end it. */
export interface OwnContext {
  readonly context: BrowserContext;
  readonly end: () => Promise<void>;
}

/** A fresh profile: within the browser that the runner shares, or else within a browser of its own. */
export async function startContext(): Promise<OwnContext> {
  const shared = sharedBrowser();
  if (shared === undefined) {
    const own = await startBrowser();
    return { context: own.browser.defaultBrowserContext(), end: own.end };
  }
  const browser = await puppeteer.connect({ browserWSEndpoint: shared });
  const context = await browser.createBrowserContext();
  const end = async (): Promise<void> => {
    await context.close();
    await browser.disconnect();
  };
  return { context, end };
}

/** A fresh folder for a browser's profile. */
export function newProfile(): Promise<string> {
  return mkdtemp(join(tmpdir(), "yonderfell-profile-"));
}

/** Starts headless Chromium with the profile of a folder. */
export function launchWith(profile: string): Promise<Browser> {
  return puppeteer.launch({
    executablePath: process.env["CHROMIUM"] ?? "/usr/bin/chromium",
    headless: true,
    args: FLAGS,
    userDataDir: profile,
  });
}

/** Starts headless Chromium with a fresh profile folder. */
export async function startBrowser(): Promise<OwnBrowser> {
  const profile = await newProfile();
  const browser = await launchWith(profile);
  const end = async (): Promise<void> => {
    await browser.close();
    await rm(profile, { recursive: true, force: true });
  };
  return { browser, end };
}

/** What a page did that it must not: errors in the console, requests off the machine. */
export interface Misdeeds {
  readonly consoleErrors: string[];
  readonly foreignRequests: string[];
}

/** Notes from now on what a page does that it must not. */
export function watchPage(page: Page, address: string): Misdeeds {
  const misdeeds: Misdeeds = { consoleErrors: [], foreignRequests: [] };
  page.on("console", (message) => {
    if (message.type() === "error" || message.type() === "warn")
      misdeeds.consoleErrors.push(message.text());
  });
  page.on("pageerror", (error) => misdeeds.consoleErrors.push(String(error)));
  page.on("request", (request) => {
    const url = request.url();
    const isOwn = url.startsWith(address) || url.startsWith("data:") || url.startsWith("blob:");
    if (!isOwn) misdeeds.foreignRequests.push(url);
  });
  return misdeeds;
}
