import { BRAKE_FLUID } from "../fluid/brakeFluid.js";
import {
  BOILING_POINT,
  COOLANT_CORRECT,
  COOLANT_JUDGE,
  COOLANT_MIX,
  FREEZE_POINT,
  GLYCOL_SHARE,
} from "../fluid/coolantSums.js";
import { LEARNED_CAPACITY } from "../fluid/learnedCapacity.js";
import { COLD_GRADE, FUEL_MIX } from "../fluid/oilSums.js";
import { BATTERY } from "../inspect/battery.js";
import { SAMPLE } from "../inspect/sample.js";
import { SHARE_OF_LIMIT } from "../inspect/shareOfLimit.js";
import { TREND } from "../inspect/trendSum.js";
import { TREAD, TYRE_AGE } from "../inspect/tyres.js";
import { VERDICT } from "../inspect/verdict.js";
import { FILL_STEP } from "../job/fillStep.js";
import { PASSES } from "../job/passes.js";
import { CONSUMPTION, INTERVAL_ADVICE, RUNNING_COST } from "../ledger/useSums.js";
import { PACKS } from "../stores/packs.js";
import type { AnySum } from "./sum.js";

/** Every calculator, in the order in which they are told. */
export const SUMS: readonly AnySum[] = [
  ...[FREEZE_POINT, GLYCOL_SHARE, COOLANT_MIX, COOLANT_CORRECT, COOLANT_JUDGE, BOILING_POINT],
  ...[BRAKE_FLUID, COLD_GRADE, FUEL_MIX],
  ...[PASSES, FILL_STEP, LEARNED_CAPACITY, PACKS],
  ...[VERDICT, TREND, TREAD, TYRE_AGE, BATTERY, SHARE_OF_LIMIT, SAMPLE],
  ...[CONSUMPTION, INTERVAL_ADVICE, RUNNING_COST],
];
