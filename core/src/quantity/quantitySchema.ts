import { z } from "zod";
import { numberField, textField } from "../book/records/fields.js";
import { UNIT_NAMES, type Unit } from "./unit.js";

/** A value with its unit, kept as it was typed; nothing is ever converted on the way into a book. */
export const quantitySchema = z
  .looseObject(
    {
      value: numberField,
      unit: z.enum(UNIT_NAMES as readonly [Unit, ...Unit[]], "the name of a unit"),
      /** The words it was typed in, where they say more than value and unit: `1 1/2 in`. */
      typed: textField.nullish(),
    },
    "a quantity: a value and a unit",
  )
  .meta({ id: "quantity" });
