import {
  dimensionOf,
  formatNumber,
  formatQuantity,
  metricUnit,
  preferredUnit,
  shownIn,
  symbolOf,
  type Quantity,
  type QuantityIssue,
  type ReadQuantity,
  type TorqueDoubt,
  type Unit,
} from "@yonderfell/core";
import { NBSP } from "./format.js";
import { figureStyle, measuresShown, typedFigure } from "./writing.js";

/** A converted quantity is shown to so many significant digits; what was typed to all it has. */
const DIGITS = 4;

/** A quantity as it was typed. */
export function asTyped(quantity: Quantity): string {
  const { typed } = quantity;
  if (typed === null || typed === undefined) return formatQuantity(quantity, figureStyle());
  return /[a-z"'%]/i.test(typed.replace(/k\b/i, ""))
    ? typed
    : `${typed} ${symbolOf(quantity.unit)}`;
}

/** A quantity seen in another unit, rounded as one reads it. */
function inUnit(quantity: Quantity, unit: Unit): string {
  return unit === quantity.unit
    ? formatQuantity(quantity, figureStyle())
    : formatQuantity(shownIn(quantity, unit), figureStyle(), DIGITS);
}

/** Units that always stand beside N·m or litres: they are easily taken for another. */
function needsMetric({ unit }: Quantity): boolean {
  const dimension = dimensionOf(unit);
  return dimension === "volume" || dimension === "torque";
}

/** A quantity as this person likes it, with what was typed beside it where that differs; quarts and pounds never without litres and N·m. */
export function quantityWords(quantity: Quantity): string {
  const unit = preferredUnit(quantity, measuresShown());
  const metric = metricUnit(quantity);
  if (unit !== quantity.unit) {
    const third = needsMetric(quantity) && unit !== metric && quantity.unit !== metric;
    const beside = [asTyped(quantity), ...(third ? [inUnit(quantity, metric)] : [])];
    return `${inUnit(quantity, unit)} (${beside.join(", ")})`;
  }
  return needsMetric(quantity) && unit !== metric
    ? `${asTyped(quantity)} (${inUnit(quantity, metric)})`
    : asTyped(quantity);
}

/** What a field made of what was typed: the quantity, with what it is in the metric unit, and what could be meant instead. */
export function understoodWords(read: ReadQuantity): string {
  const { quantity, otherReading, isInches, isFluidOunces } = read;
  const metric = metricUnit(quantity);
  const shown = formatQuantity(quantity, figureStyle());
  const inMetric = metric === quantity.unit ? "" : ` = ${inUnit(quantity, metric)}`;
  const other =
    otherReading === null
      ? ""
      : `; if ${formatNumber(otherReading, figureStyle())} is meant, type ${typedFigure(otherReading)}`;
  const inches = isInches ? "; a fraction is taken as inches" : "";
  const ounces = isFluidOunces ? "; ounces here are fluid ounces" : "";
  return `${shown}${inMetric}${other}${inches}${ounces}`;
}

/** What kept a quantity from being understood, and what to type. */
export function quantityIssueWords(issue: QuantityIssue, unit: Unit): string {
  const symbol = symbolOf(unit);
  switch (issue.code) {
    case "empty":
      return "";
    case "not-a-figure":
      return `“${issue.text}” is not a figure; type one such as 4.5 ${symbol}`.replace(
        "4.5",
        formatNumber(4.5, figureStyle()),
      );
    case "unit-unknown":
      return `“${issue.unit}” is not a unit known here; ${symbol} is meant where none is typed`;
    case "wrong-unit":
      return `${symbolOf(issue.unit)} does not measure this; type it in ${symbol} or a unit like it`;
    case "which-gallon":
      return `US or imperial? They differ by ${issue.us === "us-floz" ? "a twenty-fifth" : "a fifth"}: type ${symbolOf(issue.us)} or ${symbolOf(issue.imperial)}`;
  }
}

/** What is odd about a torque, as a question. */
export function torqueDoubtWords({ code, usual, meant }: TorqueDoubt): string {
  const style = figureStyle();
  const range =
    usual.least === usual.most
      ? formatNumber(usual.most, style, 3)
      : `${formatNumber(usual.least, style)}–${formatNumber(usual.most, style)}`;
  const asked = code === "inch-pounds?" ? "Inch-pounds?" : "Foot-pounds?";
  const other =
    meant === null ? "" : ` ${formatQuantity(meant, style)} would be ${inUnit(meant, "Nm")}.`;
  return `${asked} Usual here is ${range}${NBSP}N·m.${other} Look again; the handbook wins.`;
}
