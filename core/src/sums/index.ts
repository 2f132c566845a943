export type { SumField, SumFields } from "./field.js";
export { SUMS } from "./registry.js";
export type { AnySum, Mismatch } from "./sum.js";
