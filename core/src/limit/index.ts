export { type Limit, limitOf, limitsOfKind, limitsOnMeter } from "./limit.js";
