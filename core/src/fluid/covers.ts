import type { Fluid } from "../book/records/fluid.js";
import type { Product } from "../book/records/product.js";
import { coverage, slipsWetClutch, type CodeAnswer } from "./claims.js";
import { isSameGrade, servesCold, type ColdAnswer } from "./grade.js";
import { brakeTypeServes } from "./mixing.js";
import { OILS } from "./kinds.js";

/** What stands against a product in a fluid system. */
export type CoverIssue =
  | { readonly code: "wrong-kind" }
  /** A required code that no claim of the product covers: not shown to meet. */
  | { readonly code: "code-not-shown"; readonly required: string }
  | {
      readonly code: "grade-not-allowed";
      readonly grade: string;
      readonly allowed: readonly string[];
    }
  | { readonly code: "grade-not-known"; readonly allowed: readonly string[] }
  /** Allowed, but too thick for the coldest start of this machine (°C). */
  | { readonly code: "too-thick"; readonly grade: string; readonly coldest: number }
  /** Made for dry clutches, where a class for wet ones is required. */
  | { readonly code: "slips-wet-clutch"; readonly required: string }
  | { readonly code: "brake-type" }
  | { readonly code: "brake-type-not-known" }
  | { readonly code: "coolant-family" }
  | { readonly code: "coolant-family-not-known" };

/** Whether what stands against a product is that it is the wrong one, not only that something of it is not shown or allowed. */
export function isWrongProduct({ code }: CoverIssue): boolean {
  switch (code) {
    case "wrong-kind":
    case "slips-wet-clutch":
    case "brake-type":
    case "coolant-family":
      return true;
    case "code-not-shown":
    case "grade-not-allowed":
    case "grade-not-known":
    case "too-thick":
    case "brake-type-not-known":
    case "coolant-family-not-known":
      return false;
  }
}

/** Whether a product covers what a fluid system requires. */
export interface CoverAnswer {
  /** Each required code, and the claim that covers it. */
  readonly codes: readonly CodeAnswer[];
  readonly issues: readonly CoverIssue[];
}

/** The cold that an oil must serve. */
export interface Cold {
  /** The coldest start in °C; null where it is not recorded. */
  readonly coldest: number | null;
  /** What is kept above the limit of a winter grade, in °C. */
  readonly margin: number;
}

/**
 * Whether a product covers what a machine requires of a fluid: its kind, every code, a grade the
 * handbook allows that serves the coldest start, the type of a brake fluid, the family of a coolant. What the
 * product does not say counts as not shown. Where the handbook allows a grade from a temperature, that decides
 * and not the winter grade.
 */
export function productCovers(product: Product, fluid: Fluid, cold: Cold): CoverAnswer {
  const codes = coverage(product.claims ?? [], fluid.codes ?? []);
  const issues: CoverIssue[] = [];
  if (product.kind !== fluid.kind) issues.push({ code: "wrong-kind" });
  for (const { required, by } of codes) {
    if (by !== null) continue;
    const isRefused = slipsWetClutch(product.claims ?? [], required);
    issues.push({ code: isRefused ? "slips-wet-clutch" : "code-not-shown", required });
  }
  issues.push(...gradeIssues(product, fluid, cold));
  if (fluid.kind === "brake fluid" && fluid.brakeType) {
    if (!product.brakeType) issues.push({ code: "brake-type-not-known" });
    else if (!brakeTypeServes(product.brakeType, fluid.brakeType)) {
      issues.push({ code: "brake-type" });
    }
  }
  if (fluid.kind === "coolant" && fluid.coolantFamily) {
    if (!product.coolantFamily) issues.push({ code: "coolant-family-not-known" });
    else if (product.coolantFamily !== fluid.coolantFamily) issues.push({ code: "coolant-family" });
  }
  return { codes, issues };
}

function gradeIssues(product: Product, fluid: Fluid, cold: Cold): CoverIssue[] {
  const allowed = (fluid.grades ?? []).map((one) => one.grade);
  if (allowed.length === 0 || !OILS.has(fluid.kind)) return [];
  const grade = product.grade ?? "";
  if (grade === "") return [{ code: "grade-not-known", allowed }];
  const entry = (fluid.grades ?? []).find((one) => isSameGrade(one.grade, grade));
  if (entry === undefined) return [{ code: "grade-not-allowed", grade, allowed }];
  const { coldest } = cold;
  const isTooThick = coldest !== null && coldAnswer(fluid, entry, cold) === "too-thick";
  return isTooThick ? [{ code: "too-thick", grade, coldest }] : [];
}

/** Whether a grade on a plate serves the cold: by the handbook's own limit where it gives one, else an engine oil by its winter grade. */
function coldAnswer(
  { kind }: Pick<Fluid, "kind">,
  { grade, from }: NonNullable<Fluid["grades"]>[number],
  { coldest, margin }: Cold,
): ColdAnswer {
  if (coldest === null) return "not-known";
  const least = from ?? null;
  if (least !== null) return coldest >= least ? "serves" : "too-thick";
  return kind === "engine oil" ? servesCold(grade, coldest, margin) : "not-known";
}

/** A grade the handbook allows, and whether it serves the coldest start. */
export interface GradeAnswer {
  readonly grade: string;
  readonly from: number | null;
  readonly to: number | null;
  readonly cold: ColdAnswer;
}

/** The grades the handbook allows against the cold: by the handbook's own limit where it gives one, else by the winter grade. */
export function gradesInTheCold(fluid: Fluid, cold: Cold): GradeAnswer[] {
  return (fluid.grades ?? []).map((one) => {
    const { grade, from, to } = one;
    return { grade, from: from ?? null, to: to ?? null, cold: coldAnswer(fluid, one, cold) };
  });
}
