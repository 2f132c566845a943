import {
  addDays,
  formatDay,
  type Book,
  type Checklist,
  type DayNumber,
  type Finding,
  type Round,
  type Sample,
} from "@yonderfell/core";
import { q } from "./plate.js";

/** What the shed looks at. */
const CHECKLISTS = [
  {
    id: "cl-wheels",
    name: "Wheels off",
    kinds: ["bus", "car", "van", "heavy lorry", "electric van"],
    when: "every half year",
    checks: [
      {
        ...{ id: "k-pads", name: "Front pads", how: "measure", unit: "mm", wears: "down" },
        ...{ points: ["left", "right"], least: 3, watchLeast: 4.5, severity: "stop" },
        ...{ source: "handbook", tool: "calliper", uncertainty: 0.2, resolution: 0.1 },
        caution: "On stands, wheels chocked",
      },
      {
        ...{ id: "k-tread", name: "Tread", how: "measure", unit: "mm", wears: "down" },
        ...{ points: ["left front", "right front", "left rear", "right rear"] },
        ...{ least: 1.6, watchLeast: 3, source: "law", tool: "depth gauge", resolution: 0.1 },
      },
      {
        ...{ id: "k-hose", name: "Brake hoses", how: "look", where: "behind the wheel" },
        good: "no crack where it bends, no rub mark",
        picks: [
          { word: "sound", means: "supple, dry", verdict: "sound" },
          {
            word: "fine cracks",
            means: "it ages",
            todo: "renew within the year",
            verdict: "watch",
          },
          { word: "wet", means: "it leaks", todo: "do not drive", verdict: "stop" },
        ],
      },
      { id: "k-play", name: "Wheel bearings, play", how: "feel", good: "none to feel" },
    ],
  },
  {
    id: "cl-bonnet",
    name: "Monthly, under the bonnet",
    when: "monthly",
    checks: [
      { id: "k-oil", name: "Engine oil level", how: "look", good: "between the marks, cold" },
      {
        ...{ id: "k-volts", name: "Battery at rest", how: "measure", unit: "V", wears: "down" },
        ...{ least: 12.2, watchLeast: 12.4, source: "rule of thumb", resolution: 0.01 },
      },
      {
        ...{ id: "k-frost", name: "Coolant, freezes at", how: "measure", unit: "degC" },
        ...{ most: -25, fluid: "coolant", tool: "refractometer", resolution: 1 },
        separates: {
          ask: "Is the level lower than last month?",
          yes: "it leaks, and was topped up with water",
          no: "it was filled too thin",
        },
      },
      { id: "k-belt", name: "Auxiliary belt", how: "look", good: "no cracks, no glaze" },
    ],
  },
] as unknown as readonly Checklist[];

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
const padVerdict = (value: number): string => (value < 4.5 ? "watch" : "sound");
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
  wheels("m-hatch", "pe-rigg", 250, ...pads(10.4, 10.6), PLAIN, hoses("sound", "sound")),
  wheels("m-hatch", "pe-rigg", 141, ...pads(8.9, 9.3), PLAIN, hoses("sound", "sound")),
  wheels("m-hatch", "pe-thwaite", 37, ...pads(7.6, 8.2), PLAIN, hoses("fine cracks", "watch")),
  wheels("m-minibus", "pe-thwaite", 96, ...pads(6.1, 4.3), {
    ...{ check: "k-play", verdict: "left closed", reason: "not due, seals would be disturbed" },
  }),
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
    ...{ what: "Front pads worn on the inner faces", where: "both front", verdict: "attend" },
    ...{ evidence: "2.5 mm", todo: "Pads, pins greased", decision: "now", minutes: 75 },
  },
  {
    ...{ id: "fd-mini-pads", machine: "m-minibus", daysAgo: 96, kind: "wear", by: "pe-thwaite" },
    ...{ what: "Front pads wear unevenly", where: "right front", verdict: "watch" },
    ...{ evidence: "6.1 mm left, 4.3 mm right", also: ["sliding pin seized"], round: "n-03-96" },
    ...{ check: "k-pads", decision: "watch", lookInDays: 14 },
  },
  {
    ...{ id: "fd-lunch-rust", machine: "m-lunch", daysAgo: 210, kind: "rust", by: "pe-rigg" },
    ...{ what: "Sill rusts through", where: "left, behind the door", verdict: "attend" },
    ...{ decision: "declined", reason: "to be sold in spring" },
    decisions: [{ daysAgo: 210, by: "pe-rigg", decision: "next visit", reason: "no welder here" }],
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

type Trail = (machine: string, daysAgo: number) => Readonly<Record<string, number>>;

/** Rounds with what the dials then showed, findings, samples, and what they are looked at by. */
export function foundOn(
  tagOf: (machine: string) => string,
  dials: Trail,
  today: DayNumber,
): Required<Pick<Book, "checklists" | "rounds" | "findings" | "samples">> {
  const on = (daysAgo: number): string => formatDay(addDays(today, -daysAgo));
  const idOf = ({ machine, daysAgo }: ScenarioRound): string =>
    `n-${tagOf(machine).toLowerCase()}-${daysAgo}`;
  const finished = ROUNDS.map((round) => ({
    ...{ id: idOf(round), date: on(round.daysAgo), machine: round.machine },
    ...{ checklist: round.checklist, by: round.by, meters: dials(round.machine, round.daysAgo) },
    ...{ results: round.results, finished: true },
  }));
  const underWay = UNDER_WAY.map((round) => ({
    ...{ id: idOf(round), date: on(round.daysAgo), machine: round.machine },
    ...{ checklist: round.checklist, by: round.by, results: round.results },
  }));
  const rounds = [...finished, ...underWay];
  const findings = FINDINGS.map(({ daysAgo, ...finding }) => {
    const { lookInDays, dueInDays, closed, decisions, ...rest } = {
      ...{ lookInDays: null, dueInDays: null, closed: null, decisions: null },
      ...finding,
    };
    const dated = ({ daysAgo: ago, ...one }: { readonly daysAgo: number }): object => ({
      ...{ on: on(ago), ...one },
    });
    return {
      ...{ ...rest, found: on(daysAgo) },
      ...(lookInDays === null ? {} : { lookOn: on(-lookInDays) }),
      ...(dueInDays === null ? {} : { dueOn: on(-dueInDays) }),
      ...(closed === null ? {} : { closed: dated(closed) }),
      ...(decisions === null ? {} : { decisions: decisions.map(dated) }),
    };
  });
  const sample = (daysAgo: number, oilLife: number, iron: number, silicon: number): object => ({
    ...{ id: `sa-21-${daysAgo}`, date: on(daysAgo), machine: "m-gritter", fluid: "f-grit-oil" },
    ...{ label: `21/${daysAgo}`, meter: "odo", life: dials("m-gritter", daysAgo)["odo"], oilLife },
    ...{ product: "p-fell-10w40", sent: on(daysAgo - 1), lab: "Corrie Factors, oil bench" },
    result: { on: on(daysAgo - 9), values: { iron, silicon, copper: 6 } },
  });
  return {
    checklists: CHECKLISTS,
    rounds: rounds as unknown as Round[],
    findings: findings as unknown as Finding[],
    samples: [sample(640, 152, 24, 6), sample(280, 149, 31, 8)] as unknown as Sample[],
  };
}
