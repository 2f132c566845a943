import { z } from "zod";
import {
  dateField,
  nameField,
  notNegativeField,
  positiveField,
  positiveWholeField,
  textField,
} from "./fields.js";
import { fitmentIdField, machineIdField, partIdField, taskIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** What something costs at one source, for one pack, in the book's currency. */
export const priceSchema = z.looseObject(
  { source: nameField, price: notNegativeField, on: dateField.nullish() },
  "a price",
);
export type Price = z.infer<typeof priceSchema>;

/** A part that is bought by number. */
export const partSchema = z.looseObject(
  {
    id: partIdField,
    name: nameField,
    /** Filter, belt, plug, seal, bulb, … */
    kind: textField.nullish(),
    number: nameField,
    /** Other makers' numbers for the same. */
    equivalents: z.array(nameField, "a list of numbers").optional(),
    /** The number that has taken the place of this one. */
    supersededBy: textField.nullish(),
    /** How many come in a pack; 1 where absent. */
    pack: positiveWholeField.nullish(),
    prices: z.array(priceSchema, "a list of prices").optional(),
    /** What is in it, where it is a kit; of what does not fit all stays over. */
    contains: z
      .array(
        z.looseObject({ part: partIdField, count: positiveField.nullish() }, "a part of a kit"),
        "a list of what is in a kit",
      )
      .optional(),
    /** Fewer than so many on the shelf are too few. */
    least: notNegativeField.nullish(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a part",
);
export type Part = z.infer<typeof partSchema>;

/** A part as a machine takes it: where, on which side, how many a service. */
export const fitmentSchema = z.looseObject(
  {
    id: fitmentIdField,
    machine: machineIdField,
    part: partIdField,
    position: textField.nullish(),
    side: z.enum(["left", "right"], "left or right").nullish(),
    perService: positiveField.nullish(),
    /** The tasks it is needed for. */
    tasks: z.array(taskIdField, "a list of tasks").optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a fitment",
);
export type Fitment = z.infer<typeof fitmentSchema>;
