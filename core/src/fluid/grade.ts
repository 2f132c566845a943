/** Lowest starting temperature of each winter grade of engine oil, in °C: cold-cranking limits of SAE J300. */
const WINTER_LIMITS: ReadonlyMap<string, number> = new Map([
  ["0W", -35],
  ["5W", -30],
  ["10W", -25],
  ["15W", -20],
  ["20W", -15],
  ["25W", -10],
]);

/** Lowest temperature of each winter grade of gear oil, in °C: the limits of SAE J306. */
const GEAR_WINTER_LIMITS: ReadonlyMap<string, number> = new Map([
  ["70W", -55],
  ["75W", -40],
  ["80W", -26],
  ["85W", -12],
]);

/** A grade of an engine or a gear oil as it is strictly written; its winter grade is the first group. */
const STRICT_GRADE = /^(?:(\d{1,2}W)(?:-?\d{1,3})?|\d{1,3})$/i;

const winterLimit = (winter: string): number | null =>
  WINTER_LIMITS.get(winter) ?? GEAR_WINTER_LIMITS.get(winter) ?? null;

/** Whether a text is the grade of an engine or a gear oil: `5W-30`, `10W`, `30`, `80W-90`. */
export function isGrade(text: string): boolean {
  const match = STRICT_GRADE.exec(text);
  if (match === null) return false;
  return match[1] === undefined || winterLimit(match[1].toUpperCase()) !== null;
}

/** The cold limit in °C of the winter grade of an engine or a gear oil; null for one without a winter grade. */
export function coldLimitOf(grade: string): number | null {
  const winter = STRICT_GRADE.exec(grade)?.[1];
  return winter === undefined ? null : winterLimit(winter.toUpperCase());
}

/** What is kept above the cold-cranking limit by default, in °C. */
export const DEFAULT_COLD_MARGIN = 5;

/** An engine-oil grade taken apart: the winter grade and the hot grade, either of which may be missing. */
export interface OilGrade {
  readonly winter: string | null;
  readonly hot: number | null;
}

/** A grade as it is compared: capitals, without spaces, hyphens of any kind and the letters SAE. */
const plainGrade = (text: string): string =>
  text
    .toUpperCase()
    .replace(/[\s\-‐‑–—−]/g, "")
    .replace(/^SAE/, "");

/** Whether two grades are the same, however they are written: `5W-30`, `5w30` and `SAE 5W–30`. */
export function isSameGrade(one: string, other: string): boolean {
  return plainGrade(one) === plainGrade(other);
}

/** A grade such as `5W-30`, `10W40` or `SAE 30` taken apart; null where it is none. */
export function parseGrade(text: string): OilGrade | null {
  const match = /^(?:(\d{1,2}W))?(\d{1,2})?$/.exec(plainGrade(text));
  if (match === null || (match[1] === undefined && match[2] === undefined)) return null;
  const winter = match[1] ?? null;
  if (winter !== null && !WINTER_LIMITS.has(winter)) return null;
  return { winter, hot: match[2] === undefined ? null : Number(match[2]) };
}

/**
 * The coldest start a grade serves, in °C: its cold-cranking limit and the margin. Null for a grade
 * without a winter part, of which nothing is known.
 */
export function coldestStart(grade: OilGrade, margin: number = DEFAULT_COLD_MARGIN): number | null {
  const limit = grade.winter === null ? undefined : WINTER_LIMITS.get(grade.winter);
  return limit === undefined ? null : limit + margin;
}

/** Whether a grade serves a coldest start in °C: yes, no, or not known. */
export type ColdAnswer = "serves" | "too-thick" | "not-known";

/** Whether a grade serves a coldest start in °C, keeping a margin above its cold-cranking limit. */
export function servesCold(text: string, coldest: number, margin?: number): ColdAnswer {
  const grade = parseGrade(text);
  const serves = grade === null ? null : coldestStart(grade, margin);
  if (serves === null) return "not-known";
  return coldest >= serves ? "serves" : "too-thick";
}
