import {
  capacityAnswers,
  dimensionOf,
  valueIn,
  type BoardMachine,
  type Fluid,
  type Quantity,
  type SystemInUse,
} from "@yonderfell/core";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { asTyped, quantityWords } from "../../../words/quantityWords.js";
import { typedFigure } from "../../../words/writing.js";
import type { Typed } from "./readFields.js";

/** What a machine is known by. */
export interface KnownMachine {
  readonly machine: BoardMachine;
  readonly source: WorkSource;
  readonly systems: readonly SystemInUse[];
  /** `YYYY-MM-DD` */
  readonly today: string;
}

/** What a machine fills in of a sum, and from where. */
export interface Prefilled {
  readonly typed: Typed;
  /** Such as `the full system holds 22 L`. */
  readonly said: readonly string[];
}

type Found = readonly [field: string, typed: string, said: string];

const NOTHING: readonly Found[] = [];

const ofKind = ({ source }: KnownMachine, kind: Fluid["kind"]): Fluid | undefined =>
  source.plate.fluids.find((fluid) => fluid.kind === kind);

/** The capacity of a system under one of some conditions, the first that is known. */
function capacity(fluid: Fluid | undefined, conditions: readonly string[]): Found[] {
  if (fluid === undefined) return [];
  const answers = capacityAnswers(fluid);
  const answer = conditions.flatMap(
    (one) => answers.find(({ condition }) => condition === one) ?? [],
  )[0];
  if (answer === undefined) return [];
  const { quantity, source } = answer.working;
  const said = `${fluid.system} ${answer.condition} ${quantityWords(quantity)}, ${source}`;
  return [["volume", asTyped(quantity), said]];
}

const renamed = (found: readonly Found[], name: string): Found[] =>
  found.map(([, typed, said]) => [name, typed, said]);

function coldest({ machine }: KnownMachine): Found[] {
  const start = machine.machine.duty?.coldestStart ?? null;
  return start === null
    ? []
    : [["coldest", asTyped(start), `coldest start ${quantityWords(start)}`]];
}

const COOLED = ["dry", "drain and fill", "with filter", "without filter"];
const FILLED = ["with filter", "drain and fill", "without filter", "dry"];

function gearbox(known: KnownMachine): Found[] {
  const fluid =
    ofKind(known, "automatic transmission fluid") ??
    known.source.plate.fluids.find(({ system }) => /gearbox|transmission/i.test(system));
  return [
    ...renamed(capacity(fluid, ["dry"]), "vessel"),
    ...renamed(capacity(fluid, ["drain and fill", "with filter"]), "pass"),
  ];
}

/** What the first meter shows of its life, and how fast it goes on. */
function lives({ machine }: KnownMachine): Found[] {
  const [meter] = machine.meters;
  if (meter === undefined || meter.life === null) return [];
  const life = String(Math.round(meter.life));
  const { perDay } = meter.rate;
  const daily = perDay === null ? "" : typedFigure(Math.round(perDay * 10) / 10);
  return [
    ["lifeNow", life, `life now ${life} ${meter.meter.unit}`],
    ["perDay", daily, daily === "" ? "" : `${daily} ${meter.meter.unit} a day`],
  ];
}

function toppedUp({ systems }: KnownMachine): Found[] {
  const one = systems.find(({ topUps }) => topUps !== null);
  if (one === undefined || one.topUps === null) return [];
  const { from, to, topUps, per, meter } = one.topUps;
  const words = topUps.map(
    ({ life, amount }) => `${Math.round(life)} ${typedFigure(Math.round(amount * 1000) / 1000)}`,
  );
  return [
    ["from", String(Math.round(from)), `${one.fluid.system}, the last year`],
    ["to", String(Math.round(to)), `in ${meter.unit}`],
    ["topUps", words.join("\n"), ""],
    ["per", String(per), ""],
  ];
}

const isVolume = (amount: Quantity | null | undefined): amount is Quantity =>
  (amount ?? null) !== null && dimensionOf((amount as Quantity).unit) === "volume";

function learned({ source, systems }: KnownMachine): Found[] {
  const fluid = systems.find(({ filled }) => filled !== null)?.fluid ?? source.plate.fluids[0];
  if (fluid === undefined) return [];
  const fills = source.book.entries.flatMap((entry) =>
    entry.isTopUp === true
      ? []
      : (entry.fluids ?? []).flatMap((line) =>
          line.fluid === fluid.id && isVolume(line.in) && line.onMark === true
            ? [`${typedFigure(Math.round(valueIn(line.in, "L") * 100) / 100)} mark`]
            : [],
        ),
  );
  const printed = (fluid.capacities ?? [])
    .filter(({ quantity }) => isVolume(quantity))
    .map(
      ({ source: says, condition, quantity }) =>
        `${typedFigure(Math.round(valueIn(quantity, "L") * 100) / 100)} ${says} ${condition}`,
    );
  return [
    ["fills", fills.join("\n"), `${fluid.system}: fills of its log`],
    ["printed", printed.join("\n"), "its plate"],
  ];
}

function brakes(known: KnownMachine): Found[] {
  const type = ofKind(known, "brake fluid")?.brakeType ?? null;
  return type === null
    ? []
    : [
        ["required", type, `type ${type} required`],
        ["inside", type, ""],
      ];
}

function grade({ source, systems }: KnownMachine): Found[] {
  const engine = systems.find(({ fluid }) => fluid.kind === "engine oil");
  const product = source.products.find(
    ({ id }) => id === (engine?.filled?.line.product ?? engine?.fluid.product),
  );
  const inIt = product?.grade ?? engine?.fluid.grades?.[0]?.grade ?? null;
  return inIt === null ? [] : [["grade", inIt, `${inIt}, ${product?.name ?? "its plate"}`]];
}

/** What is known of a machine for each sum. */
const BY_SUM: Readonly<Record<string, (known: KnownMachine) => readonly Found[]>> = {
  "coolant-correct": (known) => [...capacity(ofKind(known, "coolant"), COOLED), ...coldest(known)],
  "coolant-mix": (known) => capacity(ofKind(known, "coolant"), COOLED),
  "coolant-judge": coldest,
  "cold-grade": (known) => [...grade(known), ...coldest(known)],
  passes: gearbox,
  "fill-step": (known) => renamed(capacity(ofKind(known, "engine oil"), FILLED), "expected"),
  "learned-capacity": learned,
  "brake-fluid": brakes,
  trend: lives,
  "share-of-limit": lives,
  consumption: toppedUp,
  "tyre-age": ({ today }) => [["on", today, ""]],
};

/** What a machine is known to be for a sum. */
export function fromMachine(sum: string, known: KnownMachine): Prefilled {
  const found = (BY_SUM[sum]?.(known) ?? NOTHING).filter(([, typed]) => typed !== "");
  return {
    typed: Object.fromEntries(found.map(([field, typed]) => [field, typed])),
    said: found.map(([, , said]) => said).filter((words) => words !== ""),
  };
}
