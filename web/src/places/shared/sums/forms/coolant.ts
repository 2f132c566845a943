import { freezesAtShare, type Glycol } from "./glycolCurve.js";
import { choice, inUnit, percent, type FormField, type SumForm } from "../sumForm.js";
import { sentence } from "../../../../words/format.js";
import type { PlotSpec } from "../plot.js";
import { celsius, litres, perCent, quantity, VERDICT_WORDS } from "./say.js";

const GLYCOLS = [
  ["ethylene", "ethylene glycol"],
  ["propylene", "propylene glycol"],
] as const;
const glycol = choice("glycol", "Made of", GLYCOLS);
const glycolBeside = choice("glycol", "Made of", GLYCOLS, { isBeside: true });

const SOURCE =
  "Freezing points: published figures of glycol in water. A label's own table, or the maker's, wins.";
const CAUTION =
  "Never open a hot system: let it cool until the hose is soft. Coolant is sweet and poisonous; catch all of it, and keep animals away. Top up with the family that is in it.";

const glycolShare = (name: string, label: string, rest: Partial<FormField> = {}): FormField => ({
  ...{ name, label, input: { kind: "glycol" } },
  ...rest,
});

const shareOf = (asked: Readonly<Record<string, unknown>>, name: string): number =>
  Number(asked[name] ?? 0);
const glycolOf = (asked: Readonly<Record<string, unknown>>): Glycol =>
  asked["glycol"] === "propylene" ? "propylene" : "ethylene";

/** The line of mixes: where each freezes, with marks on it, and the coldest day. */
function mixLine(
  of: Glycol,
  marks: readonly { readonly share: number; readonly label: string; readonly isHollow?: boolean }[],
  coldest: number | null,
): PlotSpec {
  const freezes = (share: number): number => freezesAtShare(of, share);
  const last = 0.6;
  const line = Array.from({ length: 31 }, (_, step) => (step / 30) * last);
  return {
    words: `Where each mix freezes: ${marks
      .map(({ share, label }) => `${label} ${perCent(share)}, ${celsius(freezes(share))}`)
      .join("; ")}`,
    x: { from: 0, to: last, words: "share of glycol, to 60 %" },
    y: { from: -55, to: 3, words: "freezes at, °C" },
    line: line.map((share) => ({ x: share, y: freezes(share) })),
    marks: marks.map(({ share, ...mark }) => ({ ...mark, x: share, y: freezes(share) })),
    rules: coldest === null ? [] : [{ y: coldest, label: `coldest, ${celsius(coldest)}` }],
  };
}

interface Corrected {
  readonly drain: number;
  readonly product: number;
  readonly water: number;
  readonly reaches: number;
}

const CORRECT: SumForm = {
  ...{ sum: "coolant-correct", subject: "Coolant", source: SOURCE, caution: CAUTION },
  question: "What to drain and fill for the frost wanted",
  also: "antifreeze correct too weak too strong dilute strengthen winter",
  fields: [
    inUnit("volume", "The full system holds", "L"),
    inUnit("low", "Missing now", "L", { hint: "0 where it stands at the mark" }),
    glycolBeside,
    glycolShare("shareNow", "In it now", { hint: "per cent, or where it freezes: −18 °C" }),
    glycolShare("shareWanted", "Wanted", { hint: "per cent, or where it is to freeze" }),
    percent("product", "Product holds", { hint: "100 undiluted" }),
    inUnit("coldest", "Coldest day expected", "degC", { isBeside: true }),
  ],
  told: ({ drain, product, water, reaches }: Corrected, asked) => {
    const [now, wanted] = [shareOf(asked, "shareNow"), shareOf(asked, "shareWanted")];
    const low = shareOf(asked, "low");
    const strength = Number(asked["product"] ?? 1);
    const coldest = asked["coldest"] as number | null;
    const steps = [
      drain === 0 ? "" : `drain ${litres(drain)}`,
      product === 0 ? "" : `fill ${litres(product)} of product`,
      water === 0 ? "" : `fill ${litres(water)} of water`,
    ].filter((step) => step !== "");
    const reason =
      drain === 0
        ? low === 0
          ? "It is as wanted and full: nothing is to be done."
          : "What is missing is enough room: nothing has to be drained."
        : wanted > now
          ? `It is too weak, and there is room for ${litres(low)} only: so much of the old must make way for ${perCent(strength)} product.`
          : "It is too strong: so much of the old must make way for water.";
    return {
      main: steps.length === 0 ? "Nothing to do" : sentence(steps.join(", then ")),
      more: [
        `It then holds ${perCent(reaches)} glycol and freezes at ${celsius(freezesAtShare(glycolOf(asked), reaches))}`,
      ],
      reason,
      given: [
        ...(product === 0 ? [] : [{ label: "product", quantity: quantity(product, "L") }]),
        ...(drain === 0 ? [] : [{ label: "drained", quantity: quantity(drain, "L") }]),
        ...(water === 0 ? [] : [{ label: "water", quantity: quantity(water, "L") }]),
      ],
      plot: mixLine(
        glycolOf(asked),
        [
          { share: now, label: `here ${perCent(now)}`, isHollow: true },
          { share: wanted, label: `wanted ${perCent(wanted)}` },
        ],
        coldest,
      ),
    };
  },
};

const MIX: SumForm = {
  ...{ sum: "coolant-mix", subject: "Coolant", source: "Parts by volume.", caution: CAUTION },
  question: "How much product and water make a mix",
  also: "antifreeze mix fill ratio",
  fields: [
    inUnit("volume", "How much mix", "L"),
    glycolBeside,
    glycolShare("share", "Share of glycol wanted", { hint: "per cent, or where it is to freeze" }),
    percent("product", "Product holds", { hint: "100 undiluted" }),
  ],
  told: ({ product, water }: { product: number; water: number }, asked) => ({
    main: `${litres(product)} of product, ${litres(water)} of water`,
    reason: `Together ${litres(product + water)} with ${perCent(shareOf(asked, "share"))} glycol.`,
    given: [
      { label: "product", quantity: quantity(product, "L") },
      { label: "water", quantity: quantity(water, "L") },
    ],
  }),
};

const JUDGE: SumForm = {
  ...{ sum: "coolant-judge", subject: "Coolant", source: SOURCE, caution: CAUTION },
  question: "Is the coolant good for the winter?",
  also: "antifreeze refractometer freezing point test frost protection",
  fields: [
    glycol,
    inUnit("freezesAt", "It was found to freeze at", "degC"),
    inUnit("coldest", "Coldest day expected", "degC"),
    inUnit("margin", "To spare", "degC", { hint: "5 where nothing is said" }),
  ],
  told: (
    answer: {
      share: number | null;
      verdict: "sound" | "watch" | "attend";
      advice: "weak" | "strong" | "fine";
    },
    asked,
  ) => {
    const { share, verdict, advice } = answer;
    const [freezes, coldest] = [shareOf(asked, "freezesAt"), shareOf(asked, "coldest")];
    const spare = coldest - freezes;
    return {
      main: VERDICT_WORDS[verdict],
      more: [
        share === null
          ? "Colder than any mix of the table freezes: the reading is wrong, or it is another kind."
          : `About ${perCent(share)} glycol`,
        ...(advice === "weak" ? ["Under 33 % it also protects too little against rust."] : []),
        ...(advice === "strong" ? ["Over 60 % it carries less heat: more is not better."] : []),
        "A reading cannot tell a weak mix from one of over 78 %.",
      ],
      reason:
        spare < 0
          ? `It freezes ${celsius(-spare)} before the coldest day.`
          : `On the coldest day ${celsius(spare)} are to spare; ${celsius(shareOf(asked, "margin"))} are wanted.`,
      measure: { name: "coolant, freezes at", readings: [quantity(freezes, "degC")], verdict },
      ...(share === null
        ? {}
        : {
            plot: mixLine(glycolOf(asked), [{ share, label: `here ${perCent(share)}` }], coldest),
          }),
    };
  },
};

const FREEZE: SumForm = {
  ...{ sum: "freeze-point", subject: "Coolant", source: SOURCE, caution: CAUTION },
  question: "Where does a mix freeze?",
  also: "antifreeze freezing point temperature share",
  fields: [glycol, percent("share", "Share of glycol")],
  told: ({ freezesAt, below }: { freezesAt: number | null; below: number | null }, asked) => ({
    main:
      freezesAt === null
        ? below === null
          ? "Not told by the table"
          : `Below ${celsius(below)}`
        : celsius(freezesAt),
    reason:
      freezesAt === null
        ? "Past the coldest mix of the table; more glycol is not colder for ever."
        : `At ${perCent(shareOf(asked, "share"))} of glycol by volume.`,
    ...(freezesAt === null
      ? {}
      : {
          given: [{ label: "freezes at", quantity: quantity(freezesAt, "degC") }],
          plot: mixLine(glycolOf(asked), [{ share: shareOf(asked, "share"), label: "here" }], null),
        }),
  }),
};

const SHARE: SumForm = {
  ...{ sum: "glycol-share", subject: "Coolant", source: SOURCE, caution: CAUTION },
  question: "Which mix freezes at a temperature?",
  also: "antifreeze share of glycol refractometer",
  fields: [glycol, inUnit("freezesAt", "It freezes at", "degC")],
  told: ({ share }: { share: number }, asked) => ({
    main: `${perCent(share)} glycol`,
    reason: `The weaker of the mixes that freeze at ${celsius(shareOf(asked, "freezesAt"))}.`,
    plot: mixLine(glycolOf(asked), [{ share, label: "this mix" }], null),
  }),
};

const BOILS: SumForm = {
  ...{ sum: "boiling-point", subject: "Coolant", caution: CAUTION },
  question: "Where does a mix boil under its cap?",
  also: "boiling point pressure cap altitude pass overheating",
  source:
    "Boiling water by the Antoine equation, air by the standard atmosphere, the rise by published figures of glycol.",
  fields: [
    glycol,
    percent("share", "Share of glycol", { hint: "up to 60" }),
    inUnit("cap", "The cap holds", "kPa", { hint: "over the air; 0 for an open system" }),
    inUnit("altitude", "Height over the sea", "m", { hint: "0 where nothing is said" }),
  ],
  told: ({ boilsAt }: { boilsAt: number }) => ({
    main: celsius(boilsAt),
    reason: "Pressure holds boiling back, height brings it on, glycol lifts it a little.",
    given: [{ label: "boils at", quantity: quantity(boilsAt, "degC") }],
  }),
};

/** The sums of coolant. */
export const COOLANT_FORMS: readonly SumForm[] = [CORRECT, MIX, JUDGE, FREEZE, SHARE, BOILS];
