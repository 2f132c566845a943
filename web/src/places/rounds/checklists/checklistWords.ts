import type { CheckModel, ChecklistModel, ChecklistProblem, PickModel } from "./checklistModel.js";

/** What is said of a checklist. */
export const CHECKLIST_LABELS: Readonly<Record<keyof ChecklistModel, string>> = {
  name: "Name",
  when: "When it is walked",
  kinds: "For kinds of machine, apart by commas; any where empty",
  note: "Note",
  checks: "Checks, in the order of the walk",
};

/** What is said of a check. */
export const CHECK_LABELS: Readonly<Record<keyof CheckModel, string>> = {
  id: "Id",
  name: "What is checked",
  how: "How",
  where: "Where, as its station is called",
  side: "Which side",
  good: "What good looks like",
  points: "Points, one by one, apart by commas",
  sum: "Its figures are judged by",
  unit: "Unit",
  least: "At least",
  watchLeast: "To be watched below",
  watchMost: "To be watched above",
  most: "At most",
  uncertainty: "The tool may be off by",
  resolution: "Its smallest step",
  uneven: "Left and right are unlike from",
  severity: "Past its limit it is",
  wears: "As it wears it goes",
  source: "Who says so",
  specification: "The plate’s figure that goes before, by its name",
  tool: "Tool",
  fluid: "Kind of fluid",
  caution: "Caution",
  picks: "Words to pick",
  ask: "The question that tells two causes apart",
  yes: "If yes, it is",
  no: "If no, it is",
};

/** What is said of a word to pick. */
export const PICK_LABELS: Readonly<Record<keyof PickModel, string>> = {
  word: "What is seen",
  verdict: "It is",
  means: "What it usually means",
  todo: "What to do",
};

/** What a sum judges, in words. */
export const SUM_WORDS: Readonly<Record<string, string>> = {
  battery: "charge of a battery by its volts",
  tread: "tread across a tyre",
  "tyre-age": "age of a tyre by its code",
  "coolant-judge": "coolant against the coldest day",
  "brake-fluid": "brake fluid by type and water",
};

/** What stands in the way of saving a checklist, and what to do. */
export function checklistProblemWords({ field, code }: ChecklistProblem): string {
  switch (code) {
    case "missing":
      return field.endsWith("ask")
        ? "Write the question, or leave both answers out."
        : "Say what it is called.";
    case "no-checks":
      return "Put at least one check in.";
    case "not-a-figure":
      return "A figure is expected here.";
    case "negative":
      return "This cannot be below 0.";
    case "below-least":
      return "At most is below at least: one of them is wrong.";
    case "no-source":
      return "Say whose limit it is: handbook, law, label, rule of thumb.";
  }
}
