import { z } from "zod";
import { nameField, notNegativeField, positiveField, textField } from "./fields.js";
import { meterIdField } from "./ids.js";

/** What holds of a machine that is being run in, up to so much run since it began. */
const runningInStageSchema = z.looseObject(
  {
    /** Where the stage ends, in the unit of the meter, counted from where running in began. */
    until: positiveField,
    /** Revolutions a minute not to be passed. */
    revolutions: positiveField.nullish(),
    /** Speed not to be passed. */
    speed: positiveField.nullish(),
    speedUnit: z.enum(["km/h", "mph"], "km/h or mph").nullish(),
    /** What may be asked of it, in words: "no towing, no full throttle". */
    load: textField.nullish(),
  },
  "a stage of running in",
);
export type RunningInStage = z.infer<typeof runningInStageSchema>;

/** How a new or rebuilt machine is run in, by distance or hours. */
export const runningInSchema = z
  .looseObject(
    {
      meter: meterIdField,
      /** The life of the meter where it began: 0 for a new machine. */
      from: notNegativeField.nullish(),
      stages: z.array(runningInStageSchema, "a list of stages"),
      /** Where it is written: the handbook and its page. */
      source: nameField.nullish(),
    },
    "how it is run in",
  )
  .superRefine(({ stages }, context) => {
    stages.forEach(({ until }, at) => {
      const before = stages[at - 1]?.until ?? 0;
      if (until > before) return;
      const path = ["stages", at, "until"];
      context.addIssue({ code: "custom", path, message: "more than the stage before" });
    });
  });
export type RunningIn = z.infer<typeof runningInSchema>;
