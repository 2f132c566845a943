import { z } from "zod";

const LEVELS_BY = ["stick", "glass", "overflow", "lines", "shelf"] as const;

/** What a level is read by: a stick, a sight glass, a trickle at a hole, the lines of a reservoir, a shelf in the tank. */
export const levelByField = z.enum(LEVELS_BY, LEVELS_BY.join(", "));
export type LevelBy = z.infer<typeof levelByField>;
