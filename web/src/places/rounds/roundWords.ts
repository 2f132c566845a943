import {
  formatNumber,
  symbolOf,
  type Check,
  type CheckLimits,
  type CheckPlace,
  type DayNumber,
  type RoundIssue,
  type Wear,
} from "@yonderfell/core";
import { counted, sentence, shortDate } from "../../words/format.js";
import { figureStyle } from "../../words/writing.js";
import { formatted } from "../shared/atTheMachine/figures.js";

/** A place of a round in words: `Front pads, left`. */
export const placeWords = ({ check, point }: CheckPlace): string =>
  point === null ? check.name : `${check.name}, ${point}`;

const WAYS: Readonly<Record<Check["how"], string>> = {
  look: "Look",
  feel: "Feel",
  listen: "Listen",
  smell: "Smell",
  measure: "Measure",
  count: "Count",
  function: "Try it",
};

/** How something is checked, in words. */
export const wayWords = (how: Check["how"]): string => WAYS[how];

/** How a check is done, where and with what. */
export function howWords({ how, where, side, tool }: Check): string {
  const place = [where, side].filter(Boolean).join(", ");
  return `${WAYS[how]}${place === "" ? "" : `: ${place}`}${tool ? `, with ${tool}` : ""}`;
}

/** The limits of a reading and who says so, in a few words: `least 3 mm, handbook`; empty where there are none. */
export function boundWords({ unit, least, most, source }: CheckLimits): string {
  const bounds = [
    ...(least === null ? [] : [`least ${formatted(least)} ${symbolOf(unit)}`]),
    ...(most === null ? [] : [`most ${formatted(most)} ${symbolOf(unit)}`]),
  ];
  return bounds.length === 0 ? "" : [...bounds, ...(source === null ? [] : [source])].join(", ");
}

/** What a reading is held against, and who says so. */
export function limitWords(limits: CheckLimits): string {
  const bounds = boundWords(limits);
  if (bounds === "") return "No limit is known: it is written down for its trend.";
  const { uncertainty } = limits;
  const doubt = uncertainty > 0 ? ` The tool may be off by ${formatted(uncertainty)}.` : "";
  return `${sentence(bounds)}.${doubt}`;
}

/** How it wears and when it meets its limit. */
export function wearWords(
  { trend, meets, limit, used }: Wear,
  unit: string,
  meterUnit: string,
  today: DayNumber,
): string {
  const share = used === null ? [] : [`${formatted(Math.round(used * 100))} % of its limit used.`];
  if (trend === null || trend.slope === null || limit === null) return share.join(" ");
  const span = meterUnit === "h" ? 100 : 1000;
  const per = formatNumber(Number(Math.abs(trend.slope * span).toPrecision(2)), figureStyle());
  const pace = `Wears ${per} ${unit} in ${formatted(span)} ${meterUnit}${trend.rough ? ", by few readings" : ""}.`;
  return [...share, pace, meetsWords(meets, limit, today)].filter(Boolean).join(" ");
}

/** When it meets its limit, with the days between which that may be; empty where it is not known. */
function meetsWords(meets: Wear["meets"], limit: number, today: DayNumber): string {
  if (meets === null) return "";
  if (meets.likely <= today) return `It has met ${formatted(limit)}.`;
  const range =
    meets.early === meets.late
      ? ""
      : ` (${shortDate(meets.early, today)} to ${shortDate(meets.late, today)})`;
  return `Meets ${formatted(limit)} about ${shortDate(meets.likely, today)}${range}.`;
}

/** How far a round is. */
export const farWords = (done: number, of: number): string => `${done} of ${of}`;

/** What stands in the way of going on with a round, and what to do. */
export function roundIssueWords(issue: RoundIssue): string {
  switch (issue.code) {
    case "round-missing":
      return "This round is not in the book any more: it was taken out, or corrected elsewhere.";
    case "round-finished":
      return "This round is finished: what is in it is corrected, not written over.";
    case "no-such-check":
      return "The checklist has no such check any more: begin a new round by it.";
    case "reason-missing":
      return "Say why it was not looked at.";
    case "no-answer":
      return "These figures have no answer: look at them again.";
    case "still-open":
      return `Nothing is said yet of ${counted(issue.count, "check")}: say what was found, or leave them closed with a reason.`;
  }
}
