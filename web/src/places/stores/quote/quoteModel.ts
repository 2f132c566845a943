import { parseDay, type Quote } from "@yonderfell/core";
import type { Problem } from "../../../form/useForm.js";
import { figureTyped, isEmpty, orNull, textTyped } from "../../../form/typed.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A line of a quote as it stands in the form. */
export interface QuoteRow {
  readonly what: string;
  readonly amount: string;
}

/** A quote as it stands in the form. */
export interface QuoteModel {
  readonly workshop: string;
  readonly on: string;
  readonly total: string;
  readonly note: string;
  readonly lines: readonly QuoteRow[];
}

export const QUOTE_LABELS: Readonly<Record<keyof QuoteModel, string>> = {
  workshop: "Workshop",
  on: "Quoted on",
  total: "All of it",
  note: "Note",
  lines: "What is in it",
};

export const emptyLine = (): QuoteRow => ({ what: "", amount: "" });

/** A quote as it stands in the form, empty for none. */
export const modelOfQuote = (quote: Quote | null, today: string): QuoteModel => ({
  workshop: textTyped(quote?.workshop),
  on: quote?.on ?? today,
  total: figureTyped(quote?.total),
  note: textTyped(quote?.note),
  lines: (quote?.lines ?? []).map(({ what, amount }) => ({
    what,
    amount: amount === null || amount === undefined ? "" : typedFigure(amount),
  })),
});

export interface QuoteProblem extends Problem {
  readonly code: "workshop-missing" | "no-day" | "not-a-price" | "what-missing";
}

const isMoney = (text: string): boolean => isEmpty(text) || typedNumber(text) !== null;

/** What is still wrong with a quote. */
export function quoteProblems({ workshop, on, total, lines }: QuoteModel): QuoteProblem[] {
  return [
    ...(isEmpty(workshop) ? [{ field: "workshop", code: "workshop-missing" as const }] : []),
    ...(parseDay(on) === null ? [{ field: "on", code: "no-day" as const }] : []),
    ...(isMoney(total) && (typedNumber(total) ?? 0) >= 0
      ? []
      : [{ field: "total", code: "not-a-price" as const }]),
    ...lines.flatMap(({ what, amount }, at): QuoteProblem[] => [
      ...(isEmpty(what) && !isEmpty(amount)
        ? [{ field: `lines.${at}.what`, code: "what-missing" as const }]
        : []),
      ...(isMoney(amount) ? [] : [{ field: `lines.${at}.amount`, code: "not-a-price" as const }]),
    ]),
  ];
}

const WORDS: Readonly<Record<QuoteProblem["code"], string>> = {
  "workshop-missing": "Say who quotes.",
  "no-day": "Choose a day.",
  "not-a-price": "A figure, or nothing.",
  "what-missing": "Say what it is for.",
};
/** What is wrong, in words. */
export const quoteProblemWords = ({ code }: QuoteProblem): string => WORDS[code];

/** The quote of a form that has no problem; lines left empty are left out. */
export function quoteOf({ workshop, on, total, note, lines }: QuoteModel): Quote {
  return {
    ...{ workshop: workshop.trim(), on },
    lines: lines
      .filter(({ what }) => !isEmpty(what))
      .map(({ what, amount }) => ({ what: what.trim(), amount: typedNumber(amount) })),
    ...{ total: typedNumber(total), note: orNull(note) },
  };
}
