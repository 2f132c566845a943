import type { Page } from "puppeteer-core";
import { openDemonstration, waitForWords } from "./application.js";
import { brokenFiles, type BrokenFile } from "./brokenFiles.js";
import { logNote, storeOf } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
const COUNT = 500;
const SEED = 20261123;
/** A place in the file: itself, or a path. */
const PLACE = /(\(the file\)|[a-zA-Z]+(\[\d+\])?(\.[\w-]+|\[[^\]]+\])*): expected .+/;

/** Gives the page one file after the other and answers what it said of each. */
function answersTo(page: Page, files: readonly BrokenFile[]): Promise<string[]> {
  return page.evaluate(async (given: readonly BrokenFile[]) => {
    const said: string[] = [];
    for (const { name, text } of given) {
      const input = document.querySelector<HTMLInputElement>("input[type=file]");
      if (input === null) throw new Error("the page takes no file");
      const transfer = new DataTransfer();
      transfer.items.add(new File([text], name));
      input.files = transfer.files;
      input.dispatchEvent(new Event("change", { bubbles: true }));
      const answered = `[data-refused="${name}"]`;
      const deadline = performance.now() + 10_000;
      while (document.querySelector(answered) === null && performance.now() < deadline) {
        await new Promise((resolve) => setTimeout(resolve));
      }
      said.push(document.querySelector<HTMLElement>(answered)?.innerText ?? "no answer");
    }
    return said;
  }, files);
}

test.each([
  ["open", "books", "Open a book file"],
  ["hand-over", "hand-over", "Choose the other book's file"],
])(
  `${COUNT} broken files offered to %s are each refused with place and expectation, and the store is untouched`,
  async (_what, path, words) => {
    const { page, address } = app();
    await openDemonstration(app());
    await logNote(page, address, "m-bus", "Something of one's own");
    await page.goto(`${address}${path}`);
    await waitForWords(page, words);
    await page.waitForFunction(() => !document.body.innerText.includes("reckoning"));
    const before = await storeOf(page);
    const files = brokenFiles(COUNT, SEED);
    const answers = await answersTo(page, files);
    const wrong = files.flatMap(({ name, harm }, index) => {
      const answer = (answers[index] ?? "").replaceAll("\n", " ");
      const isRefused = answer.includes(`${name} was refused; nothing is changed.`);
      return isRefused && PLACE.test(answer) ? [] : [`${name}, ${harm}: ${answer.slice(0, 300)}`];
    });
    expect(wrong).toEqual([]);
    expect(await storeOf(page)).toBe(before);
    expect(new Set(files.map((file) => file.harm)).size).toBeGreaterThan(18);
  },
  120_000,
);
