import {
  dayOf,
  issueRecord,
  learning,
  logOf,
  makeRecord,
  onTime,
  recordRows,
  recordText,
  verifyRecord,
  type MachineId,
} from "@yonderfell/core";
import { report } from "./browser.js";
import { largeBook, LARGE } from "./largeBook.js";
import { medianTimes } from "./median.js";

const TODAY = dayOf("2026-11-23");
const ENTRIES = 1500;
const MOST_RECORD_MS = 5000;
const MOST_TURNS_MS = 5000;
const MOST_LOG_MS = 1000;

/** Measures a service record of 1,500 entries, made, issued and verified; each of its turns judged; and 200,000 entries of a log narrowed. */
export function measureLedger(parse: number): void {
  const one = { machines: 1, tasksEach: 20, readingsEach: ENTRIES, entriesEach: ENTRIES };
  const book = largeBook(one, TODAY);
  const machine = (book.machines?.[0]?.id ?? "") as MachineId;
  const asked = { machine, from: null, to: TODAY, issued: TODAY, book: "Bench" };
  const [made = 0] = medianTimes(
    [
      () => {
        const content = makeRecord(book, asked);
        if (content === null) throw new Error("the book has the machine");
        recordRows(content);
        const text = recordText(issueRecord(content, "0".repeat(64)));
        if (verifyRecord(text, null)?.changed.length !== 0) throw new Error("it is as issued");
      },
    ],
    3,
    1,
  );
  report("a service record of 1,500 entries made, issued and verified", made, MOST_RECORD_MS);
  console.log(`a service record: ${(made / parse).toFixed(3)} × JSON.parse of the large book`);
  const all = { from: dayOf("1990-01-01"), to: TODAY, today: TODAY };
  const [judged = 0] = medianTimes([() => void onTime(book, all)], 3, 1);
  report("each turn of 1,500 entries judged", judged, MOST_TURNS_MS);
  const { ask } = logOf(
    largeBook({ machines: 1000, tasksEach: 4, readingsEach: 4, entriesEach: 200 }, TODAY),
  );
  const log = { from: null, to: null, machine: null, task: "", person: "", used: "" };
  const [sorted = 0] = medianTimes(
    [() => void ask({ ...log, order: "cost", isDescending: true })],
    3,
    1,
  );
  report("200,000 entries of the log sorted by cost and summed", sorted, MOST_LOG_MS);
  const fleet = largeBook(LARGE, TODAY);
  const [learned = 0] = medianTimes([() => void learning(fleet, TODAY, null)], 3, 1);
  console.log(
    `what 1,000 machines teach: ${(learned / parse).toFixed(2)} × JSON.parse of the large book`,
  );
}
