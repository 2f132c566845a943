import type { Fluid } from "../../book/records/fluid.js";
import type { Product } from "../../book/records/product.js";
import { gradesInTheCold, type Cold, type GradeAnswer } from "../../fluid/covers.js";
import { DEFAULT_COLD_MARGIN, isSameGrade, servesCold } from "../../fluid/grade.js";
import { OILS } from "../../fluid/kinds.js";

/** Whether the oil in a system serves the temperatures of a journey. */
type OilAnswer = "serves" | "too-thick" | "too-thin" | "not-known";

/** An oil system against the coldest start and the hottest day of a journey. */
export interface OilOnJourney {
  readonly fluid: Fluid;
  /** The product that is in it; null where none is recorded. */
  readonly product: Product | null;
  readonly answer: OilAnswer;
  /** The grades the handbook allows that serve both; empty where none does or none is recorded. */
  readonly serving: readonly string[];
}

function answerOf({ cold, to }: GradeAnswer, hottest: number | null): OilAnswer {
  if (cold === "too-thick") return "too-thick";
  if (to !== null && hottest !== null && hottest > to) return "too-thin";
  return cold;
}

/**
 * The oils of a machine whose plate allows grades by climate, against the coldest start and the hottest
 * day of a journey in °C, null where it does not say: by the handbook's own limits where it gives them,
 * else an engine oil by its winter grade (SAE J300 with a margin). A grade that the plate does not
 * allow is not known to serve, unless it is too thick by its winter grade.
 */
export function journeyOil(
  fluids: readonly Fluid[],
  products: readonly Product[],
  coldest: number | null,
  hottest: number | null,
  margin: number = DEFAULT_COLD_MARGIN,
): OilOnJourney[] {
  const inTheCold: Cold = { coldest, margin };
  if (coldest === null && hottest === null) return [];
  const oils = fluids.filter(({ kind, grades }) => OILS.has(kind) && (grades ?? []).length > 0);
  return oils.map((fluid) => {
    const allowed = gradesInTheCold(fluid, inTheCold);
    const judged = allowed.map((one) => ({ grade: one.grade, answer: answerOf(one, hottest) }));
    const product = products.find(({ id }) => id === fluid.product) ?? null;
    const grade = product?.grade ?? null;
    const own = judged.find((one) => grade !== null && isSameGrade(one.grade, grade));
    const isTooThick =
      fluid.kind === "engine oil" &&
      grade !== null &&
      coldest !== null &&
      servesCold(grade, coldest, margin) === "too-thick";
    const serves = ({ answer }: { readonly answer: OilAnswer }): boolean =>
      answer === "serves" || (answer === "not-known" && coldest === null);
    const answer = own === undefined ? (isTooThick ? "too-thick" : "not-known") : own.answer;
    const settled = own !== undefined && serves(own) ? "serves" : answer;
    const serving = judged.filter(serves).map((one) => one.grade);
    return { fluid, product, answer: settled, serving };
  });
}
