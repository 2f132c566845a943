import { aboveNone, anyFigure, noneOrMore, text, usually, within } from "../sums/field.js";
import { isAtLeast } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import { coldLimitOf, DEFAULT_COLD_MARGIN, isGrade } from "./grade.js";

/** Whether a grade serves the coldest start, °C, with a margin above the cold limit of its winter grade. */
export const COLD_GRADE = asked({
  name: "cold-grade",
  about: "Down to which temperature an oil serves, by its winter grade.",
  fields: {
    grade: text("a grade such as 5W-30, 10W, 30 or 80W-90", isGrade),
    coldest: anyFigure("°C, the coldest start"),
    margin: usually(noneOrMore("°C to spare"), DEFAULT_COLD_MARGIN),
  },
  reckon: ({ grade, coldest, margin }) => {
    const limit = coldLimitOf(grade);
    if (limit === null) return { servesTo: null, serves: null };
    return { servesTo: limit + margin, serves: isAtLeast(coldest, limit + margin) };
  },
});

/** Litres of oil in a fuel mix. */
export const FUEL_MIX = asked({
  name: "fuel-mix",
  about: "How much oil goes into fuel for a two-stroke engine.",
  fields: {
    fuel: aboveNone("litres of fuel"),
    ratio: within("parts of fuel to one of oil", 10, 200),
  },
  reckon: ({ fuel, ratio }) => ({ oil: fuel / ratio }),
});
