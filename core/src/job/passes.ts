import { aboveNone, noneOrMore, orUnknown, partShare, usually } from "../sums/field.js";
import { isAtLeast } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";

const MOST = 200;

/** How often a part of the fluid is taken out and filled in again until enough of it is fresh; litres. */
export const PASSES = asked({
  name: "passes",
  about: "How many part changes make a fluid fresh enough, and how much they take.",
  fields: {
    vessel: aboveNone("litres of the whole system"),
    drop: orUnknown(noneOrMore("litres of a first pan drop")),
    pass: aboveNone("litres out and in each time"),
    wanted: partShare("a share of fresh fluid"),
    reserve: usually(noneOrMore("litres held back for the level"), 0),
  },
  mismatch: ({ vessel, drop, pass }) => {
    if (drop !== null && drop >= vessel)
      return { path: ["drop"], expected: "less than the vessel" };
    return pass > vessel ? { path: ["pass"], expected: "at most the vessel" } : null;
  },
  reckon: ({ vessel, drop, pass, wanted, reserve }) => {
    const after = 1 - (drop ?? 0) / vessel;
    const stays = 1 - pass / vessel;
    const old = [after];
    while (!isAtLeast(1 - (old.at(-1) ?? 1), wanted)) {
      if (old.length > MOST) return { refused: "too-many" };
      old.push(after * stays ** old.length);
    }
    const passes = old.length - 1;
    return { passes, old, buy: (drop ?? 0) + passes * pass + reserve };
  },
});
