import {
  aboveNone,
  anyFigure,
  fieldsOf,
  listOf,
  noneOrMore,
  oneOf,
  orUnknown,
  partShare,
  share,
  someShare,
  usually,
  within,
} from "../sums/field.js";
import { isAbove, isAtMost, isBelow, orNone } from "../sums/nearly.js";
import { asked, type Mismatch } from "../sums/sum.js";
import { boilingPoint, freezePoint, glycolShare, type FreezePoint } from "./glycol.js";

const glycol = oneOf(["ethylene", "propylene"]);
/** A label's own table: shares that rise, each freezing colder than the one before. */
const table = orUnknown(
  listOf(fieldsOf({ share: share(), freezesAt: anyFigure("°C at which it freezes") }), 2),
);

/** What is wrong with a label's table as a whole. */
function tableMismatch({
  table: points,
}: {
  readonly table: readonly FreezePoint[] | null;
}): Mismatch | null {
  for (const [index, { share: own, freezesAt }] of (points ?? []).entries()) {
    const before = points?.[index - 1];
    if (before !== undefined && own <= before.share) {
      return { path: ["table", index, "share"], expected: "a share above the one before" };
    }
    if (before !== undefined && freezesAt >= before.freezesAt) {
      return { path: ["table", index, "freezesAt"], expected: "colder than the one before" };
    }
    if (own === 0 ? freezesAt !== 0 : freezesAt >= 0) {
      const expected = own === 0 ? "0 at a share of 0" : "below 0 at a share above 0";
      return { path: ["table", index, "freezesAt"], expected };
    }
  }
  return null;
}

/** At which °C a coolant freezes. */
export const FREEZE_POINT = asked({
  name: "freeze-point",
  about: "At which temperature a coolant freezes, by its share of glycol.",
  fields: { glycol, share: share(), table },
  mismatch: tableMismatch,
  reckon: (given) => freezePoint(given.glycol, given.share, given.table),
});

/** Which share of glycol freezes at some °C; refused where no mix is as cold. */
export const GLYCOL_SHARE = asked({
  name: "glycol-share",
  about: "Which share of glycol a coolant has that freezes at a temperature.",
  fields: { glycol, freezesAt: anyFigure("°C at which it freezes"), table },
  mismatch: tableMismatch,
  reckon: (given) => {
    const found = glycolShare(given.glycol, given.freezesAt, given.table);
    return found === null ? { refused: "no-mix-reaches" } : { share: found };
  },
});

/** Litres of product and water for a mix; refused where what is bought is weaker than what is wanted. */
export const COOLANT_MIX = asked({
  name: "coolant-mix",
  about: "How much product and water make a volume of coolant.",
  fields: {
    volume: aboveNone("litres"),
    share: someShare(),
    product: usually(someShare(), 1),
  },
  reckon: (given) => {
    if (isBelow(given.product, given.share)) return { refused: "product-too-weak" };
    const product = (given.volume * given.share) / given.product;
    return { product, water: orNone(given.volume - product) };
  },
});

/** Litres to drain and to fill so that a system holds the share wanted. Least is drained that does. */
export const COOLANT_CORRECT = asked({
  name: "coolant-correct",
  about: "What to drain and what to fill so that a system holds the share of glycol wanted.",
  fields: {
    volume: aboveNone("litres of the full system"),
    low: usually(noneOrMore("litres missing now"), 0),
    shareNow: share(),
    shareWanted: partShare(),
    product: usually(someShare(), 1),
  },
  mismatch: ({ low, volume }) =>
    low < volume ? null : { path: ["low"], expected: "less than the volume" },
  reckon: ({ volume, low, shareNow, shareWanted, product: strength }) => {
    const wanted = shareWanted * volume;
    const there = shareNow * (volume - low);
    const ended = (drain: number, product: number, water: number) => ({
      ...{ drain: orNone(drain), product: orNone(product), water: orNone(water) },
      reaches: (there - drain * shareNow + product * strength) / volume,
    });
    if (isAbove(wanted, there + low * strength)) {
      if (isBelow(strength, shareWanted)) return { refused: "product-too-weak" };
      const drain = (wanted - there - low * strength) / (strength - shareNow);
      return ended(drain, low + drain, 0);
    }
    if (isBelow(wanted, there)) {
      const drain = (there - wanted) / shareNow;
      return ended(drain, 0, low + drain);
    }
    const product = Math.min(low, Math.max(0, (wanted - there) / strength));
    return ended(0, product, low - product);
  },
});

const WEAK = 0.33;
const STRONG = 0.6;

function adviceFor(found: number | null): "weak" | "strong" | "fine" {
  if (found === null || isAbove(found, STRONG)) return "strong";
  return isBelow(found, WEAK) ? "weak" : "fine";
}

/** What a measured freezing point means against the coldest expected, °C. A reading cannot tell a weak mix from one of over 78 %. */
export const COOLANT_JUDGE = asked({
  name: "coolant-judge",
  about: "What a measured freezing point means for the cold that is expected.",
  fields: {
    glycol,
    freezesAt: anyFigure("°C at which it was found to freeze"),
    coldest: anyFigure("°C, the coldest expected"),
    margin: usually(noneOrMore("°C to spare"), 5),
    table,
  },
  mismatch: tableMismatch,
  reckon: ({ freezesAt, coldest, margin, ...given }) => {
    const found = glycolShare(given.glycol, freezesAt, given.table);
    const verdict = isAtMost(freezesAt, coldest - margin)
      ? "sound"
      : isAtMost(freezesAt, coldest)
        ? "watch"
        : "attend";
    return { share: found, verdict, advice: adviceFor(found) };
  },
});

/** At which °C a coolant boils under its cap. */
export const BOILING_POINT = asked({
  name: "boiling-point",
  about: "At which temperature a coolant boils, under its cap and at an altitude.",
  fields: {
    glycol,
    share: within("a share", 0, 0.6),
    cap: usually(within("kilopascal of the cap", 0, 300), 0),
    altitude: usually(within("metres of altitude", -500, 9000), 0),
  },
  reckon: (given) => ({
    boilsAt: boilingPoint(given.glycol, given.share, given.cap, given.altitude),
  }),
});
