import { currentRecords } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { CapacityCondition, Fluid } from "../book/records/fluid.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { aboveNone, fieldsOf, listOf, text, yesOrNo } from "../sums/field.js";
import { median } from "../sums/middle.js";
import { isAbove } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import { DISAGREEMENT_SHARE } from "./capacity.js";

/** What fills that ended on the mark tell of a capacity, litres, beside what is printed. */
export interface LearnedCapacity {
  /** How many there were. */
  readonly fills: number;
  readonly median: number | null;
  readonly low: number | null;
  readonly high: number | null;
  /** How far each source is above the median, as a share of it; null without one. */
  readonly printed: readonly { readonly source: string; readonly off: number | null }[];
  readonly disagree: boolean;
}

interface Told {
  readonly fills: readonly { readonly amount: number; readonly onMark: boolean }[];
  readonly printed: readonly { readonly source: string; readonly amount: number }[];
}

/** What fills tell of a capacity (sum *learned-capacity*); amounts in litres, above 0. */
function learnedFrom({ fills, printed }: Told): LearnedCapacity {
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
}

const litresOf = (quantity: Quantity | null | undefined): number[] =>
  quantity && dimensionOf(quantity.unit) === "volume" && quantity.value > 0
    ? [valueIn(quantity, "L")]
    : [];

/** What an entry filled of a system under a condition until it stood on the mark, in litres: a figure a line. */
export function litresToTheMark(
  { fluids }: Entry,
  fluid: Fluid,
  condition: CapacityCondition,
): number[] {
  return (fluids ?? [])
    .filter((used) => used.fluid === fluid.id && used.condition === condition)
    .flatMap((used) => (used.onMark === true ? litresOf(used.in) : []));
}

/** What the log tells of how much a fluid system takes under a condition (records §4): current entries whose fill ended on the mark, beside each printed source. */
export function learnedCapacityOf(
  fluid: Fluid,
  condition: CapacityCondition,
  entries: readonly Entry[],
): LearnedCapacity {
  const fills = currentRecords(entries).flatMap(({ record }) =>
    litresToTheMark(record, fluid, condition).map((amount) => ({ amount, onMark: true })),
  );
  const printed = (fluid.capacities ?? [])
    .filter((one) => one.condition === condition)
    .flatMap(({ source, quantity }) => litresOf(quantity).map((amount) => ({ source, amount })));
  return learnedFrom({ fills, printed });
}

/** What fills that ended on the mark tell of a capacity in litres, beside what is printed. */
export const LEARNED_CAPACITY = asked({
  name: "learned-capacity",
  about: "What the fills of a system tell of its capacity, beside what is printed.",
  fields: {
    fills: listOf(fieldsOf({ amount: aboveNone("litres"), onMark: yesOrNo() })),
    printed: listOf(fieldsOf({ source: text("where it is printed"), amount: aboveNone("litres") })),
  },
  reckon: learnedFrom,
});
