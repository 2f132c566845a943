import { appendFileSync } from "node:fs";
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
  // A scroll by key is at its end at once: where it is animated, what is drawn over it meanwhile moves its end.
  "--disable-smooth-scrolling",
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

/** Where the runner of all tests has it noted in which files the browser crashed, a path a line. */
const CRASHES = "YONDERFELL_CRASHES";

/** What a runner sets for its tests, so that crashes of the browser itself are noted in a file. */
export function notingCrashes(file: string): Record<string, string> {
  return { [CRASHES]: file };
}

/**
 * This browser now and then ends the process of a page that has just been gone to: a null pointer of its own, in the
 * thread of a worker, the same place in every crash report. Whoever waits for something on that page would wait for
 * ever: it is noted, and the profile closed, so that the file ends at once and the runner can begin it anew.
 */
function noteCrashes(context: BrowserContext): void {
  const file = process.env[CRASHES];
  if (file === undefined) return;
  const { testPath } = expect.getState();
  const crashed = (page: Page): void => {
    appendFileSync(file, `${testPath ?? ""}\n`);
    console.warn(`The browser itself crashed at ${page.url()}.`);
    void context.close().catch(() => undefined);
  };
  context.on("targetcreated", (target) => {
    // One that is closed at once has no page any more.
    void target.page().then(
      (page) => page?.on("error", () => crashed(page)),
      () => undefined,
    );
  });
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
  noteCrashes(context);
  const end = async (): Promise<void> => {
    // One that crashed is closed already.
    await context.close().catch(() => undefined);
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
