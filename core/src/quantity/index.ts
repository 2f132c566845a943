export { formatNumber, formatQuantity } from "./formatQuantity.js";
export type { DecimalSign } from "./numeral.js";
export { parseFigure } from "./parseFigure.js";
export { parseQuantity, type QuantityIssue, type ReadQuantity } from "./parseQuantity.js";
export { type MeasureSystem, metricUnit, preferredUnit } from "./preferredUnit.js";
export { type Quantity, shownIn, valueIn } from "./quantity.js";
export { type TorqueDoubt, torqueDoubt, type TorqueUse } from "./torqueDoubt.js";
export {
  type Dimension,
  dimensionOf,
  type Gallons,
  symbolOf,
  type Unit,
  UNIT_NAMES,
} from "./unit.js";
