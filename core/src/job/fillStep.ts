import { aboveNone, listOf, noneOrMore, oneOf, orUnknown } from "../sums/field.js";
import { isAbove, isAtLeast, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";

/** So much of what is expected is poured before the level is read. */
const FIRST = 0.85;
/** So much more each time the level is still below the mark. */
const MORE = 0.05;
/** More than this over what is expected is worth a word. */
const TOO_MUCH = 1.05;

type Level = "unread" | "below" | "mark" | "above";

/** How far a filling is, in litres. */
interface Filling {
  readonly expected: number;
  readonly drained: number | null;
  readonly poured: readonly number[];
  readonly level: Level;
}

const smaller = (one: number, other: number | null): number =>
  other === null ? one : Math.min(one, other);

/** How much to pour next, and whether the level is to be read first. */
function nextOf({ expected, drained, poured, level }: Filling, filled: number): [number, boolean] {
  if (level === "mark" || level === "above") return [0, false];
  const out = drained !== null && isAbove(drained, 0) ? drained : null;
  const first = FIRST * expected;
  if (poured.length === 0) return [smaller(first, out), false];
  if (level === "unread") {
    const isEnough = isAtLeast(filled, first) || (out !== null && isAtLeast(filled, out));
    return isEnough
      ? [0, true]
      : [smaller(first - filled, out === null ? null : out - filled), false];
  }
  const missing = expected - filled;
  return [isAbove(missing, 0) ? Math.min(MORE * expected, missing) : MORE * expected, false];
}

function warnOf({ expected, level }: Filling, filled: number, next: number): string | null {
  if (level === "above") return "too-full";
  if (level === "mark" && isBelow(filled, FIRST * expected)) return "less-than-expected";
  return isAbove(filled + next, TOO_MUCH * expected) ? "more-than-expected" : null;
}

/** What a filling comes to, and what to do next. */
interface FillStep {
  readonly in: number;
  readonly balance: number | null;
  readonly toExpected: number;
  readonly next: number;
  readonly warn: string | null;
}

/** How far a filling is and how much to pour next; litres. */
export function fillStepOf(given: Filling): FillStep {
  const filled = given.poured.reduce((sum, litres) => sum + litres, 0);
  const [next, readsFirst] = nextOf(given, filled);
  return {
    in: filled,
    balance: given.drained === null ? null : filled - given.drained,
    toExpected: given.expected - filled,
    next,
    warn: readsFirst ? "read-the-level" : warnOf(given, filled, next),
  };
}

/** What has gone in so far and how much to pour next, by what came out, what is expected and the level; litres. */
export const FILL_STEP = asked({
  name: "fill-step",
  about: "How much to pour next while a system is filled.",
  fields: {
    expected: aboveNone("litres"),
    drained: orUnknown(noneOrMore("litres that came out")),
    poured: listOf(aboveNone("litres")),
    level: oneOf(["unread", "below", "mark", "above"]),
  },
  reckon: fillStepOf,
});
