export type { Verdict } from "./verdict.js";
