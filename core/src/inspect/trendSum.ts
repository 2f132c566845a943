import { anyFigure, fieldsOf, listOf, noneOrMore, oneOf, orUnknown } from "../sums/field.js";
import { asked } from "../sums/sum.js";
import { trendOf } from "./trend.js";

/** What was measured at which life, as a field. */
export const measuredAt = fieldsOf({
  life: noneOrMore("life in the meter's unit"),
  value: anyFigure("what was measured"),
});

/** When something that wears meets its limit. */
export const TREND = asked({
  name: "trend",
  about: "When something that wears meets its limit, by what was measured of it.",
  fields: {
    points: listOf(measuredAt),
    limit: anyFigure("the limit"),
    wears: oneOf(["down", "up"]),
    fitted: orUnknown(measuredAt),
    lifeNow: noneOrMore("life now, in the meter's unit"),
    perDay: orUnknown(noneOrMore("life a day")),
  },
  reckon: trendOf,
});
