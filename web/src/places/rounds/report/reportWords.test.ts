import {
  machineBookOf,
  reportOn,
  type Finding,
  type MachineId,
  type MachineReport,
} from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../../../test/skarrowVale.js";
import {
  costWords,
  leadWords,
  notLookedAtWords,
  sumWords,
  togetherWords,
  urgencyWords,
  whyWords,
} from "./reportWords.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");

function report(id: string, days = 120): MachineReport {
  const own = machineBookOf(BOOK, id as MachineId);
  if (own === null) throw new Error(`no ${id}`);
  return reportOn(onTheBoard(id), own, BOOK.checklists ?? [], days, TODAY);
}

test.each([
  ["m-minibus", "Nothing must be done at once. 2 things for the next visit."],
  ["m-gritter", "It can be used only with care: 1 thing must be put right now."],
  ["m-lunch", "Nothing was found that must be put right. 1 thing declined and still open."],
])("the report of %s begins: %s", (id, words) => {
  expect(plain(leadWords(report(id)))).toBe(words);
});

test("a machine that stands is said not to be used, before anything else", () => {
  expect(leadWords(report("m-carrier"))).toMatch(/^Must not be used: crack in the left idler arm/);
});

test("how urgent, why, and what it costs are told; what nobody priced is never nothing", () => {
  const { next, declined, cost } = report("m-minibus");
  const [first] = next;
  if (first === undefined) throw new Error("the tyre is found");
  expect(plain(urgencyWords(first))).toMatch(/^Next visit, by \d+ \w+ 20\d\d$/);
  expect(urgencyWords({ ...first, late: 3 })).toMatch(/^Next visit, 3.days late$/);
  expect(whyWords(first.finding)).toBe(
    "2.6 mm (least 1.6, law); worn inside. Alignment, or worn joints",
  );
  expect(plain(costWords(first.finding, "cr"))).toBe("95.00 cr");
  expect(plain(sumWords(cost.next, "cr"))).toBe("190.00 cr");
  expect(plain(togetherWords("Next visit", cost.next))).toBe("Next visit, together, 60 minutes");
  expect(togetherWords("Now", cost.now)).toBe("Now, together");
  expect(declined).toEqual([]);
  const sum = { cost: 0, minutes: 0, withoutCost: 2 };
  expect(plain(sumWords(sum, "cr"))).toBe("2 lines not priced");
  expect(plain(sumWords({ ...sum, cost: 5 }, "cr"))).toBe("5.00 cr and 2 lines not priced");
  const finding = { decision: "declined", reason: "to be sold" } as Finding;
  expect(whyWords(finding)).toBe("You decided: to be sold");
});

test("what was not looked at is counted, also where all was", () => {
  const [round] = report("m-minibus").rounds;
  if (round === undefined) throw new Error("it was walked");
  expect(plain(notLookedAtWords(round))).toMatch(/2 of 8 checks were not looked at\.$/);
  expect(plain(notLookedAtWords({ ...round, notLookedAt: [] }))).toMatch(
    /all 6 checks were looked at\.$/,
  );
});
