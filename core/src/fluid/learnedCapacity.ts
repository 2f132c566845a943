import { aboveNone, fieldsOf, listOf, text, yesOrNo } from "../sums/field.js";
import { median } from "../sums/middle.js";
import { isAbove } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import { DISAGREEMENT_SHARE } from "./capacity.js";

/** What fills that ended on the mark tell of a capacity in litres, beside what is printed. */
export const LEARNED_CAPACITY = asked({
  name: "learned-capacity",
  about: "What the fills of a system tell of its capacity, beside what is printed.",
  fields: {
    fills: listOf(fieldsOf({ amount: aboveNone("litres"), onMark: yesOrNo() })),
    printed: listOf(fieldsOf({ source: text("where it is printed"), amount: aboveNone("litres") })),
  },
  reckon: ({ fills, printed }) => {
    const amounts = fills.filter(({ onMark }) => onMark).map(({ amount }) => amount);
    const isNone = amounts.length === 0;
    const middle = isNone ? null : median(amounts);
    const said = printed.map(({ amount }) => amount);
    const [least, most] = [Math.min(...said), Math.max(...said)];
    return {
      fills: amounts.length,
      median: middle,
      low: isNone ? null : Math.min(...amounts),
      high: isNone ? null : Math.max(...amounts),
      printed: printed.map(({ source, amount }) => ({
        source,
        off: middle === null ? null : amount / middle - 1,
      })),
      disagree: said.length > 1 && isAbove(most, least * (1 + DISAGREEMENT_SHARE)),
    };
  },
});
