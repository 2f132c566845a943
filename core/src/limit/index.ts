export { type Limit, type MeasuredLimit, limitOf, limitsOfKind, limitsOnMeter } from "./limit.js";
