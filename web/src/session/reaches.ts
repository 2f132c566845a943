/** The lengths the reach can be looked at, in days ahead, with their words. */
export const REACHES = [
  [14, "2 weeks"],
  [42, "6 weeks"],
  [182, "6 months"],
  [365, "1 year"],
  [730, "2 years"],
  [1096, "3 years"],
] as const;
export type Reach = (typeof REACHES)[number][0];

/** As far as the reach looks ahead unless it is set otherwise, and back, in days. */
export const USUAL_REACH: Reach = 730;
