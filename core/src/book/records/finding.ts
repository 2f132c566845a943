import { z } from "zod";
import {
  dateField,
  nameField,
  notNegativeField,
  numberField,
  positiveField,
  textField,
} from "./fields.js";
import {
  findingIdField,
  jobIdField,
  machineIdField,
  meterIdField,
  partIdField,
  roundIdField,
} from "./ids.js";
import { picturesField } from "./picture.js";
import { revisionField } from "./revisionField.js";
import { verdictField } from "./verdicts.js";

/** What is decided about a finding. */
const DECISIONS = ["now", "next visit", "watch", "declined"] as const;
const decisionField = z.enum(DECISIONS, DECISIONS.join(", "));

const earlierDecisionSchema = z.looseObject(
  { on: dateField, by: nameField.nullish(), decision: decisionField, reason: textField.nullish() },
  "an earlier decision",
);

/** Something found on a machine that somebody must decide about (records §3). */
export const findingSchema = z
  .looseObject(
    {
      id: findingIdField,
      /** Words that two of one sort share: `weep`, `play`. */
      kind: textField.nullish(),
      machine: machineIdField,
      found: dateField,
      /** Life by meter when it was found, in each meter's unit. */
      life: z.record(z.string(), numberField, "life by meter").optional(),
      /** The id of a person the book knows, else words. */
      by: nameField.nullish(),
      what: textField.nullish(),
      where: textField.nullish(),
      side: textField.nullish(),
      verdict: verdictField.nullish(),
      evidence: textField.nullish(),
      consequence: textField.nullish(),
      todo: textField.nullish(),
      /** What else to suspect. */
      also: z.array(nameField, "a list of what else to suspect").optional(),
      round: roundIdField.nullish(),
      /** The id of the check that found it, in the checklist as it was then. */
      check: nameField.nullish(),
      /** The point of the check; null for the check as a whole. */
      point: nameField.nullish(),
      job: jobIdField.nullish(),
      /** What putting it right takes. */
      minutes: notNegativeField.nullish(),
      parts: z
        .array(
          z.looseObject({ part: partIdField, count: positiveField.nullish() }, "a part"),
          "a list of parts",
        )
        .optional(),
      cost: notNegativeField.nullish(),
      decision: decisionField,
      dueOn: dateField.nullish(),
      dueAt: z
        .looseObject({ meter: meterIdField, life: numberField }, "a meter with a life")
        .nullish(),
      lookOn: dateField.nullish(),
      /** Who decided: the id of a person the book knows, else words. */
      decidedBy: nameField.nullish(),
      /** The day the decision was made; that it was found where absent. */
      decided: dateField.nullish(),
      /** Why; needed where it was declined. */
      reason: textField.nullish(),
      decisions: z.array(earlierDecisionSchema, "a list of earlier decisions").optional(),
      /** Closed by a person without work; work closes it from its entry. */
      closed: z
        .looseObject(
          { on: dateField, by: nameField, how: nameField },
          "who closed it, when and how",
        )
        .nullish(),
      pictures: picturesField,
      note: textField.nullish(),
      revision: revisionField,
    },
    "a finding",
  )
  .superRefine(({ decision, reason }, context) => {
    if (decision !== "declined" || (reason ?? "").trim() !== "") return;
    context.addIssue({ code: "custom", path: ["reason"], message: "a reason, as it was declined" });
  });
export type Finding = z.infer<typeof findingSchema>;
