export { FILL_STEP } from "./fillStep.js";
export { PASSES } from "./passes.js";
