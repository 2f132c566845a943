import type { SampleAdvice } from "@yonderfell/core";

/** What a sample advises, in words of the workshop. */
export const ADVICE_WORDS = {
  "stop and look": "Stop and look",
  shorten: "Change it sooner",
  keep: "Keep the interval",
  extend: "It may run longer",
} as const satisfies Record<SampleAdvice, string>;
