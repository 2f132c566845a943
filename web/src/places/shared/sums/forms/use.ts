import { lines, percent, plain, type SumForm } from "../sumForm.js";
import { counted, figure } from "../../../../words/format.js";
import { costOf, pairOf } from "./readLine.js";
import { litres, plainFigure, quantity } from "./say.js";

const CONSUMPTION: SumForm = {
  ...{ sum: "consumption", subject: "Use and cost", source: "By what was topped up." },
  question: "How much oil does it use?",
  also: "oil consumption top-up litres per 1000 km use",
  caution: "When it doubles, look for a leak, smoke, or the oil in the coolant.",
  fields: [
    plain("from", "Life at the start"),
    plain("to", "Life at the end"),
    lines("topUps", "Topped up, a line each: life and litres", pairOf("life", "amount"), {
      hint: "41350 0.4",
    }),
    plain("per", "Told by so much life", { initial: "1000" }),
  ],
  told: (answer: { amount: number; count: number; rate: number }, asked) => ({
    main: `${litres(answer.rate)} per ${figure(Number(asked["per"]))}`,
    more: [`${litres(answer.amount)} in ${counted(answer.count, "top-up")}`],
    reason: `Over ${figure(Number(asked["to"]) - Number(asked["from"]))} of life; what was topped up at the start is none of it.`,
    given: [{ label: "topped up", quantity: quantity(answer.amount, "L") }],
  }),
};

const FOUND = ["worse", "as expected", "better"] as const;

const INTERVAL: SumForm = {
  ...{ sum: "interval-advice", subject: "Use and cost" },
  question: "Is an interval too long?",
  also: "interval shorten lengthen findings worse better advice",
  source: "The last two times it was found; one fifth shorter or longer.",
  caution: "Past what the maker says only knowingly, and never while a warranty runs.",
  fields: [
    plain("interval", "The interval"),
    plain("maker", "The maker's", { hint: "empty where it is not known" }),
    {
      ...{ name: "findings", label: "Found, oldest first", input: { kind: "words" } },
      hint: `apart by commas: ${FOUND.join(", ")}`,
    },
    percent("step", "By so much", { initial: "20" }),
  ],
  told: (answer: { advice: string; to: number; past: boolean }) => ({
    main:
      answer.advice === "keep"
        ? "Keep it"
        : `${answer.advice === "shorten" ? "Shorten" : "Lengthen"} it to ${plainFigure(answer.to)}`,
    more: answer.past ? ["The interval is longer than the maker's already."] : [],
    reason:
      answer.advice === "keep"
        ? "Only twice the same, better or worse than expected, asks for another."
        : "Twice in a row it was found so.",
  }),
};

const COST: SumForm = {
  ...{ sum: "running-cost", subject: "Use and cost", source: "By what was spent in the span." },
  question: "What does a kilometre or an hour cost?",
  also: "cost per km hour running spent money",
  fields: [
    plain("from", "Life at the start"),
    plain("to", "Life at the end"),
    lines("costs", "Spent, a line each: life and money", costOf, {
      hint: "41350 120 · 43000 80 warranty",
    }),
  ],
  told: (answer: { amount: number; warranty: number; rate: number }) => ({
    main: `${plainFigure(answer.rate)} each`,
    more: [
      `${figure(answer.amount, 2)} spent`,
      ...(answer.warranty === 0 ? [] : [`${figure(answer.warranty, 2)} under warranty, not in it`]),
    ],
    reason: "What was spent after the start and up to the end, by what it ran.",
  }),
};

/** The sums of use and cost. */
export const USE_FORMS: readonly SumForm[] = [CONSUMPTION, INTERVAL, COST];
