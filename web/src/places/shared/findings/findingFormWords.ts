import type { FindingModel, FindingProblem } from "./findingModel.js";

/** What is written down of something found. */
export const FINDING_LABELS: Readonly<Record<keyof FindingModel, string>> = {
  machine: "Machine",
  what: "What was found",
  where: "Where",
  side: "Side",
  kind: "Of what sort, so that two of one sort are seen",
  verdict: "How bad it is",
  found: "Found on",
  by: "By whom",
  evidence: "What shows it: a figure, a look, a sound",
  consequence: "What comes of it if it is left",
  todo: "What puts it right",
  decision: "What is decided",
  decidedBy: "Who decides",
  dueOn: "By this day",
  dueMeter: "Or by a meter",
  dueDial: "When the dial shows",
  lookOn: "Look again on",
  reason: "Why",
  minutes: "Minutes it takes",
  parts: "Parts it takes",
  cost: "What it costs",
  pictures: "Pictures",
  note: "Note",
};

/** How bad something is, and what follows from it. */
export const VERDICT_CHOICES = [
  ["", "not judged"],
  ["watch", "watch: good for now"],
  ["attend", "attend: to be put right"],
  ["stop", "stop: not to be used, takes it out of service"],
  ["sound", "sound: only to be known"],
] as const;

/** What may be decided, and what follows from it. */
export const DECISION_CHOICES = [
  ["now", "put right now"],
  ["next visit", "at the next visit, or by a day"],
  ["watch", "watch it"],
  ["declined", "declined"],
] as const;

/** Words that sorts of findings are given by. */
export const KINDS_OFFERED = [
  ...(["weep", "leak", "play", "wear", "crack", "rust", "noise", "loose", "missing"] as const),
  ...(["lamp", "battery", "oil use", "coolant loss", "warning lamp"] as const),
];

/** What is wrong with a finding, and what to do. */
export function findingProblemWords({ code }: FindingProblem): string {
  switch (code) {
    case "machine-missing":
      return "Choose the machine it was found on.";
    case "what-missing":
      return "Say what was found.";
    case "day-missing":
      return "Choose the day it was found.";
    case "day-in-future":
      return "This day is still to come.";
    case "reason-missing":
      return "Say why it was declined: it stands in every report until it is closed.";
    case "dial-wrong":
      return "Type what the dial will show, a figure of 0 or more.";
    case "part-missing":
      return "Choose the part, or leave the line out.";
    case "amount-wrong":
      return "Type a figure of 0 or more, or leave it empty.";
  }
}
