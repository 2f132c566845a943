export { bookJsonSchema } from "./bookJsonSchema.js";
export {
  choicesOf,
  type Conflict,
  type DifferingField,
  isEmptyPlan,
  keyOfField,
  type MergePlan,
  type Side,
} from "./mergePlan.js";
export { differingFields, planMerge } from "./planMerge.js";
export { type MergeIssue, settleMerge } from "./settleMerge.js";
