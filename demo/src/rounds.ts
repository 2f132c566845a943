import {
  addDays,
  formatDay,
  openPlaces,
  type Book,
  type Checklist,
  type DayNumber,
  type Finding,
  type Round,
} from "@yonderfell/core";
import { CHECKLISTS, TAKING_ON } from "./checklists.js";
import { q } from "./plate.js";

/** A round of the past: who, how many days ago, what was read at which point. */
interface ScenarioRound {
  readonly machine: string;
  readonly checklist: string;
  readonly by: string;
  readonly daysAgo: number;
  readonly results: readonly object[];
}

const pads = (left: number, right: number): object[] => [
  { check: "k-pads", point: "left", readings: [q(left, "mm")], verdict: padVerdict(left) },
  { check: "k-pads", point: "right", readings: [q(right, "mm")], verdict: padVerdict(right) },
];
const padVerdict = (value: number): string =>
  value < 2.8 ? "stop" : value < 4.5 ? "watch" : "sound";
/** The tread of a tyre from inside to outside, in mm. */
const tread = (point: string, ...across: readonly [number, number, number]): object => {
  const [inner, middle, outer] = across;
  const least = Math.min(...across);
  return {
    ...{ check: "k-tread", point, readings: [q(least, "mm")] },
    figures: { inner, middle, outer, limit: 1.6, watch: 3 },
    verdict: least < 3 ? "watch" : "sound",
  };
};
const belt = (picked: string, verdict: string, answered: string | null = null): object => ({
  ...{ check: "k-belt", picked, verdict },
  ...(answered === null ? {} : { answered }),
});
const OIL = { check: "k-oil", verdict: "sound" };
const PLAIN = { check: "k-play", verdict: "sound" };
const hoses = (picked: string, verdict: string): object => ({ check: "k-hose", picked, verdict });
const volts = (value: number): object => ({
  ...{ check: "k-volts", readings: [q(value, "V")] },
  verdict: value < 12.2 ? "attend" : value < 12.4 ? "watch" : "sound",
});
const frost = (value: number): object => ({
  ...{ check: "k-frost", readings: [q(value, "degC")] },
  verdict: value > -25 ? "attend" : "sound",
});
const wheels = (machine: string, by: string, daysAgo: number, ...results: object[]) => ({
  ...{ machine, checklist: "cl-wheels", by, daysAgo, results },
});
const bonnet = (machine: string, by: string, daysAgo: number, ...results: object[]) => ({
  ...{ machine, checklist: "cl-bonnet", by, daysAgo, results },
});

const ROUNDS: readonly ScenarioRound[] = [
  wheels("m-hatch", "pe-rigg", 690, ...pads(7.4, 8.2), PLAIN, hoses("sound", "sound")),
  wheels("m-hatch", "pe-rigg", 520, ...pads(5.1, 6.4), PLAIN, hoses("sound", "sound")),
  wheels("m-hatch", "pe-rigg", 349, ...pads(2.5, 4.3), PLAIN, hoses("sound", "sound")),
  bonnet("m-bus", "pe-thwaite", 712, volts(12.78), frost(-34), OIL, belt("sound", "sound")),
  bonnet("m-bus", "pe-thwaite", 561, volts(12.76), frost(-34), OIL, belt("sound", "sound")),
  bonnet("m-bus", "pe-rigg", 404, volts(12.75), frost(-33), OIL, belt("fine cracks", "watch")),
  bonnet(
    ...(["m-bus", "pe-thwaite", 166, volts(12.74), frost(-33)] as const),
    ...[OIL, belt("swollen or wet", "attend", "yes")],
  ),
  bonnet("m-gritter", "pe-thwaite", 695, volts(12.71), frost(-32), OIL),
  bonnet("m-gritter", "pe-rigg", 424, volts(12.68), frost(-32), OIL),
  bonnet("m-gritter", "pe-thwaite", 392, volts(12.66), frost(-31), OIL),
  wheels("m-hatch", "pe-rigg", 250, ...pads(10.4, 10.6), PLAIN, hoses("sound", "sound")),
  wheels("m-hatch", "pe-rigg", 141, ...pads(8.9, 9.3), PLAIN, hoses("sound", "sound")),
  wheels("m-hatch", "pe-thwaite", 37, ...pads(7.6, 8.2), PLAIN, hoses("fine cracks", "watch")),
  wheels("m-minibus", "pe-rigg", 470, ...pads(9.4, 9.1), PLAIN, hoses("sound", "sound")),
  wheels("m-minibus", "pe-thwaite", 280, ...pads(7.7, 6.8), PLAIN, hoses("sound", "sound")),
  wheels(
    ...(["m-minibus", "pe-thwaite", 96, ...pads(6.1, 4.3)] as const),
    ...[tread("left front", 2.8, 4.4, 4.9), tread("right front", 2.6, 4.1, 4.8)],
    ...[tread("left rear", 5.6, 5.8, 5.7), tread("right rear", 5.5, 5.7, 5.6)],
    {
      ...{ check: "k-play", verdict: "left closed", reason: "not due, seals would be disturbed" },
    },
  ),
  bonnet("m-gritter", "pe-thwaite", 61, volts(12.62), frost(-31), {
    check: "k-oil",
    verdict: "sound",
  }),
  bonnet("m-gritter", "pe-thwaite", 33, volts(12.55), frost(-31), {
    ...{ check: "k-oil", verdict: "watch", note: "a finger below the mark, topped up" },
  }),
  bonnet("m-gritter", "pe-rigg", 5, volts(12.38), frost(-29), {
    ...{ check: "k-oil", verdict: "attend", note: "below the mark again" },
  }),
  bonnet("m-bus", "pe-thwaite", 40, volts(12.71), frost(-33), {
    check: "k-belt",
    verdict: "sound",
  }),
  bonnet("m-generator", "pe-rigg", 22, volts(12.14), {
    ...{ check: "k-frost", verdict: "could not measure", reason: "refractometer lent out" },
  }),
];

/** How far the mower's belts have sunk into their sheaves. */
const sunk = (daysAgo: number, value: number): ScenarioRound => ({
  ...{ machine: "m-mower", checklist: "cl-belts", by: "pe-rigg", daysAgo },
  results: [
    { check: "k-rim", readings: [q(value, "mm")], verdict: value < 1.2 ? "sound" : "watch" },
  ],
});

/** Rounds of one figure, for which nobody wrote the dial down. */
const MEASURED: readonly ScenarioRound[] = [sunk(130, 0.4), sunk(80, 0.8), sunk(30, 1.1)];

/** The lorry is taken on: some of its fluids judged, the rest still to be looked at. */
const TAKEN_ON: readonly ScenarioRound[] = [
  {
    ...{ machine: "m-lorry", checklist: TAKING_ON, by: "pe-thwaite", daysAgo: 2 },
    results: [
      {
        ...{ check: "gearbox-level-and-colour-gearbox", verdict: "sound" },
        picked: "at its mark, clear",
      },
      { check: "gearbox-smell-gearbox", verdict: "sound", picked: "of itself" },
      {
        ...{ check: "axles-level-and-colour-axles", verdict: "attend" },
        picked: "milky or rusty",
      },
      { check: "axles-smell-axles", verdict: "sound", picked: "of itself" },
    ],
  },
];

/** Rounds that are not finished: the post van's, put down after two of its checks. */
const UNDER_WAY: readonly ScenarioRound[] = [
  bonnet("m-post", "pe-rigg", 1, volts(12.66), { check: "k-oil", verdict: "sound" }),
];

/** A finding by days ago; one in each state there is. */
const FINDINGS = [
  {
    ...{ id: "fd-grit-oil", machine: "m-gritter", daysAgo: 5, kind: "oil use", by: "pe-rigg" },
    ...{ what: "Engine uses oil, more each month", where: "engine", verdict: "attend" },
    ...{
      evidence: "1.6 L in a fortnight, 0.5 L a year ago",
      consequence: "runs low between looks",
    },
    ...{ todo: "Compression and turbo seals", also: ["leak at the rear seal"] },
    ...{ round: "n-21-5", check: "k-oil", decision: "now", minutes: 120 },
  },
  {
    ...{ id: "fd-hatch-hose", machine: "m-hatch", daysAgo: 37, kind: "crack", by: "pe-thwaite" },
    ...{ what: "Fine cracks in a brake hose", where: "right front", side: "right" },
    ...{ verdict: "watch", todo: "Renew both front hoses", round: "n-h1-37", check: "k-hose" },
    ...{ decision: "next visit", minutes: 60, cost: 38 },
  },
  {
    ...{ id: "fd-hatch-pads", machine: "m-hatch", daysAgo: 349, kind: "wear", by: "pe-rigg" },
    ...{ what: "Front pads worn on the inner faces", where: "both front", verdict: "stop" },
    ...{ evidence: "2.5 mm", todo: "Pads, pins greased", decision: "now", minutes: 75 },
    ...{ round: "n-h1-349", check: "k-pads", point: "left", decidedBy: "pe-rigg" },
  },
  {
    ...{ id: "fd-mini-pads", machine: "m-minibus", daysAgo: 96, kind: "wear", by: "pe-thwaite" },
    ...{ what: "Front pads wear unevenly", where: "right front", verdict: "watch" },
    ...{ evidence: "6.1 mm left, 4.3 mm right", also: ["sliding pin seized"], round: "n-03-96" },
    ...{ check: "k-pads", point: "right", decision: "watch", lookInDays: 14 },
  },
  {
    ...{ id: "fd-mini-tread", machine: "m-minibus", daysAgo: 96, kind: "tread worn inside" },
    ...{ what: "Front tyre worn inside", where: "right front", verdict: "watch" },
    ...{ evidence: "2.6 mm (least 1.6, law); worn inside", by: "pe-thwaite", cost: 95 },
    ...{ consequence: "alignment, or worn joints", round: "n-03-96", check: "k-tread" },
    ...{ todo: "feel for play and measure the alignment before new tyres", minutes: 60 },
    ...{ point: "right front", decision: "next visit", dueInDays: 45, decidedBy: "pe-thwaite" },
  },
  {
    ...{ id: "fd-mini-tread-l", machine: "m-minibus", daysAgo: 96, kind: "tread worn inside" },
    ...{ what: "Front tyre worn inside", where: "left front", verdict: "watch" },
    ...{ evidence: "2.8 mm (least 1.6, law); worn inside", by: "pe-thwaite", cost: 95 },
    ...{ consequence: "alignment, or worn joints", round: "n-03-96", check: "k-tread" },
    ...{ todo: "feel for play and measure the alignment before new tyres" },
    ...{ point: "left front", decision: "next visit", dueInDays: 45, decidedBy: "pe-thwaite" },
  },
  {
    ...{ id: "fd-bus-belt", machine: "m-bus", daysAgo: 166, kind: "belt", by: "pe-thwaite" },
    ...{ what: "Auxiliary belt", where: "engine", verdict: "attend", minutes: 90, cost: 61 },
    ...{ evidence: "swollen or wet; Is it wet, or does it smell of oil? yes" },
    ...{ consequence: "oil or coolant gets on it", round: "n-07-166", check: "k-belt" },
    ...{ todo: "find the leak first, then a new belt", decision: "next visit" },
    also: ["a leak above it, cured before the new belt goes on"],
  },
  {
    ...{ id: "fd-amb-heater", machine: "m-ambulance", daysAgo: 230, kind: "weep" },
    ...{ what: "Heater hose weeps", where: "behind the bulkhead", verdict: "attend" },
    ...{ evidence: "damp at the clip, a cup of coolant in a month", by: "pe-rigg", cost: 44 },
    ...{ todo: "hose and both clips", minutes: 80, decision: "next visit", dueInDays: 38 },
    ...{ decidedBy: "pe-thwaite", decidedDaysAgo: 18 },
    reason: "a litre was missing in November",
    decisions: [
      {
        ...{ daysAgo: 226, by: "the office", decision: "declined" },
        reason: "not before the new budget",
      },
    ],
  },
  {
    ...{ id: "fd-lunch-rust", machine: "m-lunch", daysAgo: 210, kind: "rust", by: "pe-rigg" },
    ...{ what: "Sill rusts through", where: "left, behind the door", verdict: "attend" },
    ...{ decision: "declined", reason: "to be sold in spring" },
    decisions: [{ daysAgo: 210, by: "pe-rigg", decision: "next visit", reason: "no welder here" }],
  },
  {
    ...{ id: "fd-lorry-axle", machine: "m-lorry", daysAgo: 2, kind: "water in oil" },
    ...{ what: "Axles: level and colour", verdict: "attend", evidence: "milky or rusty" },
    ...{ consequence: "water has been in it", todo: "flush it", by: "pe-thwaite" },
    ...{ round: "n-27-2", check: "axles-level-and-colour-axles", decision: "next visit" },
  },
  {
    ...{ id: "fd-gen-bat", machine: "m-generator", daysAgo: 22, kind: "battery", by: "pe-rigg" },
    ...{ what: "Starter battery weak", verdict: "attend", evidence: "12.14 V at rest" },
    ...{ round: "n-30-22", check: "k-volts", decision: "next visit", dueInDays: 20 },
  },
  {
    ...{ id: "fd-bus-lamp", machine: "m-bus", daysAgo: 40, kind: "lamp", by: "pe-thwaite" },
    ...{ what: "Reading lamp flickers", where: "third shelf", verdict: "watch", decision: "now" },
    closed: { daysAgo: 34, by: "pe-thwaite", how: "plug pushed home, looked at twice since" },
  },
] as const;

/** What a round looked at, and what of its list was left closed. */
function wholeResults({ checklist, results }: ScenarioRound): readonly object[] {
  const list = CHECKLISTS.find(({ id }) => id === checklist);
  const told = { results: results as NonNullable<Round["results"]> };
  const left = openPlaces(told, list ?? ({} as Checklist)).map(({ check, point }) => ({
    ...{ check: check.id, verdict: "left closed", reason: "no time for it that day" },
    ...(point === null ? {} : { point }),
  }));
  return [...results, ...left];
}

type Trail = (machine: string, daysAgo: number) => Readonly<Record<string, number>>;

/** Rounds with what the dials then showed, findings, and what they are looked at by. */
export function foundOn(
  tagOf: (machine: string) => string,
  dials: Trail,
  today: DayNumber,
): Required<Pick<Book, "checklists" | "rounds" | "findings">> {
  const on = (daysAgo: number): string => formatDay(addDays(today, -daysAgo));
  const idOf = ({ machine, daysAgo }: ScenarioRound): string =>
    `n-${tagOf(machine).toLowerCase()}-${daysAgo}`;
  const finished = [...ROUNDS, ...TAKEN_ON].map((round) => ({
    ...{ id: idOf(round), date: on(round.daysAgo), machine: round.machine },
    ...{ checklist: round.checklist, by: round.by, meters: dials(round.machine, round.daysAgo) },
    ...{ results: wholeResults(round), finished: true },
  }));
  const measured = MEASURED.map((round) => ({
    ...{ id: idOf(round), date: on(round.daysAgo), machine: round.machine },
    ...{ checklist: round.checklist, by: round.by, results: round.results, finished: true },
  }));
  const underWay = UNDER_WAY.map((round) => ({
    ...{ id: idOf(round), date: on(round.daysAgo), machine: round.machine },
    ...{ checklist: round.checklist, by: round.by, results: round.results },
  }));
  const rounds = [...finished, ...measured, ...underWay];
  const findings = FINDINGS.map(({ daysAgo, ...finding }) => {
    const { lookInDays, dueInDays, decidedDaysAgo, closed, decisions, ...rest } = {
      ...{ lookInDays: null, dueInDays: null, closed: null, decisions: null },
      decidedDaysAgo: null,
      ...finding,
    };
    const dated = ({ daysAgo: ago, ...one }: { readonly daysAgo: number }): object => ({
      ...{ on: on(ago), ...one },
    });
    return {
      ...{ ...rest, found: on(daysAgo) },
      ...(lookInDays === null ? {} : { lookOn: on(-lookInDays) }),
      ...(dueInDays === null ? {} : { dueOn: on(-dueInDays) }),
      ...(decidedDaysAgo === null ? {} : { decided: on(decidedDaysAgo) }),
      ...(closed === null ? {} : { closed: dated(closed) }),
      ...(decisions === null ? {} : { decisions: decisions.map(dated) }),
    };
  });
  return {
    checklists: CHECKLISTS,
    rounds: rounds as unknown as Round[],
    findings: findings as unknown as Finding[],
  };
}
