import { execFile } from "node:child_process";
import { mkdtemp, writeFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { promisify } from "node:util";
import type { Book, BookCosts } from "@yonderfell/core";
import Papa from "papaparse";
import { openDemonstration, waitForWords, wordsOf } from "./application.js";
import { bytesDownloadedBy, exportedText, go, press, textDownloadedBy, write } from "./steps.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();
const MAIN = fileURLToPath(new URL("../cli/src/main.ts", import.meta.url));

beforeAll(async () => {
  await openDemonstration(app());
});

/** What the command line says, asked of a file with such content. */
async function said(name: string, content: string | Uint8Array, words: string[]): Promise<string> {
  const file = join(await mkdtemp(join(tmpdir(), "yonderfell-ledger-")), name);
  await writeFile(file, content);
  const [command = "", ...rest] = words.map((word) => (word === "FILE" ? file : word));
  const args = ["--import", "tsx", MAIN, command, ...rest];
  const { stdout } = await promisify(execFile)(process.execPath, args);
  return stdout;
}

const plain = (words: string): string => words.replaceAll(/[\u00a0\u2060]/g, " ");

/** The cells of a table of the page, row by row. */
const cellsOf = (part: string): Promise<string[][]> =>
  app().page.$$eval(`${part} tbody tr`, (rows) =>
    rows.map((row) => [...row.children].map((cell) => cell.textContent.trim())),
  );

const figureOf = (cell: string | undefined): number =>
  Number(
    plain(cell ?? "")
      .replaceAll(/[ ]/g, "")
      .replace("–", "0") || 0,
  );

test("a service record is printed in three interactions, with its digest on each page and in its file", async () => {
  const { page } = app();
  await go(page, "yard");
  let interactions = 0;
  const act = async (done: Promise<unknown>): Promise<void> => {
    interactions += 1;
    await done;
  };
  await page.evaluate(() => {
    Object.assign(window, { printed: 0 });
    window.print = () => {
      (window as unknown as { printed: number }).printed += 1;
    };
  });
  await act(page.locator("main a[href$='/yard/m-hatch']").click());
  await waitForWords(page, "Service record");
  await act(press(page, "Service record"));
  await waitForWords(page, "Dials, as they were read");
  await act(press(page, "Print"));
  expect(interactions).toBe(3);
  expect(await page.evaluate(() => (window as unknown as { printed: number }).printed)).toBe(1);

  const digest = await page.$eval(".record tfoot .digest", (part) => part.textContent);
  const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString("latin1");
  const pages = pdf.match(/\/Type\s*\/Page\b(?!s)/g) ?? [];
  expect(pages.length).toBeGreaterThan(1);
  // A table's foot stands on each of its pages.
  const foot = await page.$eval(".record tfoot", (part) => getComputedStyle(part).display);
  expect(foot).toBe("table-footer-group");

  const zip = await bytesDownloadedBy(page, () => press(page, "As a file"));
  const verify = ["record", "verify", "FILE", "--json"];
  const verdict = JSON.parse(await said("record.zip", zip, verify)) as object;
  expect(verdict).toEqual({ asIssued: true, digest, changed: [] });
  const broken = Buffer.from(zip);
  const at = broken.indexOf("record.csv") + 40;
  broken[at] = (broken[at] ?? 0) ^ 1;
  const other = await said("broken.zip", broken, verify).catch(() => '{"asIssued":false}');
  expect(JSON.parse(other)).toMatchObject({ asIssued: false });
});

test("the days of a record are chosen, and what lies outside is not in it", async () => {
  const { page } = app();
  await page.goto(`${app().address}ledger/record/m-hatch?from=2030-01-01&to=2029-01-01`);
  await waitForWords(page, "Choose two days, the first no later than the last.");
  expect(await page.$(".record")).toBeNull();
  await page.goto(`${app().address}ledger/record/m-hatch?to=2016-12-31`);
  await waitForWords(page, "0 lines");
  expect(await wordsOf(page, ".record")).not.toContain("Engine oil");
});

test("each turn stands with its proof for a warranty, and one task alone", async () => {
  const { page } = app();
  await go(page, "ledger/warranty/m-hatch");
  await waitForWords(page, "Judged by the limits");
  const all = await cellsOf("main");
  await page.select("::-p-aria([name='Task'])", "t-hatch-oil");
  await page.waitForFunction(
    (before) => document.querySelectorAll("main tbody tr").length < before,
    {},
    all.length,
  );
  const oil = await cellsOf("main");
  expect(oil.map((row) => row[1])).toEqual(oil.map(() => "Engine oil and filter"));
  expect(plain(oil[0]?.join("|") ?? "")).toMatch(
    /in time\|due .*km.*\|.*km\|.*Tarnside Semi 5W-30/,
  );
  const rows = Papa.parse<string[]>(await textDownloadedBy(page, () => press(page, "As a table")), {
    skipEmptyLines: true,
  }).data;
  expect(rows).toHaveLength(oil.length + 1);
});

test("costs on the screen, on paper, in the table and on the command line are the same figures", async () => {
  const { page, address } = app();
  const book = await exportedText(page, address);
  await page.goto(`${address}ledger/costs?span=days&from=2020-01-01&to=2099-12-31`);
  await waitForWords(page, "By machine");
  await page.waitForSelector("[aria-labelledby=told-apart] tbody tr");
  const span = ["--from", "2020-01-01", "--to", "2099-12-31"];
  const costs = JSON.parse(
    await said("book.json", book, ["costs", "FILE", ...span, "--json"]),
  ) as BookCosts;
  const { machines = [] } = JSON.parse(book) as Book;
  const expected = costs.machines
    .filter(({ total, warranty, missing }) => total + warranty + missing !== 0)
    .map(({ id, total, parts, fluids, work, other, warranty }) => {
      const machine = machines.find((one) => one.id === id);
      const figures = [total, parts, fluids, work, other, warranty].map((one) => one.toFixed(2));
      return [`${machine?.tag} ${machine?.name}`, ...figures];
    })
    .toSorted();
  const shown = async (): Promise<string[][]> =>
    (await cellsOf("[aria-labelledby=told-apart]"))
      .map((row) => {
        const [name = "", total, parts, fluids, work, other, , warranty] = row;
        const figures = [total, parts, fluids, work, other, warranty];
        return [
          plain(name).replaceAll(/\s+/g, " "),
          ...figures.map((cell) => figureOf(cell).toFixed(2)),
        ];
      })
      .toSorted();
  expect(await shown()).toEqual(expected);
  await page.emulateMediaType("print");
  expect(await shown()).toEqual(expected);
  await page.emulateMediaType();
  const { data } = Papa.parse<string[]>(
    await textDownloadedBy(page, () => press(page, "As a table")),
    { skipEmptyLines: true },
  );
  const rows = data.slice(1).map((row) => {
    const [name = "", total, parts, fluids, work, other, , warranty] = row;
    return [name, total, parts, fluids, work, other, warranty];
  });
  expect(rows.toSorted()).toEqual(expected);
  // Whatever they are told apart by, they come to the same.
  const sum = expected.reduce((all, [, total]) => all + Number(total), 0);
  for (const by of ["kind", "place", "task", "month", "year"]) {
    await page.select("::-p-aria([name='Told apart by'])", by);
    await page.waitForFunction(
      (word) =>
        document.querySelector("[aria-labelledby=told-apart] thead th")?.textContent === word &&
        document.querySelector("[aria-labelledby=told-apart] tbody tr") !== null,
      {},
      by,
    );
    const { data: told } = Papa.parse<string[]>(
      await textDownloadedBy(page, () => press(page, "As a table")),
      { skipEmptyLines: true },
    );
    const total = told.slice(1).reduce((all, row) => all + Number(row[1]), 0);
    // Each row is rounded to two places.
    expect([by, Math.abs(total - sum) < told.length * 0.01]).toEqual([by, true]);
  }
});

test("on time is one page on paper, and its table says what stands on it", async () => {
  const { page } = app();
  await go(page, "ledger/on-time");
  await waitForWords(page, "By kind");
  await page.waitForSelector("main canvas");
  const pdf = Buffer.from(await page.pdf()).toString("latin1");
  expect(pdf.match(/\/Type\s*\/Page\b(?!s)/g)).toHaveLength(1);
  const months = await cellsOf("[aria-labelledby=months]");
  const { data } = Papa.parse<string[]>(
    await textDownloadedBy(page, () => press(page, "As a table")),
    { skipEmptyLines: true },
  );
  const counted = data.slice(2, 2 + months.length).map((row) => row.slice(1, 4).map(Number));
  expect(counted).toEqual(months.map((row) => row.slice(1, 4).map(figureOf)));
});

test("the log is narrowed, sorted and summed, and handed over as it stands", async () => {
  const { page } = app();
  await go(page, "ledger");
  await waitForWords(page, "entries · ");
  const headOf = async (): Promise<string> =>
    plain(await page.$eval("main p[aria-live]", (part) => part.textContent));
  const whole = Number(/^\d+/.exec(await headOf())?.[0]);
  expect(whole).toBeGreaterThan(150);
  await page.select("::-p-aria([name='Machine'][role='combobox'])", "m-bus");
  await write(page, "Task", "oil");
  await page.waitForFunction(
    (before) => {
      const words = document.querySelector("main p[aria-live]")?.textContent ?? "";
      return Number(/^\d+/.exec(words)?.[0]) < before / 10;
    },
    {},
    whole,
  );
  await page.locator("::-p-aria([name='Cost'][role='button'])").click();
  await page.waitForFunction(() => {
    const by = document.querySelector("[role=columnheader][aria-sort=descending]");
    return by?.textContent === "Cost";
  });
  // All of what was asked last, and nothing of what was asked before.
  await page.waitForFunction(() => {
    const table = document.querySelector("[role=table][aria-label='The log'][aria-busy=false]");
    const rows = table?.querySelectorAll("[role=row]:has([role=cell])").length ?? 0;
    return rows > 2 && rows === Number(table?.getAttribute("aria-rowcount"));
  });
  const costs = await page.$$eval("[role=rowgroup] [role=row]", (rows) =>
    rows.map((row) => Number((row.lastElementChild?.textContent ?? "").replaceAll(/[^\d.]/g, ""))),
  );
  expect(costs.length).toBeGreaterThan(2);
  expect(costs).toEqual(costs.toSorted((one, other) => other - one));
  const { data } = Papa.parse<string[]>(
    await textDownloadedBy(page, () => press(page, "As a table")),
    { skipEmptyLines: true },
  );
  expect(data).toHaveLength(costs.length + 1);
  expect(data.slice(1).map((row) => Number(row[9]))).toEqual(costs);
  await press(page, "Show all");
  await page.waitForFunction(
    (before) => {
      const words = document.querySelector("main p[aria-live]")?.textContent ?? "";
      return Number(/^\d+/.exec(words)?.[0]) === before;
    },
    {},
    whole,
  );
});

test("a year's budget is kept with the book and stands beside what was spent and is to come", async () => {
  const { page, address } = app();
  await go(page, "ledger/ahead");
  await waitForWords(page, "What waits, as a sum");
  await waitForWords(page, "to come by the end of the year");
  await write(page, "Another budget", "9000");
  await press(page, "Keep it");
  await waitForWords(page, "9 000.00 cr: ");
  const { settings } = JSON.parse(await exportedText(page, address)) as Book;
  expect(Object.values(settings?.budgets ?? {})).toEqual([9000, 6500]);
});
