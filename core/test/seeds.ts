import fc from "fast-check";

/** The seeds of drawn books. */
export const SEED = fc.integer({ min: 1, max: 2 ** 30 });
