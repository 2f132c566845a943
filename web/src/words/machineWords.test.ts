import type {
  Change,
  Machine,
  MachineIssue,
  MeterIssue,
  ServiceIssue,
  VinDoubt,
} from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../test/skarrowVale.js";
import { countsWords } from "./bookWords.js";
import { changedMachine, changeWords, readingsIn } from "./changeWords.js";
import { exportFileName } from "./exportFileName.js";
import { namesOf, recordWords } from "./handOverWords.js";
import {
  machineIssueWords,
  meterIssueWords,
  serviceIssueWords,
  vinDoubtWords,
} from "./machineWords.js";
import { money } from "./money.js";
import { cheapestFirst, orderWords, priceWords } from "./partWords.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");
const BUS = BOOK.machines?.[0] as Machine;

test.each<[MachineIssue, RegExp]>([
  [{ code: "tag-missing" }, /number or a short name/],
  [{ code: "name-missing" }, /Give it a name/],
  [{ code: "kind-missing" }, /what kind/],
  [{ code: "tag-taken", by: BUS }, /The number 07 belongs to Library bus/],
  [{ code: "figure-not-a-number", meter: "odometer" }, /odometer shows must be a number/],
])("%j says what to do", (issue, words) => {
  expect(machineIssueWords(issue)).toMatch(words);
});

test.each<[VinDoubt, RegExp]>([
  [{ code: "not-17-characters", length: 16 }, /16.characters; a VIN has 17/],
  [{ code: "letter-never-used", letter: "O", position: 5 }, /letter O at place 5 .* perhaps 0/],
  [{ code: "letter-never-used", letter: "I", position: 2 }, /perhaps 1/],
  [{ code: "not-a-letter-or-digit", character: "?", position: 3 }, /“\?” at place 3/],
  [{ code: "check-digit", found: "2", expected: "X" }, /would be X and not 2/],
])("%j says what is odd", (doubt, words) => {
  expect(vinDoubtWords(doubt)).toMatch(words);
});

test.each<[ServiceIssue, RegExp]>([
  [{ code: "reason-missing" }, /why it may not be used/],
  [{ code: "name-missing" }, /who you are/],
  [{ code: "done-missing" }, /what was done/],
  [{ code: "day-in-future" }, /still to come/],
  [{ code: "before-it-stopped", since: TODAY }, /since 23.Nov.2026/],
  [{ code: "out-of-service-already" }, /already/],
  [{ code: "in-service-already" }, /in service/],
])("%j says what to do", (issue, words) => {
  expect(serviceIssueWords(issue)).toMatch(words);
});

test.each<[MeterIssue, RegExp]>([
  [{ code: "meter-not-found" }, /no longer/],
  [{ code: "name-missing" }, /Give the meter a name/],
  [{ code: "name-taken", name: "hours" }, /called hours already/],
  [{ code: "day-in-future" }, /still to come/],
  [{ code: "figure-not-a-number" }, /numbers of 0 or more/],
  [{ code: "changed-that-day", day: TODAY }, /a change on 23.Nov.2026/],
  [{ code: "figures-would-not-agree", count: 2 }, /2.recorded figures could no longer be true/],
  [{ code: "stopped-already" }, /stand still already/],
  [{ code: "not-stopped" }, /not said to stand still/],
])("%j says what to do", (issue, words) => {
  expect(meterIssueWords(issue)).toMatch(words);
});

const BOARD = (BOOK.machines ?? []).map((machine) => onTheBoard(machine.id));
const change = (
  command: string,
  section: string,
  before: object | null,
  after: object | null,
): Change => ({ command, records: [{ section, id: "x", before, after }] }) as unknown as Change;
const OIL = { id: "x", machine: "m-bus", system: "engine" };

test.each<[Change, string]>([
  [
    change("add-machine", "machines", null, { tag: "41", name: "Snow blower" }),
    "machine 41 Snow blower",
  ],
  [change("add-record", "fluids", null, OIL), "fluid engine of 07 added"],
  [change("edit-record", "fluids", OIL, OIL), "fluid engine of 07 changed"],
  [change("remove-record", "parts", { name: "Belt" }, null), "part Belt taken out"],
  [change("edit-record", "machines", BUS, BUS), "machine 07 Library bus changed"],
  [change("take-out-of-service", "machines", BUS, BUS), "07 taken out of service"],
  [change("release-for-service", "machines", BUS, BUS), "release of 07"],
  [change("stop-meter", "machines", BUS, BUS), "meter of 07"],
  [change("read-meters", "readings", null, { machine: "m-bus" }), "1 reading"],
])("a change is named: %#", (made, words) => {
  const machine = BOARD.find((one) => one.machine.id === changedMachine(made)) ?? null;
  expect(plain(changeWords(made, machine))).toBe(words);
});

test("figures that are set aside are not counted as read", () => {
  const records = [
    { section: "readings", id: "a", before: null, after: { id: "a", replaces: "z", void: true } },
    { section: "readings", id: "b", before: null, after: { id: "b" } },
    { section: "meterChanges", id: "c", before: null, after: { id: "c" } },
  ];
  expect(readingsIn({ command: "read-meters", records } as unknown as Change)).toBe(1);
});

test("the records of plates and stores are named in a hand-over", () => {
  const plan = { added: [], changed: [], joined: [], removed: [], fields: [], conflicts: [] };
  const names = namesOf(BOARD, plan);
  expect(recordWords("fluids", OIL, names)).toBe("Fluid engine on 07 Library bus");
  expect(recordWords("people", { id: "p", name: "Joss Rigg" }, names)).toBe("Person Joss Rigg");
  expect(plain(countsWords({ fluids: 2, parts: 1, people: 0 }))).toBe("2 fluids, 1 part");
});

test("prices are named with their source, the cheapest first", () => {
  const prices = [
    { source: "Netherby", price: 12 },
    { source: "Corrie", price: 9.8 },
  ];
  expect(cheapestFirst(prices).map((one) => one.source)).toEqual(["Corrie", "Netherby"]);
  expect(plain(priceWords({ source: "Corrie", price: 9.8 }, "cr"))).toBe("9.80 cr, Corrie");
  expect(money(9.8, null)).toBe("9.80");
});

test("a superseded part is ordered by its new number", () => {
  const part = (BOOK.parts ?? []).find((one) => one.supersededBy !== undefined);
  if (part === undefined) throw new Error("Skarrow Vale has one");
  expect(orderWords(part)).toBe("HD 4521B, in place of HD 4521");
  expect(orderWords({ ...part, supersededBy: null })).toBe("HD 4521");
});

test("a file is named by the book, the day and what it is", () => {
  expect(exportFileName("Skarrow Vale", "2026-11-23")).toBe(
    "Skarrow-Vale-2026-11-23.yonderfell.json",
  );
  expect(exportFileName("Skarrow Vale", "2026-11-23", true)).toBe(
    "Skarrow-Vale-2026-11-23.yonderfell.zip",
  );
});
