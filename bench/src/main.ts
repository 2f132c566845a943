import {
  dayOf,
  machineBookOf,
  readBookData,
  reckonBoard,
  reckonMachineBook,
  settingsOf,
  type Book,
  type MachineId,
} from "@yonderfell/core";
import { measureBoard } from "./board.js";
import { measureBrowser } from "./browser.js";
import { tryFullDisks } from "./fullDisk.js";
import { tryHandOverKills } from "./handOverKills.js";
import { tryImportKills } from "./importKills.js";
import { tryKills } from "./kills.js";
import { largeBook, LARGE } from "./largeBook.js";
import { medianTimes } from "./median.js";
import { tryPackKills } from "./packKills.js";
import { measureSaving } from "./saving.js";
import { measureFleet } from "./fleet.js";
import { measureLedger } from "./ledger.js";
import { measureRecordOnPage } from "./recordOnPage.js";
import { measureShopping } from "./shopping.js";
import { measureTaps } from "./taps.js";
import { measureVisits } from "./visits.js";
import { measureYard } from "./yard.js";

const TODAY = dayOf("2026-11-23");

const text = JSON.stringify(largeBook(LARGE, TODAY));
const book = JSON.parse(text) as Book;
const records = (book.readings?.length ?? 0) + (book.entries?.length ?? 0);
console.log(
  `book: ${book.machines?.length} machines, ${book.tasks?.length} tasks, ${records} readings and entries, ${(text.length / 1e6).toFixed(1)} MB`,
);

const own = machineBookOf(book, "m500" as MachineId);
if (own === null) throw new Error("the book has a machine m500");
const settings = settingsOf(book);

const line = (name: string, time: number, most: number): void => {
  const ratio = time / parse;
  const verdict = ratio > most ? "  TOO SLOW" : "";
  console.log(`${name}: ${ratio.toFixed(4)} × JSON.parse (at most ${most})${verdict}`);
};
const [parse = 1, whole = 0, one = 0] = medianTimes(
  [
    () => JSON.parse(text) as unknown,
    () => reckonBoard(book, TODAY),
    () => reckonMachineBook(own, settings, TODAY),
  ],
  15,
);
const [validation = 0] = medianTimes([() => readBookData(book)], 3, 1);
console.log(`JSON.parse of it: ${parse.toFixed(0)} ms`);
line("due rules, whole book", whole, 1);
line("due rules, one machine", one, 0.005);
console.log(`validation, whole book: ${(validation / parse).toFixed(2)} × JSON.parse`);
await measureVisits(parse);
await measureFleet();
measureShopping(parse);
measureLedger(parse);
await measureBoard();
await measureBrowser();
await measureYard();
await measureRecordOnPage();
await measureSaving();
await measureTaps();
await tryKills();
await tryPackKills();
await tryImportKills();
await tryHandOverKills();
await tryFullDisks();
