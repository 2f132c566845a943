import { z } from "zod";
import {
  flagField,
  nameField,
  numberField,
  notNegativeField,
  positiveField,
  positiveWholeField,
  textField,
} from "./fields.js";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { judgedByFields } from "./checklist.js";
import type { Known } from "./known.js";
import { levelByField } from "./levelBy.js";
import { fluidIdField, partIdField, taskIdField } from "./ids.js";

/** What a step of a job is (job rules §1). */
const STEP_KINDS = [
  ...(["do", "caution", "open", "drain", "close", "fill", "passes"] as const),
  ...(["measure", "look", "torque", "fit", "wait", "run", "reset"] as const),
];

/** The kind of a step. */
export const stepKindField = z.enum(STEP_KINDS, STEP_KINDS.join(", "));

/** The fields of a step that name nothing of the book; amounts in litres. */
const plainStepFields = {
  /** Tells it apart on its card. */
  id: nameField,
  kind: stepKindField,
  name: textField,
  points: z.array(nameField, "a list of names").optional(),
  /** A caution that is met anew by whoever takes the job up. */
  again: flagField.optional(),
  expected: positiveField.nullish(),
  of: z.enum(["drain", "fill"], "drain or fill").nullish(),
  condition: textField.nullish(),
  by: z.enum(["mark", "amount"], "mark or amount").nullish(),
  vessel: positiveField.nullish(),
  pass: positiveField.nullish(),
  wanted: notNegativeField.nullish(),
  inFirst: flagField.optional(),
  ...judgedByFields,
  tool: textField.nullish(),
  /** How the level is read at which it ends, or which is looked at. */
  mark: levelByField.nullish(),
  /** The temperatures in °C between which it is read. */
  window: z
    .looseObject(
      { from: numberField.nullish(), to: numberField.nullish() },
      "the temperatures between which a level is read",
    )
    .nullish(),
  torque: quantitySchema.nullish(),
  count: positiveWholeField.nullish(),
  minutes: notNegativeField.nullish(),
  code: textField.nullish(),
  /** Steps that must be closed before it. */
  after: z.array(nameField, "a list of steps").optional(),
  /** Can be done while something drains or a wait runs. */
  meanwhile: flagField.optional(),
  /** May be left out without giving its task up. */
  mayNotApply: flagField.optional(),
  note: textField.nullish(),
};

/** A step on the card of a job: it names fluids and tasks of the machine, and parts. */
export const stepSchema = z.looseObject(
  {
    ...plainStepFields,
    system: fluidIdField.nullish(),
    tasks: z.array(taskIdField, "a list of tasks").optional(),
    part: partIdField.nullish(),
    /** What its words and points were filled in from. */
    made: z
      .looseObject(
        { name: textField.nullish(), points: z.array(nameField, "a list of names").nullish() },
        "what it was filled in from",
      )
      .nullish(),
  },
  "a step",
);
export type JobStep = Known<z.infer<typeof stepSchema>>;

/** A step of a method, or of a machine's own way: what differs from machine to machine stands as `$` places. */
export const methodStepSchema = z.looseObject(
  { ...plainStepFields, system: textField.nullish(), part: textField.nullish() },
  "a step of a method",
);
export type MethodStep = Known<z.infer<typeof methodStepSchema>>;
