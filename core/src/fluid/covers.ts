import type { Fluid } from "../book/fluid.js";
import type { Product } from "../book/product.js";
import { coverage, type CodeAnswer } from "./claims.js";
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
  | { readonly code: "brake-type" }
  | { readonly code: "brake-type-not-known" }
  | { readonly code: "coolant-family" }
  | { readonly code: "coolant-family-not-known" };

/** Whether a product covers what a fluid system requires. */
export interface CoverAnswer {
  /** Each required code, and the claim that covers it. */
  readonly codes: readonly CodeAnswer[];
  readonly issues: readonly CoverIssue[];
}

/**
 * Whether a product covers what a machine requires of a fluid: its kind, every code, a grade the
 * handbook allows that serves the coldest start (°C, null where not recorded), the type of a brake
 * fluid, the family of a coolant. What the product does not say counts as not shown.
 */
export function productCovers(
  product: Product,
  fluid: Fluid,
  coldestStart: number | null,
): CoverAnswer {
  const codes = coverage(product.claims ?? [], fluid.codes ?? []);
  const issues: CoverIssue[] = [];
  if (product.kind !== fluid.kind) issues.push({ code: "wrong-kind" });
  for (const { required, by } of codes) {
    if (by === null) issues.push({ code: "code-not-shown", required });
  }
  issues.push(...gradeIssues(product, fluid, coldestStart));
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

function gradeIssues(product: Product, fluid: Fluid, coldest: number | null): CoverIssue[] {
  const allowed = (fluid.grades ?? []).map((one) => one.grade);
  if (allowed.length === 0 || !OILS.has(fluid.kind)) return [];
  const grade = product.grade ?? "";
  if (grade === "") return [{ code: "grade-not-known", allowed }];
  const entry = (fluid.grades ?? []).find((one) => isSameGrade(one.grade, grade));
  if (entry === undefined) return [{ code: "grade-not-allowed", grade, allowed }];
  if (coldest === null) return [];
  const isBelowRange = (entry.from ?? null) !== null && coldest < (entry.from ?? coldest);
  const isTooThick = fluid.kind === "engine oil" && servesCold(grade, coldest) === "too-thick";
  return isBelowRange || isTooThick ? [{ code: "too-thick", grade, coldest }] : [];
}

/** A grade the handbook allows, and whether it serves the coldest start. */
export interface GradeAnswer {
  readonly grade: string;
  readonly from: number | null;
  readonly to: number | null;
  readonly cold: ColdAnswer;
}

/** The grades the handbook allows against a coldest start in °C: by the handbook's own limit where it gives one, else by the winter grade. */
export function gradesInTheCold(fluid: Fluid, coldest: number | null): GradeAnswer[] {
  return (fluid.grades ?? []).map(({ grade, from, to }) => {
    const byRange = (from ?? null) === null || coldest === null ? null : coldest >= (from ?? 0);
    const byGrade: ColdAnswer =
      coldest === null || fluid.kind !== "engine oil" ? "not-known" : servesCold(grade, coldest);
    const cold =
      byRange === null ? byGrade : byRange && byGrade !== "too-thick" ? "serves" : "too-thick";
    return { grade, from: from ?? null, to: to ?? null, cold };
  });
}
