import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { datedFields, noteField } from "../slice/dated.js";
import { figureField, judgedByFields } from "./checklist.js";
import { eachOnce } from "./eachOnce.js";
import { flagField, nameField, numberField, textField } from "./fields.js";
import { checklistIdField, machineIdField, meterIdField, roundIdField } from "./ids.js";
import { picturesField } from "./picture.js";
import { roundVerdictField, WITHOUT_A_LOOK } from "./verdicts.js";

const NEEDS_A_REASON: readonly string[] = WITHOUT_A_LOOK;

/** Answers to the question of a check. */
const ANSWERS = ["no", "yes", "not known"] as const;

/** What a check of a round found, at one of its points or as a whole. */
const resultSchema = z
  .looseObject(
    {
      /** The id of a check of the checklist as it was then. */
      check: nameField,
      /** One of its points; null for the check as a whole. */
      point: nameField.nullish(),
      readings: z.array(quantitySchema, "a list of quantities").optional(),
      /** What the sum of the check was asked with, by the names of its fields. */
      figures: z.record(z.string(), figureField, "figures by name").nullish(),
      picked: textField.nullish(),
      /** What was answered to the question that tells two causes apart. */
      answered: z.enum(ANSWERS, ANSWERS.join(", ")).nullish(),
      verdict: roundVerdictField.nullish(),
      note: textField.nullish(),
      pictures: picturesField,
      /** Why it could not be measured, does not apply, or was left closed. */
      reason: textField.nullish(),
      /** The limits it was judged by. */
      judgedBy: z.looseObject(judgedByFields, "the limits it was judged by").nullish(),
    },
    "a result",
  )
  .superRefine(({ verdict, reason }, context) => {
    if (!NEEDS_A_REASON.includes(verdict ?? "") || (reason ?? "").trim() !== "") return;
    context.addIssue({ code: "custom", path: ["reason"], message: `a reason for "${verdict}"` });
  });

/** Refuses a second result of one check at one point. */
const oneResultEach = eachOnce<z.infer<typeof resultSchema>>(
  ({ check, point }) => JSON.stringify([check, point ?? null]),
  [],
  () => "one result of a check at a point",
);

/** A round: what was looked at on a machine on a day, and what was found (records §3). */
export const roundSchema = z.looseObject(
  {
    id: roundIdField,
    ...datedFields,
    replaces: roundIdField.nullish(),
    machine: machineIdField,
    checklist: checklistIdField,
    /** The id of a person the book knows, else words. */
    by: nameField.nullish(),
    /** What the dials showed, by meter, in each meter's own unit: points like those of entries (due rules §2). */
    meters: z.record(z.string(), numberField, "dial figures by meter").optional(),
    estimatedMeters: z.array(meterIdField, "a list of meters").optional(),
    confirmed: flagField.optional(),
    results: z.array(resultSchema, "a list of results").superRefine(oneResultEach).optional(),
    /** From then on it is corrected, not overwritten. */
    finished: flagField.optional(),
    note: noteField,
  },
  "a round",
);
export type Round = z.infer<typeof roundSchema>;
