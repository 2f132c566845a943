import type {
  Capacity,
  CapacityAnswer,
  CoverIssue,
  FittedAnswer,
  Fluid,
  GradeAnswer,
  MixingAnswer,
  PlateFinding,
  Product,
  Quantity,
  Specification,
} from "@yonderfell/core";
import { DISAGREEMENT_SHARE, governing, plainCapacity } from "@yonderfell/core";
import { figure, NBSP } from "./format.js";
import { quantityWords } from "./quantityWords.js";

/** A temperature in °C. */
export function degrees(celsius: number): string {
  return `${figure(celsius)}${NBSP}°C`;
}

/** How much a capacity is, as this person likes it. */
export function capacityWords({ quantity }: Capacity): string {
  return quantityWords(quantity);
}

/** Why a capacity is the one to work by. */
export function workingWords({ why, working, capacities }: CapacityAnswer): string {
  switch (why.code) {
    case "chosen":
      return `chosen: ${why.reason === "" ? working.source : `${working.source}; ${why.reason}`}`;
    case "modified":
      return `set by ${working.source}, which overrides the handbook${why.note === "" ? "" : `: ${why.note}`}`;
    case "only-one":
      return working.source;
    case "all-agree":
      return `${working.source}; ${capacities.length === 2 ? "both sources" : `${capacities.length} sources`} agree`;
    case "not-comparable":
      return `${working.source}; some sources give a weight and some a volume, which cannot be compared: choose one`;
    case "least":
      return `${working.source}; the least, as the sources disagree: fill, run, and bring it up to the mark`;
  }
}

/** How far a source stands from the figure worked by: `7 % above`. */
export function apartWords(capacity: Capacity, working: Capacity): string {
  const share = plainCapacity(capacity) / plainCapacity(working) - 1;
  const percent = Math.round(Math.abs(share) * 100);
  if (!Number.isFinite(share) || percent === 0) return "the same";
  return `${percent}${NBSP}% ${share > 0 ? "above" : "below"}`;
}

/** Whether a source stands further from the figure worked by than sources may. */
export function isFarApart(capacity: Capacity, working: Capacity): boolean {
  const share = plainCapacity(capacity) / plainCapacity(working) - 1;
  return Math.abs(share) > DISAGREEMENT_SHARE;
}

/** What a disagreement looks like. */
export function looksLikeWords(answer: CapacityAnswer): string {
  switch (answer.looksLike) {
    case "us-or-imperial":
      return "They differ as US and imperial measure do: one of them may have been taken for the other.";
    case "quarts-or-litres":
      return "They differ as quarts and litres do: one of them may have been taken for the other.";
    case null:
      return "";
  }
}

/** What stands against a product in a fluid system, and which claim is missing. */
export function coverIssueWords(issue: CoverIssue, fluid: Fluid): string {
  switch (issue.code) {
    case "wrong-kind":
      return `it is not ${fluid.kind}`;
    case "code-not-shown":
      return `not shown to meet ${issue.required}`;
    case "slips-wet-clutch":
      return `refused for a wet clutch: it claims MB, for dry ones, where ${issue.required} is required`;
    case "grade-not-allowed":
      return `${issue.grade} is not allowed here (${issue.allowed.join(", ")})`;
    case "grade-not-known":
      return `its grade is not recorded (allowed: ${issue.allowed.join(", ")})`;
    case "too-thick":
      return `${issue.grade} is too thick for starts at ${degrees(issue.coldest)}`;
    case "brake-type":
      return `it does not serve where type ${fluid.brakeType ?? ""} is required`;
    case "brake-type-not-known":
      return "its type is not recorded";
    case "coolant-family":
      return `its family is not ${fluid.coolantFamily ?? ""}; do not mix, flush`;
    case "coolant-family-not-known":
      return "its family is not recorded; colour proves nothing";
  }
}

/** What comes of putting one product to another. */
export function mixingWords(answer: MixingAnswer): string {
  switch (answer.code) {
    case "mixes":
      return "mixes with what is in";
    case "not-shown":
      return "not shown to mix with what is in: ask the makers, or drain it first";
    case "counts-as":
      return `mixes; the mixture counts as type ${answer.brakeType}`;
    case "unlike-kinds":
      return `Refused: ${answer.other} does not go to ${answer.one}.`;
    case "unlike-coolants":
      return `Refused: ${answer.other} and ${answer.one} coolants must not mix; flush first.`;
    case "ruins-seals":
      return `Refused: types ${answer.other} and ${answer.one} mix with nothing else, and a wrong fluid ruins the seals.`;
    case "not-known":
      return `its ${answer.of} is not recorded, so nothing can be said`;
  }
}

/** A grade with the temperatures it is allowed for, and whether it serves the cold here. */
export function gradeWords({ grade, from, to, cold }: GradeAnswer): string {
  const range =
    from !== null && to !== null
      ? ` from ${degrees(from)} to ${degrees(to)}`
      : from !== null
        ? ` from ${degrees(from)}`
        : to !== null
          ? ` to ${degrees(to)}`
          : "";
  const here = cold === "too-thick" ? ", too thick for the coldest start here" : "";
  return `${grade}${range}${here}`;
}

/** What is specified: words, a quantity, or a range. */
export function valueWords(
  text: string | null | undefined,
  least: Quantity | null | undefined,
  most: Quantity | null | undefined,
): string {
  const parts: string[] = text === null || text === undefined || text === "" ? [] : [text];
  if (least && most) {
    const isOne = least.value === most.value && least.unit === most.unit;
    parts.push(isOne ? quantityWords(least) : `${quantityWords(least)} to ${quantityWords(most)}`);
  } else if (least) parts.push(`at least ${quantityWords(least)}`);
  else if (most) parts.push(`at most ${quantityWords(most)}`);
  return parts.join(", ");
}

/** What a specification asks for, by what governs it. */
export function specifiedWords(specification: Specification): string {
  const { text, least, most } = governing(specification);
  return valueWords(text, least, most);
}

/** What is fitted. */
export function fittedWords({ fitted }: Specification): string {
  const text = fitted?.text ?? "";
  const quantity = fitted?.quantity ?? null;
  return [text, quantity === null ? "" : quantityWords(quantity)].filter(Boolean).join(", ");
}

/** What is fitted against what is specified, in a word or two. */
export function fittedAnswerWords(answer: FittedAnswer): string {
  switch (answer.code) {
    case "as-specified":
      return "as specified";
    case "equivalent":
      return `stands for ${answer.number}`;
    case "below":
      return "too little";
    case "above":
      return "too much";
    case "other":
      return "not what is specified";
    case "cannot-compare":
      return "cannot be compared";
    case "not-recorded":
      return "not recorded";
  }
}

/** A finding of the plate: what it is about, and what is wrong. */
export function findingWords(finding: PlateFinding): {
  readonly what: string;
  readonly why: string;
} {
  switch (finding.code) {
    case "mismatch": {
      const { specification } = finding;
      return {
        what: specification.name,
        why: `${fittedWords(specification)} fitted; ${specifiedWords(specification)} specified`,
      };
    }
    case "product-does-not-cover": {
      const { fluid, product, issues } = finding;
      const reasons = issues.map((issue) => coverIssueWords(issue, fluid)).join("; ");
      return { what: `${fluid.system}, ${product.name}`, why: reasons };
    }
    case "capacities-disagree": {
      const { fluid, answer } = finding;
      const sources = answer.capacities
        .map((one) => `${one.source} ${capacityWords(one)}`)
        .join(", ");
      return {
        what: `${fluid.system}, capacity ${answer.condition}`,
        why: `sources disagree: ${sources}`,
      };
    }
  }
}

/** A product in a line: name, grade or family. */
export function productWords({ name, grade, coolantFamily, brakeType }: Product): string {
  const has = (words: string | null | undefined): string =>
    words === null || words === undefined || words === "" || name.includes(words) ? "" : words;
  return [name, has(grade), has(coolantFamily), brakeType ? has(`type ${brakeType}`) : ""]
    .filter((part) => part !== "")
    .join(", ");
}
