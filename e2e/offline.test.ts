import {
  cpSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { serve, type Serving } from "@yonderfell/server";
import type { Page } from "puppeteer-core";
import { WEB_FOLDER, waitForWords, wordsOf } from "./application.js";
import { startContext, watchPage, type Misdeeds, type OwnContext } from "./browser.js";
import { anotherTab, go, logNote, press, write } from "./steps.js";

let folder: string;
let serving: Serving;
let own: OwnContext;
let page: Page;
let misdeeds: Misdeeds;

beforeAll(async () => {
  // A copy, so that a newer version can be put in its place.
  folder = mkdtempSync(join(tmpdir(), "yonderfell-installed-"));
  cpSync(WEB_FOLDER, folder, { recursive: true });
  serving = await serve({ webFolder: folder, opensDemonstration: true }, 0);
  own = await startContext();
  page = await own.context.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  misdeeds = watchPage(page, serving.address);
});

afterAll(async () => {
  await own.end();
  await serving.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function open(path: string): Promise<void> {
  await page.goto(`${serving.address}${path}`);
}

test("after the first load all of it works without the server: places, search, saving, files", async () => {
  await open("demonstration");
  await page.waitForSelector("[data-strip]");
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  const port = Number(new URL(serving.address).port);
  await serving.stop();
  await page.reload();
  await page.waitForSelector("[data-strip]");
  await logNote(page, serving.address, "m-bus", "Logged far from any mast");
  for (const [path, words] of [
    ["yard", "Flail mower"],
    ["ahead/fleet", "What the plan changes"],
    ["yard/m-bus", "Logged far from any mast"],
    ["ledger", "The log"],
    ["books", "1 change made here"],
    ["hand-over", "Choose the other book's file"],
    ["preferences", "What makes a task due"],
  ] as const) {
    await open(path);
    await waitForWords(page, words);
  }
  await page.keyboard.press("/");
  await page.waitForSelector("[role=dialog] input:focus");
  await page.keyboard.type("far mast");
  await waitForWords(page, "Logged far from any mast");
  await page.keyboard.press("Escape");
  await open("ledger");
  await press(page, "Export the book");
  await waitForWords(page, "The book is in");
  expect(misdeeds).toEqual({ consoleErrors: [], foreignRequests: [] });
  serving = await serve({ webFolder: folder, opensDemonstration: true }, port);
});

test("a newer version is loaded on the person's word only, and what was saved is there", async () => {
  await open("ahead");
  await page.waitForSelector("[data-strip]");
  const html = join(folder, "index.html");
  writeFileSync(
    html,
    readFileSync(html, "utf8").replace("<title>", '<meta name="edition" content="newer" /><title>'),
  );
  const worker = join(folder, "sw.js");
  // A new revision of the page, as a new build has it.
  writeFileSync(
    worker,
    readFileSync(worker, "utf8").replace(
      /(url:"index.html",revision:")\w+|(revision:")\w+(",url:"index.html")/,
      (_all, before?: string, first?: string, last?: string) =>
        before === undefined ? `${first}newer${last}` : `${before}newer`,
    ),
  );
  const isNewer = (tab: Page): Promise<boolean> =>
    tab.$eval("head", (head) => head.querySelector("meta[name=edition]") !== null);
  await page.evaluate(async () => {
    await (await navigator.serviceWorker.ready).update();
  });
  await waitForWords(page, "A newer version of Yonderfell is ready.");
  expect(await isNewer(page)).toBe(false);
  const other = await anotherTab(page);
  await other.goto(`${serving.address}yard/m-bus/facts`);
  await write(other, "Serial number", "typed and not saved");
  await page.bringToFront();
  await Promise.all([page.waitForNavigation(), press(page, "Load it")]);
  await page.waitForSelector("[data-strip]");
  expect(await isNewer(page)).toBe(true);
  // Each tab asks for itself, and what is typed in it stays.
  await other.bringToFront();
  await waitForWords(other, "was loaded in another tab");
  expect(await isNewer(other)).toBe(false);
  const serial = (): Promise<string> =>
    other.$eval("::-p-aria(Serial number)", (field) => (field as HTMLInputElement).value);
  expect(await serial()).toBe("typed and not saved");
  await Promise.all([other.waitForNavigation(), press(other, "Load it")]);
  await waitForWords(other, "Kept from when you last were here");
  expect(await isNewer(other)).toBe(true);
  expect(await serial()).toBe("typed and not saved");
  await other.close();
  await open("yard/m-bus");
  await waitForWords(page, "Logged far from any mast");
  expect(await wordsOf(page)).not.toContain("A newer version");
});

test("it can be installed: the manifest names it, its start and its icons, and they are there", async () => {
  const manifest = (await (await fetch(`${serving.address}manifest.webmanifest`)).json()) as {
    readonly name: string;
    readonly start_url: string;
    readonly icons: readonly { readonly src: string; readonly type: string }[];
  };
  expect(manifest).toMatchObject({ name: "Yonderfell", start_url: "/ahead" });
  expect(manifest.icons.length).toBeGreaterThan(2);
  for (const { src, type } of manifest.icons) {
    const icon = await fetch(new URL(src, serving.address));
    expect([icon.status, icon.headers.get("content-type")]).toEqual([200, type]);
  }
});

test("a part of the program that could not be fetched is asked for again, and the page goes on", async () => {
  const tab = await own.context.newPage();
  await tab.setBypassServiceWorker(true);
  await tab.setCacheEnabled(false);
  await tab.goto(`${serving.address}ahead`);
  await tab.waitForSelector("[data-strip]");
  const name = readdirSync(join(folder, "assets")).find((one) => /^Workshop-.*\.js$/.test(one));
  const [there, gone] = [join(folder, "assets", name ?? ""), join(folder, "gone.js")];
  renameSync(there, gone);
  const refused = tab.waitForResponse(
    (response) => response.url().endsWith(`/${name ?? ""}`) && response.status() === 404,
  );
  await Promise.all([
    refused.then(() => renameSync(gone, there)),
    go(tab, "workshop").then(() => waitForWords(tab, "Add a bay")),
  ]);
  expect(await wordsOf(tab)).not.toContain("could not be shown");
  await tab.close();
});
