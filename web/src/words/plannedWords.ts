import type { Fluid, FluidDoubt } from "@yonderfell/core";
import { figure, NBSP } from "./format.js";
import { coverIssueWords } from "./plateWords.js";
import { quantityWords } from "./quantityWords.js";

const WHOLE = 100;

/** What is odd about a fluid that goes in, and what to do. */
export function fluidDoubtWords(doubt: FluidDoubt, fluid: Fluid): string {
  switch (doubt.code) {
    case "does-not-cover":
      return `Not shown to do here: ${doubt.issues.map((issue) => coverIssueWords(issue, fluid)).join("; ")}.`;
    case "off-capacity": {
      const share = figure(Math.abs(doubt.off) * WHOLE, 0);
      const way = doubt.off > 0 ? "more" : "less";
      return `${share}${NBSP}% ${way} than the ${quantityWords(doubt.capacity)} to work by: needs a word in the note.`;
    }
  }
}
