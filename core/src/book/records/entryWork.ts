import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { fluidAmountField, quantityOf } from "./amounts.js";
import {
  flagField,
  nameField,
  notNegativeField,
  numberField,
  positiveField,
  textField,
} from "./fields.js";
import {
  findingIdField,
  fluidIdField,
  jobIdField,
  partIdField,
  productIdField,
  roundIdField,
} from "./ids.js";
import { picturesField } from "./picture.js";
import { roundVerdictField } from "./verdicts.js";

/** Where something that was used came from; bought where absent. What is supplied costs nothing and leaves the shelf as it is. */
const fromField = z.enum(["stock", "bought", "supplied"], "stock, bought, supplied").nullish();

/** What came out of a system and went into it. */
const fluidUsedSchema = z.looseObject(
  {
    fluid: fluidIdField,
    /** With filter, dry, service fill. */
    condition: textField.nullish(),
    product: productIdField.nullish(),
    out: fluidAmountField.nullish(),
    in: fluidAmountField.nullish(),
    /** Whether the level ended on the mark. */
    onMark: flagField.nullish(),
    /** Of a litre of what went in, or of a kilogram where that is a mass. */
    price: notNegativeField.nullish(),
    from: fromField,
  },
  "a fluid that was used",
);
export type FluidUsed = z.infer<typeof fluidUsedSchema>;

const partUsedSchema = z.looseObject(
  {
    part: partIdField,
    count: positiveField,
    /** Of one. */
    price: notNegativeField.nullish(),
    from: fromField,
  },
  "a part that was used",
);

const workDoneSchema = z.looseObject(
  {
    /** The id of a person the book knows, else words. */
    person: nameField,
    minutes: notNegativeField,
    /** An hour. */
    rate: notNegativeField.nullish(),
  },
  "work of a person",
);

const otherCostSchema = z.looseObject(
  {
    what: nameField,
    /** Below 0 for a credit. */
    amount: numberField.nullish(),
    kind: z
      .enum(["shop", "consumables", "fee", "other"], "shop, consumables, fee, other")
      .nullish(),
  },
  "a cost",
);

/** What was measured, point by point: `pad, left front`. */
const measureSchema = z.looseObject(
  {
    name: nameField,
    readings: z.array(quantitySchema, "a list of quantities").optional(),
    verdict: roundVerdictField.nullish(),
  },
  "a measure",
);

const torqueSchema = z.looseObject(
  {
    name: nameField,
    torque: quantityOf(["torque"], "a torque").nullish(),
    /** The id of a person the book knows, else words. */
    by: nameField.nullish(),
  },
  "fasteners tightened",
);

/** What an entry says of the work beside the tasks it did: all may be absent. */
export const entryWorkFields = {
  fluids: z.array(fluidUsedSchema, "a list of fluids").optional(),
  parts: z.array(partUsedSchema, "a list of parts").optional(),
  work: z.array(workDoneSchema, "a list of work by person").optional(),
  costs: z.array(otherCostSchema, "a list of costs").optional(),
  /** Only topped up: it completes no task. */
  isTopUp: flagField.optional(),
  /** Paid by someone else, because of a promise of the maker or a shop. */
  warranty: flagField.optional(),
  /** What it was said to cost beforehand; no cost itself. */
  quote: notNegativeField.nullish(),
  /** The job it was written by, and the round that led to it. */
  job: jobIdField.nullish(),
  round: roundIdField.nullish(),
  /** The findings it closes. */
  closes: z.array(findingIdField, "a list of findings").optional(),
  measures: z.array(measureSchema, "a list of measures").optional(),
  torques: z.array(torqueSchema, "a list of torques").optional(),
  /** Cautions that were met, and by whom. */
  met: z
    .array(
      z.looseObject({ caution: nameField, by: nameField.nullish() }, "a caution that was met"),
      "a list of cautions",
    )
    .optional(),
  /** Steps that were left out, and why. */
  left: z
    .array(
      z.looseObject({ step: nameField, reason: textField.nullish() }, "a step that was left out"),
      "a list of steps",
    )
    .optional(),
  pictures: picturesField,
};
