import { dayOf, type Book, type Job, type JobEvent } from "@yonderfell/core";
import { demonstrationBook } from "@yonderfell/demo";
import type { Page } from "puppeteer-core";
import { bookOnPage } from "./bookOnPage.js";

const TAPS = 15;
/** A hand presses again no sooner than this, in milliseconds. */
const BETWEEN_MS = 300;
const MANY = 10_000;
/** No task of the page holds a tap up for longer; what is written durably takes the time of the disk besides. */
const MOST_TASK_MS = 100;
/** With many events more in the book a tap may take so many times as long. */
const MOST_TIMES = 1.5;

const PLACE = "bench/m-bus/j-bus";

/** The demonstration with so many events more, in an earlier job of each machine. */
function bookWith(more: number): Book {
  const book = demonstrationBook(dayOf("2026-11-23"));
  const machines = book.machines ?? [];
  const jobs = machines.map(({ id }): Job => {
    const finished = { on: "2026-01-09" };
    return { id: `old-${id}` as Job["id"], machine: id, opened: "2026-01-08", finished };
  });
  const events = Array.from({ length: more }, (_, at): JobEvent => {
    const job = jobs[at % jobs.length] as Job;
    const id = `extra-${at}` as JobEvent["id"];
    return { id, job: job.id, machine: job.machine, at, do: "note", temperature: 40 };
  });
  return {
    ...book,
    jobs: [...(book.jobs ?? []), ...jobs],
    jobEvents: [...(book.jobEvents ?? []), ...events],
  };
}

/** Presses one of the pours once; how long until it stands in the sum of what is in, and is painted, in milliseconds. */
function tapOnce(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const sums = "[aria-label='Step in hand'] dl";
        const before = document.querySelector(sums)?.textContent;
        const pour = document.querySelector<HTMLElement>("button[aria-label='0.1 L in']");
        const from = performance.now();
        new MutationObserver((_changes, watching) => {
          if (document.querySelector(sums)?.textContent === before) return;
          watching.disconnect();
          requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
        }).observe(document.body, { childList: true, subtree: true, characterData: true });
        pour?.click();
      }),
  );
}

async function measured(more: number): Promise<{ readonly tap: number; readonly task: number }> {
  let [tap, task] = [0, 0];
  await bookOnPage(bookWith(more), async ({ page, longestTaskOf }) => {
    await page.goto(`${new URL(page.url()).origin}/${PLACE}`);
    const fill = await page.waitForSelector(
      "::-p-xpath(//nav[@aria-label='Steps']//button[contains(., 'Fill with')])",
    );
    await fill?.click();
    await page.waitForSelector("[aria-label='Step in hand'] dl");
    await tapOnce(page);
    // Tracing itself costs time: how long a tap takes is measured without it.
    const times: number[] = [];
    for (let at = 0; at < TAPS; at += 1) {
      await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
      times.push(await tapOnce(page));
    }
    task = await longestTaskOf(async () => {
      for (let at = 0; at < TAPS; at += 1) await tapOnce(page);
    });
    tap = times.sort((one, other) => one - other)[Math.floor(TAPS / 2)] ?? 0;
    console.log(
      `taps with ${more} events more in the book: median ${tap.toFixed(0)} ms, most ${(times.at(-1) ?? 0).toFixed(0)} ms from the press until it is written, shown and painted; longest task ${task.toFixed(0)} ms`,
    );
  });
  return { tap, task };
}

/** Measures a tap on the Bench, by the browser's own tracing, with few and with many events in the book. */
export async function measureTaps(): Promise<void> {
  const few = await measured(0);
  const many = await measured(MANY);
  const times = many.tap / few.tap;
  const isSlow = many.task > MOST_TASK_MS || times > MOST_TIMES;
  console.log(
    `a tap with ${MANY} events more: ${times.toFixed(2)} times that with few (at most ${MOST_TIMES}), longest task ${many.task.toFixed(0)} ms (at most ${MOST_TASK_MS})${isSlow ? "  TOO SLOW" : ""}`,
  );
}
