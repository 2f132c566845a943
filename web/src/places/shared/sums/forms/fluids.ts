import { choice, inUnit, plain, type SumForm } from "../sumForm.js";
import { celsius, quantity, VERDICT_WORDS } from "./say.js";
import { quantityWords } from "../../../../words/quantityWords.js";

const TYPES = [
  ["3", "type 3"],
  ["4", "type 4"],
  ["5.1", "type 5.1"],
  ["5", "type 5, silicone"],
  ["mineral", "mineral"],
] as const;

const REASONS: Readonly<Record<string, string>> = {
  "wrong-fluid": "Silicone and mineral fluid mix with none but themselves: the seals are at risk.",
  "too-low-a-type": "What is in it counts as a lower type than is required.",
  "boils-too-soon": "It boils below what wet fluid of the required type must bear.",
  wet: "It holds more than 3 % of water.",
  "boils-soon": "It boils little above what wet fluid of the required type must bear.",
  damp: "It has begun to draw water: 1.5 % or more.",
  "not-measured": "The type will do; how wet it is has not been measured.",
};

const BRAKE: SumForm = {
  ...{ sum: "brake-fluid", subject: "Oil, fuel and brakes" },
  question: "Will this brake fluid do?",
  also: "brake moisture boiling point tester type mixture wet",
  source: "Wet boiling points of the types; 3 % of water as the usual limit.",
  caution:
    "Brake fluid eats paint and skin: cover, rinse with water at once. Only from a sealed can, never what came out. A pedal that sinks means: do not drive.",
  fields: [
    choice("required", "Required", TYPES, { initial: "4" }),
    { name: "inside", label: "In it", input: { kind: "several", choices: TYPES } },
    plain("moisture", "Water in it, per cent", { hint: "empty where it was not measured" }),
    inUnit("boiling", "It was found to boil at", "degC", {
      hint: "empty where it was not measured",
    }),
  ],
  told: (
    answer: {
      counts: string | null;
      verdict: "sound" | "watch" | "attend" | "stop" | null;
      reason: string | null;
    },
    asked,
  ) => {
    const { counts, verdict, reason } = answer;
    const moisture = asked["moisture"] as number | null;
    const boiling = asked["boiling"] as number | null;
    const readings = [
      ...(moisture === null ? [] : [{ value: moisture, unit: "percent" as const }]),
      ...(boiling === null ? [] : [quantity(boiling, "degC")]),
    ];
    return {
      main: verdict === null ? "Not known: measure it" : VERDICT_WORDS[verdict],
      more: counts === null ? [] : [`It counts as type ${counts}`],
      reason:
        reason === null ? "The type will do, and it is dry enough." : (REASONS[reason] ?? reason),
      // Readings of two kinds are two measures: only one is kept in one.
      ...(readings.length === 1
        ? {
            measure: {
              name: moisture === null ? "brake fluid, boils at" : "brake fluid, water",
              ...{ readings, verdict },
            },
          }
        : {}),
    };
  },
};

const COLD: SumForm = {
  ...{ sum: "cold-grade", subject: "Oil, fuel and brakes" },
  question: "Does an oil grade serve the cold?",
  also: "oil viscosity winter grade cold start 5W-30 80W-90",
  source: "The limits of the winter grades of engine and gear oils.",
  caution: "The handbook's grades for the machine win over any table.",
  fields: [
    { name: "grade", label: "Grade", input: { kind: "text" }, hint: "such as 5W-30 or 80W-90" },
    inUnit("coldest", "Coldest start", "degC"),
    inUnit("margin", "To spare", "degC", { hint: "5 where nothing is said" }),
  ],
  told: (answer: { servesTo: number | null; serves: boolean | null }, asked) => ({
    main:
      answer.serves === null
        ? "No winter grade"
        : answer.serves
          ? "It serves"
          : "Too thick for that cold",
    reason:
      answer.servesTo === null
        ? "A grade without a W says nothing of the cold."
        : `${String(asked["grade"])} serves down to ${celsius(answer.servesTo)}, with what is to spare.`,
    ...(answer.servesTo === null
      ? {}
      : { given: [{ label: "serves to", quantity: quantity(answer.servesTo, "degC") }] }),
  }),
};

const FUEL: SumForm = {
  ...{ sum: "fuel-mix", subject: "Oil, fuel and brakes", source: "Parts by volume." },
  question: "How much oil into two-stroke fuel?",
  also: "fuel mix two-stroke chainsaw ratio oil petrol",
  caution: "Fuel burns: outside, no flame, into a can made for it. The maker's ratio wins.",
  fields: [
    inUnit("fuel", "Fuel", "L"),
    plain("ratio", "Parts of fuel to one of oil", { initial: "50", hint: "10 to 200" }),
  ],
  told: ({ oil }: { oil: number }, asked) => {
    const amount = { value: Math.round(oil * 1000), unit: "mL" } as const;
    return {
      main: `${quantityWords(amount)} of oil`,
      reason: `One part of oil to ${String(asked["ratio"])} of fuel.`,
      given: [{ label: "oil", quantity: amount }],
    };
  },
};

/** The sums of oil, fuel and brakes. */
export const FLUID_FORMS: readonly SumForm[] = [BRAKE, COLD, FUEL];
