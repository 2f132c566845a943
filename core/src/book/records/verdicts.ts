import { z } from "zod";

/** What something that was looked at or measured is found to be, the worst last. */
export const VERDICTS = ["sound", "watch", "attend", "stop"] as const;

/** Verdicts that say why nothing could be told; they need a reason. */
export const WITHOUT_A_LOOK = ["could not measure", "not applicable", "left closed"] as const;

/** What a check of a round ends with (records §3). */
const ROUND_VERDICTS = [...VERDICTS, "too close to call", ...WITHOUT_A_LOOK] as const;

export const verdictField = z.enum(VERDICTS, VERDICTS.join(", "));
export const roundVerdictField = z.enum(ROUND_VERDICTS, ROUND_VERDICTS.join(", "));
