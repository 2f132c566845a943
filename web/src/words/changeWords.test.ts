import {
  reckonBoard,
  type Change,
  type Entry,
  type Reading,
  type RecordChange,
  type Visit,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { changedMachine, changeWords, readingsIn } from "./changeWords.js";

const BOARD = reckonBoard(BOOK, TODAY);

/** A change worded by its machine on the board. */
const wordsOf = (one: Change): string =>
  changeWords(one, BOARD.find(({ machine }) => machine.id === changedMachine(one)) ?? null);
const plain = (words: string): string => words.replaceAll("\u00a0", " ");

const change = (command: string, ...records: readonly RecordChange[]): Change => ({
  command,
  records,
});
const added = <S extends RecordChange["section"]>(
  section: S,
  after: Record<string, unknown>,
): RecordChange => ({ section, id: String(after["id"]), before: null, after }) as RecordChange;

const ENTRY = {
  ...{ id: "e", machine: "m-bus", date: "2026-11-20" },
  tasks: ["t-bus-oil"],
} as unknown as Entry;
const READING = {
  ...{ id: "r", machine: "m-bus", meter: "odo", date: "2026-11-20", value: 11188 },
} as unknown as Reading;
const VISIT = { id: "v", machine: "m-bus", date: "2026-12-02", tasks: [] } as unknown as Visit;
const entry = added("entries", { ...ENTRY });
const reading = added("readings", { ...READING });
const visit = added("visits", { ...VISIT });
const machine = added("machines", {
  id: "m-bus",
  tag: "07",
  name: "Library bus",
});
const found = added("findings", {
  ...{ id: "f", machine: "m-bus", found: "2026-11-20" },
  ...{ what: "Weep", where: "rear main seal", verdict: "stop", decision: "now" },
});
const task = added("tasks", { id: "t", machine: "m-bus", name: "Wash" });
const fluid = added("fluids", { id: "f", machine: "m-bus", system: "Gearbox" });

test.each<readonly [Change, string]>([
  [change("log-work", entry), "work on 07, 20 Nov 2026: engine oil and filter"],
  [change("read-meter", reading), "reading of 07, 11 188 km"],
  [change("top-up", entry), "top-up of 07, 20 Nov 2026"],
  [change("note-finding", found, machine), "finding on 07: weep, rear main seal"],
  [change("edit-finding", found), "change of a finding on 07: weep, rear main seal"],
  [change("correct-entry", entry), "correction of an entry on 07"],
  [change("correct-reading", reading), "correction of a reading of 07"],
  [change("correct-meter-change", reading), "correction of a meter change of 07"],
  [change("withdraw-record", reading), "withdrawal of a record of 07"],
  [change("add-machine", machine), "machine 07 Library bus"],
  [change("add-record", task), "task Wash of 07 added"],
  [change("edit-record", machine), "machine 07 Library bus changed"],
  [change("take-out-of-service", machine), "07 taken out of service"],
  [change("release-for-service", machine), "release of 07"],
  [change("apply-plan", task, task), "2 tasks for 07"],
  [change("decide-baseline", entry), "taking on of 07"],
  [change("finish-baseline", entry), "taking on of 07"],
  [change("write-ladder", task), "ladder of 07"],
  [change("note-reminder", task), "reminder of 07"],
  [change("change-meter", machine), "meter of 07"],
  [change("believe-meter", reading), "meter of 07"],
  [change("read-meters", reading, reading), "2 readings"],
  [change("hand-over", reading, entry, task), "hand-over of 3 records"],
  [change("change-settings"), "settings of the book"],
  [change("accept-visit", visit), "visit of 07"],
  [change("accept-visit", visit, visit), "2 visits"],
  [change("take-fleet-plan", visit, visit), "fleet plan, 2 visits"],
  [change("move-visit", visit), "change of a visit of 07"],
  [change("move-visit", visit, visit), "moving of 2 visits"],
  [change("drop-visit", visit), "dropping of a visit of 07"],
  [change("something-newer", visit), "change of 1 record"],
])("%#: what was changed is said in a few words", (one, words) => {
  expect(plain(wordsOf(one))).toBe(words);
});

test("what is taken out is called by what it was", () => {
  const gone = { ...fluid, before: fluid.after, after: null } as RecordChange;
  expect(plain(wordsOf(change("remove-record", gone)))).toMatch(
    /^fluid( system)? Gearbox of 07 taken out$/,
  );
});

test("a machine that is not on the board is a machine", () => {
  expect(plain(changeWords(change("apply-plan", task), null))).toBe("1 task for a machine");
  expect(plain(changeWords(change("log-work", entry), null))).toBe(
    "work on a machine, 20 Nov 2026: t-bus-oil",
  );
});

test("figures set aside or put in the place of others do not count as read", () => {
  const aside = added("readings", { ...READING, void: true });
  const instead = added("readings", { ...READING, replaces: "r" });
  expect(readingsIn(change("read-meters", reading, aside, instead, machine))).toBe(1);
});

test("what is done in Stores is named by what it was and from whom", () => {
  const order = added("orders", { id: "o", source: "Corrie Factors", placed: "2026-11-20" });
  const move = added("stockMoves", { id: "m", date: "2026-11-20" });
  const drum = added("containers", { id: "c", name: "Oil drum" });
  expect(
    [
      change("place-order", order),
      change("receive-order", order, move),
      change("close-order-line", order),
      change("count-stock", move, move),
      change("correct-count", move),
      change("move-stock", move),
      change("keep-container", drum),
    ].map((one) => plain(wordsOf(one))),
  ).toEqual([
    "order from Corrie Factors",
    "what came from Corrie Factors",
    "closing of a line from Corrie Factors",
    "2 counts",
    "correction of 1 count",
    "what came to a shelf or left it",
    "container Oil drum",
  ]);
});
