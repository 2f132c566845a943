import { demonstrationBook } from "@yonderfell/demo";
import { seededRandom } from "@yonderfell/demo/random";
import { reckonMachineBook } from "../board/board.js";
import type { Finding } from "../book/records/finding.js";
import type { MachineId } from "../book/records/ids.js";
import { settingsOf } from "../book/records/settings.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { dayOf } from "../calendar/dayNumber.js";
import { placesOf } from "../inspect/places.js";
import { reportOn, type MachineReport } from "./report.js";

const TODAY = dayOf("2026-11-23");
const BOOK = demonstrationBook(TODAY);
const LISTS = BOOK.checklists ?? [];

function ownOf(id: string): MachineBook {
  const own = machineBookOf(BOOK, id as MachineId);
  if (own === null) throw new Error(`no ${id}`);
  return own;
}

function report(own: MachineBook, days = 120): MachineReport {
  const board = reckonMachineBook(own, settingsOf(BOOK), TODAY);
  return reportOn(board, own, LISTS, days, TODAY);
}

test("a report tells what was found, what it would cost, and what was not looked at, with why", () => {
  const found = report(ownOf("m-minibus"));
  expect(found.next.map(({ finding }) => finding.id)).toEqual(["fd-mini-tread", "fd-mini-tread-l"]);
  expect(found.watch.map(({ finding }) => finding.id)).toEqual(["fd-mini-pads"]);
  expect(found.cost.next).toEqual({ cost: 190, minutes: 60, withoutCost: 0 });
  const [round] = found.rounds;
  expect(round?.notLookedAt.map(({ reason }) => reason)).toContain("no time for it that day");
  expect(found.rounds).toHaveLength(1);
});

test("what was declined is in it until it is closed, at its cost; a machine that stands says why", () => {
  const found = report(ownOf("m-lunch"));
  expect(found.declined.map(({ finding }) => finding.reason)).toEqual(["to be sold in spring"]);
  expect(found.cost.declined).toMatchObject({ withoutCost: 1 });
  expect(report(ownOf("m-carrier")).stop?.reason).toMatch(/crack/);
});

test("what was put right is told by its work or by whoever closed it, and what came before is not", () => {
  const lamp = report(ownOf("m-bus")).putRight.find(({ finding }) => finding.id === "fd-bus-lamp");
  expect(lamp).toMatchObject({ how: "plug pushed home, looked at twice since" });
  expect(report(ownOf("m-bus"), 5).putRight).toEqual([]);
  expect(report(ownOf("m-hatch"), 400).putRight.map(({ finding }) => finding.id)).toContain(
    "fd-hatch-pads",
  );
});

test("a round under way is counted, and none of it told as looked at", () => {
  const found = report(ownOf("m-post"));
  expect(found.underWay).toBe(1);
  expect(found.rounds.every(({ round }) => round.finished === true)).toBe(true);
});

test("every open finding is in it once, whatever was decided, and every place of a round either looked at or not", () => {
  const draw = seededRandom(3);
  const decisions = ["now", "next visit", "watch", "declined"] as const;
  for (let run = 0; run < 60; run += 1) {
    const machines = BOOK.machines ?? [];
    const machine = machines[Math.floor(draw() * machines.length)];
    const own = ownOf(machine?.id ?? "");
    const findings = own.findings.map((finding): Finding => {
      const decision = decisions[Math.floor(draw() * decisions.length)] ?? "now";
      const isClosed = draw() < 0.3;
      const closed = isClosed ? { on: "2026-11-20", by: "pe-rigg", how: "looked at" } : null;
      return { ...finding, decision, reason: "as drawn", closed };
    });
    const drawn = { ...own, findings };
    const board = reckonMachineBook(drawn, settingsOf(BOOK), TODAY);
    const found = report(drawn, 800);
    const told = [...found.now, ...found.next, ...found.watch, ...found.declined];
    expect(told.map(({ finding }) => finding.id).sort()).toEqual(
      board.findings.map(({ finding }) => finding.id as string).sort(),
    );
    const right = found.putRight.map(({ finding }) => finding.id as string);
    expect(right.filter((id) => told.some(({ finding }) => finding.id === id))).toEqual([]);
    for (const { checklist, lookedAt, notLookedAt } of found.rounds) {
      expect(lookedAt.length + notLookedAt.length).toBe(placesOf(checklist).length);
    }
  }
});
