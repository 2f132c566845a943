import { dayOf, formatDay, type BoardMachine, type Finding } from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../../test/skarrowVale.js";
import { findingStandsWords, findingTitle } from "../../words/findingWords.js";
import {
  findingOf,
  findingProblems,
  modelOfFinding,
  type FindingAround,
  type FindingModel,
} from "../shared/findings/findingModel.js";
import { costTogether, findingsAsked, findingsInOrder } from "./findingsModel.js";

const MACHINES = ["m-bus", "m-gritter", "m-hatch", "m-lunch", "m-minibus"].map((id) =>
  onTheBoard(id),
);
const around = (machine = "m-bus"): FindingAround => ({
  ...{ machines: MACHINES, people: BOOK.people ?? [], today: TODAY, machine },
});
const NEW = modelOfFinding(null, around());
const saved = (model: Partial<FindingModel>, before: Finding | null = null): Finding =>
  findingOf({ ...modelOfFinding(before, around()), ...model }, before, around());
const plain = (text: string): string => text.replaceAll(/[\u00a0\u2060]/g, " ");

test("what is found today is noted with the lives of the meters, and no more than was said", () => {
  const finding = saved({ what: " Weep ", by: "Joss Rigg" });
  expect(finding).toMatchObject({
    machine: "m-bus",
    found: formatDay(TODAY),
    what: "Weep",
    by: "pe-rigg",
    verdict: "attend",
    decision: "next visit",
  });
  expect(Object.keys(finding.life ?? {}).sort()).toEqual(["hrs", "odo"]);
  expect(finding).not.toHaveProperty("evidence");
  expect(finding).not.toHaveProperty("pictures");
  expect(saved({ what: "Weep", found: "2026-11-01" }).life).toBeUndefined();
});

test("by a meter it is due at the dial that was typed, whatever dials went before", () => {
  const [bus] = MACHINES;
  const meter = bus?.meters.find(({ meter: { id } }) => id === "odo");
  const { life, dial } = meter ?? { life: null, dial: null };
  if (life === null || dial === null) throw new Error("the bus has an odometer");
  const finding = saved({ what: "Belt", dueMeter: "odo", dueDial: String(Math.ceil(dial) + 500) });
  expect(finding.dueAt?.meter).toBe("odo");
  expect((finding.dueAt?.life ?? 0) - (life - dial)).toBeCloseTo(Math.ceil(dial) + 500, 6);
  expect(modelOfFinding(finding, around()).dueDial).toBe(String(Math.ceil(dial) + 500));
  expect(findingOf(modelOfFinding(finding, around()), finding, around()).dueAt).toEqual(
    finding.dueAt,
  );
});

test("another decision takes the days of the one before away, and its own words stay", () => {
  const before = saved({ what: "Belt", dueOn: "2027-01-01" });
  const watched = saved({ decision: "watch", lookOn: "2027-02-01" }, before);
  expect(watched).toMatchObject({ decision: "watch", lookOn: "2027-02-01", dueOn: null });
  expect(saved({ decision: "now" }, watched)).toMatchObject({ lookOn: null });
});

test.each<[Partial<FindingModel>, readonly string[]]>([
  [{ what: "Weep" }, []],
  [{ what: " " }, ["what what-missing"]],
  [{ what: "Weep", machine: "" }, ["machine machine-missing"]],
  [{ what: "Weep", found: "" }, ["found day-missing"]],
  [{ what: "Weep", found: "2026-11-24" }, ["found day-in-future"]],
  [{ what: "Weep", decision: "declined" }, ["reason reason-missing"]],
  [{ what: "Weep", dueMeter: "odo", dueDial: "soon" }, ["dueDial dial-wrong"]],
  [{ what: "Weep", minutes: "long", cost: "-1" }, ["minutes amount-wrong", "cost amount-wrong"]],
])("of %j what is wrong is named: %j", (model, expected) => {
  const problems = findingProblems({ ...NEW, ...model }, around());
  expect(problems.map(({ field, code }) => `${field} ${code}`)).toEqual(expected);
});

test("all that a finding says comes back from the form as it was", () => {
  for (const finding of BOOK.findings ?? []) {
    const again = findingOf(modelOfFinding(finding, around()), finding, around());
    const said = Object.fromEntries(
      Object.entries(again).filter(([key, value]) => value !== null || key in finding),
    );
    expect(said).toEqual(finding);
  }
});

test("the list begins with what must not be used on, then goes by the day, what was declined last", () => {
  const listed = findingsInOrder(MACHINES).map(({ reckoned }) => reckoned.finding.id);
  expect(listed.at(-1)).toBe("fd-lunch-rust");
  expect(listed[0]).toBe("fd-grit-oil");
  const stopping = MACHINES.map((machine): BoardMachine => ({
    ...machine,
    findings: machine.findings.map((one) => ({
      ...one,
      finding:
        one.finding.id === "fd-mini-pads" ? { ...one.finding, verdict: "stop" } : one.finding,
    })),
  }));
  expect(findingsInOrder(stopping)[0]?.reckoned.finding.id).toBe("fd-mini-pads");
});

test.each([
  ["m-gritter", /^put right now, since \d+ Nov$/],
  ["m-minibus", /^watch it, look again \d+ Dec$/],
  ["m-lunch", /^declined: to be sold in spring$/],
  ["m-hatch", /^at the next visit/],
])("of %s it says what is decided and by when", (machine, words) => {
  const [reckoned] = onTheBoard(machine).findings;
  if (reckoned === undefined) throw new Error("nothing was found on it");
  expect(plain(findingStandsWords(reckoned, TODAY))).toMatch(words);
});

test("a title says where and on which side, once", () => {
  const finding = { what: "crack in a hose", where: "right front", side: "right" };
  expect(findingTitle(finding as unknown as Finding)).toBe("Crack in a hose, right front");
  expect(findingTitle({ kind: "weep" } as unknown as Finding)).toBe("Weep");
  expect(dayOf("2026-11-23")).toBe(TODAY);
});

test("parts it takes are written with how many; a line without a part stands in the way", () => {
  const parts = [{ part: "pt-1", count: "2" }];
  const finding = saved({ what: "Belt", parts });
  expect(finding.parts).toEqual([{ part: "pt-1", count: 2 }]);
  expect(modelOfFinding(finding, around()).parts).toEqual(parts);
  expect(saved({ parts: [] }, finding).parts).toEqual([]);
  const wrong = [
    { part: "", count: "1" },
    { part: "pt-1", count: "none" },
  ];
  const problems = findingProblems({ ...NEW, what: "Belt", parts: wrong }, around());
  expect(problems.map(({ field, code }) => `${field} ${code}`)).toEqual([
    "parts.0.part part-missing",
    "parts.1.count amount-wrong",
  ]);
});

test("who decides is kept by who the book knows", () => {
  expect(saved({ what: "Belt", decidedBy: "Joss Rigg" }).decidedBy).toBe("pe-rigg");
});

describe("the list of findings", () => {
  const all = findingsInOrder(MACHINES);
  const ANY = { verdict: "", decision: "", machine: "", order: "pressing" } as const;
  const idsOf = (asked: Partial<Parameters<typeof findingsAsked>[1]>): string[] =>
    findingsAsked(all, { ...ANY, ...asked }).map(({ reckoned }) => reckoned.finding.id);

  test("shows what is asked for, and all of it where nothing is", () => {
    expect(idsOf({})).toEqual(all.map(({ reckoned }) => reckoned.finding.id));
    const wanted = (is: (finding: Finding) => boolean): string[] =>
      all.flatMap(({ reckoned: { finding } }) => (is(finding) ? [finding.id] : []));
    const declined = wanted(({ decision }) => decision === "declined");
    expect(declined).not.toEqual([]);
    expect(idsOf({ decision: "declined" })).toEqual(declined);
    expect(idsOf({ verdict: "watch" })).toEqual(wanted(({ verdict }) => verdict === "watch"));
    expect(idsOf({ machine: "m-hatch" })).toEqual(wanted(({ machine }) => machine === "m-hatch"));
    expect(idsOf({ machine: "gone" })).toEqual([]);
  });

  test("by age, by cost and by machine; what is alike stays as pressing as it is", () => {
    const ordered = (order: "oldest" | "dearest" | "machine") =>
      findingsAsked(all, { ...ANY, order });
    const days = ordered("oldest").map(({ reckoned }) => reckoned.finding.found);
    expect(days).toEqual(days.toSorted());
    const costs = ordered("dearest").map(({ reckoned }) => reckoned.finding.cost ?? -1);
    expect(costs).toEqual(costs.toSorted((one, other) => other - one));
    const tags = ordered("machine").map(({ machine }) => machine.machine.tag);
    expect([...new Set(tags)]).toHaveLength(tags.filter((tag, at) => tag !== tags[at - 1]).length);
  });

  test("says what they cost together, and how many say nothing", () => {
    const costs = all.map(({ reckoned }) => reckoned.finding.cost ?? null);
    const { known, missing } = costTogether(all);
    expect(missing).toBe(costs.filter((cost) => cost === null).length);
    expect(known).toBe(costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0));
  });
});
