import {
  dayOf,
  OWN_EXPERIENCE,
  type CapacityBeside,
  type ConsumptionTrend,
  type EstimateBeside,
  type Evidence,
  type IntervalSeen,
  type Lesson,
  type PartLives,
  type Proposal,
  type ServiceSpan,
  type TurnSeen,
} from "@yonderfell/core";
import { amount, counted, figure, fullDate, listOfWords, sentence } from "../../../words/format.js";
import { ADVICE_WORDS } from "../../../words/sampleAdvice.js";

const PERCENT = 100;
const NONE = "none";

/** Litres to a hundredth, as fills are told. */
export const litres = (value: number): string => `${figure(value, 2)} L`;
export const minutes = (value: number): string => `${figure(value)} min`;
const withoutUnit = (words: string): string => words.slice(0, words.lastIndexOf(" "));
/** A range, or the one figure that it is. */
export const between = (low: number, high: number, words: (value: number) => string): string =>
  low === high ? words(low) : `${withoutUnit(words(low))} to ${words(high)}`;

const rangeWords = (...of: Parameters<typeof between>): string =>
  `${of[0] === of[1] ? "each time " : ""}${between(...of)}`;

/** How much is taken by so much run: `0.12 L by 1 000 km`. */
export const rateWords = (rate: number, { per, meter }: ConsumptionTrend): string =>
  `${litres(rate)} by ${amount(per, meter.unit)}`;

/** What a proposal is about, in a word. */
export const ABOUT_WORDS = {
  interval: "Interval",
  consumption: "Consumption",
  capacity: "Capacity",
  minutes: "Time",
} as const satisfies Record<Proposal["about"], string>;

/** What is proposed, in a line. */
export function proposalTitle(proposal: Proposal): string {
  switch (proposal.about) {
    case "interval": {
      const { task, every, advice, unit } = proposal.seen;
      return `${task.name}: every ${amount(advice.to, unit)} instead of ${amount(every, unit)}`;
    }
    case "consumption":
      return `${sentence(proposal.trend.system)} takes more than twice what it used to: look where it goes`;
    case "capacity": {
      const { fluid, condition, median, working } = proposal.beside;
      const was = working === null ? "" : ` instead of ${quantityOf(working)}`;
      return `${sentence(fluid.system)}, ${condition}: ${litres(median)}${was}`;
    }
    case "minutes": {
      const { task, estimated } = proposal.beside;
      const was =
        estimated === null ? ", none is written down" : ` instead of ${figure(estimated)}`;
      return `${task.name}: ${minutes(proposal.beside.minutes)}${was}`;
    }
  }
}

const quantityOf = ({ quantity }: NonNullable<CapacityBeside["working"]>): string =>
  `${figure(quantity.value, 2)} ${quantity.unit}`;

const daysOf = (turns: readonly TurnSeen[]): string =>
  listOfWords(turns.map(({ day }) => fullDate(day)));

/** The turns that decide on an interval: the last two that count. */
const deciding = ({ turns }: IntervalSeen): TurnSeen[] =>
  turns.filter(({ leftOut }) => leftOut === null).slice(-2);

function intervalReason(seen: IntervalSeen): string {
  const { advice, maker, unit } = seen;
  const isWorse = advice.advice === "shorten";
  const found = `${isWorse ? "Worse" : "Better"} than expected at the last two turns that anything was looked at: ${daysOf(deciding(seen))}.`;
  if (maker === null) {
    return isWorse
      ? `${found} The handbook gives no interval by this meter.`
      : `${found} The handbook gives no interval by this meter: for a longer one nobody answers but you.`;
  }
  const past = advice.past ? " The interval stands past that already." : "";
  return `${found} The handbook gives every ${amount(maker, unit)}.${past}`;
}

/** Why it is proposed, with what it stands on. */
export function proposalReason(proposal: Proposal): string {
  switch (proposal.about) {
    case "interval":
      return intervalReason(proposal.seen);
    case "consumption": {
      const { trend } = proposal;
      const { spans, usual } = trend;
      const last = spans.at(-1)?.rate ?? 0;
      return `Between the last two services ${rateWords(last, trend)}; the middle of the ${figure(spans.length - 1)} spans before is ${litres(usual ?? 0)}.`;
    }
    case "capacity":
      return capacityReason(proposal.beside);
    case "minutes": {
      const { times, low, high } = proposal.beside;
      return `The middle of the ${counted(times, "time")} it was done by itself: ${rangeWords(low, high, minutes)}.`;
    }
  }
}

/** What fills say beside what is printed. */
export function capacityReason({ learned, working }: CapacityBeside): string {
  const { fills, low, high, printed } = learned;
  const said = printed
    .filter(({ source }) => source !== OWN_EXPERIENCE)
    .map(({ source, off }) => `${source} is ${offWords(off)}`);
  const none = working === null ? " Nothing is written down." : "";
  return `The middle of ${counted(fills, "fill")} to the mark: ${rangeWords(low ?? 0, high ?? 0, litres)}.${said.length === 0 ? "" : ` The figure of the ${listOfWords(said)}.`}${none}`;
}

/** How far a printed figure is off: `10 % above`. */
export function offWords(off: number | null): string {
  if (off === null) return "not comparable";
  const share = Math.round(Math.abs(off) * PERCENT);
  if (share === 0) return "the same";
  return `${figure(share)} % ${off > 0 ? "above" : "below"}`;
}

/** What is kept with the change as its reason. */
export function saidWords(proposal: Proposal): string {
  const reason = proposalReason(proposal);
  if (proposal.about !== "interval") return reason;
  const { every, unit } = proposal.seen;
  return `${reason} It was every ${amount(every, unit)}.`;
}

/** The press that does what is proposed. */
export function doWords(proposal: Proposal): string {
  switch (proposal.about) {
    case "interval":
      return `Do so: every ${amount(proposal.seen.advice.to, proposal.seen.unit)}`;
    case "consumption":
      return "Do so: note it as a finding";
    case "capacity":
      return `Do so: work by ${litres(proposal.beside.median)}`;
    case "minutes":
      return `Do so: ${minutes(proposal.beside.minutes)}`;
  }
}

/** What was answered before. */
const ANSWER_WORDS = {
  done: "done",
  "not now": "not now",
  never: "never for this machine",
} as const satisfies Record<Lesson["answer"], string>;

/** What was answered and when, to what where that was said in other words (`title` is how it stands now), and when it comes again. */
export function answerWords({ answer, on, said: then }: Lesson, title: string): string {
  const to = then && then !== title ? `, to “${then}”` : "";
  const said = `${sentence(ANSWER_WORDS[answer])}, ${fullDate(dayOf(on))}${to}`;
  switch (answer) {
    case "done":
      return `${said}; it comes again with something new to go by`;
    case "not now":
      return `${said}; it comes again in 90 days, or with something new to go by`;
    case "never":
      return said;
  }
}

const FOUND_WORDS = {
  worse: "worse than expected",
  "as expected": "as expected",
  better: "better than expected",
} as const satisfies Record<TurnSeen["found"], string>;

const LEFT_OUT_WORDS = {
  late: ", but it came so late that the interval is not to blame: not counted",
  before: "; the interval was changed since: not counted again",
} as const satisfies Record<NonNullable<TurnSeen["leftOut"]>, string>;

/** A turn and what was found at it. */
export function turnWords({ run, found, leftOut }: TurnSeen, { unit }: IntervalSeen): string {
  const why = leftOut === null ? "" : LEFT_OUT_WORDS[leftOut];
  return `after ${amount(run, unit)}: ${FOUND_WORDS[found]}${why}`;
}

/** One thing that was seen of a turn. */
export function evidenceWords(seen: Evidence): string {
  switch (seen.kind) {
    case "measure":
      return `${seen.name}: ${seen.verdict}`;
    case "finding":
      return `${seen.what}${seen.verdict === null ? "" : `: ${seen.verdict}`}`;
    case "sample":
      return `sample ${seen.sample.label ?? fullDate(dayOf(seen.sample.date))}: ${ADVICE_WORDS[seen.advice].toLowerCase()}`;
    case "test":
      return `tested sound and put off${seen.found === null ? "" : `: ${seen.found}`}`;
  }
}

/** What one thing that was seen is called when it is gone to. */
export const EVIDENCE_LINK = {
  measure: "the entry",
  finding: "the finding",
  sample: "the samples",
  test: "the entry",
} as const satisfies Record<Evidence["kind"], string>;

/** What an interval may follow from, where nothing does. */
export function adviceWords(seen: IntervalSeen): string {
  const { advice, turns, unit } = seen;
  const said = deciding(seen).map(({ found }) => FOUND_WORDS[found]);
  switch (advice.advice) {
    case "shorten":
    case "lengthen":
      return `speaks for every ${amount(advice.to, unit)}`;
    case "keep":
      if (said.length >= 2) return `keep it: ${listOfWords(said)}`;
      return turns.some(({ leftOut }) => leftOut === "before")
        ? "too little is known since it was changed: that takes two turns"
        : "too little is known: that takes two turns that count";
  }
}

/** The days a span goes over. */
export const spanWords = ({ fromDay, toDay }: ServiceSpan): string =>
  `${fullDate(fromDay)} to ${toDay === null ? "today" : fullDate(toDay)}`;

/** What is usual of a system, or why nobody can tell. */
export function usualWords(trend: ConsumptionTrend): string {
  const { usual, spans, isDoubled } = trend;
  if (usual === null) {
    return `Too little is known to say what is usual: that takes three spans before the last, and there ${spans.length <= 2 ? (spans.length === 2 ? "is one" : "is none") : `are ${figure(spans.length - 1)}`}.`;
  }
  return `Usual is ${rateWords(usual, trend)}, the middle of ${figure(spans.length - 1)}; the last span took ${isDoubled ? "more than twice that" : "no more than twice that"}.`;
}

/** A life of parts: `18 200 km, 15 900 to 21 000`. */
export function lifeWords({ median, low, high, unit }: PartLives): string {
  if (median === null || unit === null) return "its life is not known";
  const range = low === high ? "" : `, ${figure(low ?? 0)} to ${amount(high ?? 0, unit)}`;
  return `${amount(median, unit)}${range}`;
}

/** What work was said to take beside what it took. */
export function estimateWords({ estimated, median }: EstimateBeside): string {
  if (estimated === null) return NONE;
  return offWords(median / estimated - 1);
}
