import { z } from "zod";
import { BRAKE_TYPES, COOLANT_FAMILIES, FLUID_KINDS } from "../../fluid/kinds.js";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { quantityOf } from "./amounts.js";
import { flagField, nameField, notNegativeField, numberField, textField } from "./fields.js";
import { fluidIdField, machineIdField, productIdField } from "./ids.js";
import { levelByField } from "./levelBy.js";
import { revisionField } from "./revisionField.js";

/** Under which condition a capacity is meant. */
export const CAPACITY_CONDITIONS = [
  "with filter",
  "without filter",
  "drain and fill",
  "dry",
] as const;
export type CapacityCondition = (typeof CAPACITY_CONDITIONS)[number];

/** How much goes in, as one source says it, under one condition. */
const capacitySchema = z.looseObject(
  {
    /** Tells it apart within its fluid. */
    id: nameField,
    /** Who says so: handbook, label, dealer, own experience, the maker of another part. */
    source: nameField,
    condition: z.enum(CAPACITY_CONDITIONS, CAPACITY_CONDITIONS.join(", ")),
    quantity: quantitySchema,
    /** Set by a part that is not as the maker built it; it overrides the others, and the note says why. */
    isModified: z.boolean("true or false").optional(),
    note: textField.nullish(),
  },
  "a capacity",
);
export type Capacity = z.infer<typeof capacitySchema>;

/** A grade, and the temperatures in °C between which the handbook allows it. */
const gradeSchema = z.looseObject(
  { grade: nameField, from: numberField.nullish(), to: numberField.nullish() },
  "a grade",
);

/** How its level is checked, and in which state of the machine. */
const levelSchema = z.looseObject(
  {
    by: levelByField,
    engine: z.enum(["off", "idling"], "off or idling").nullish(),
    warm: flagField.nullish(),
    /** How long to wait before. */
    minutes: notNegativeField.nullish(),
    /** The temperatures in °C between which it holds. */
    from: numberField.nullish(),
    to: numberField.nullish(),
  },
  "how its level is checked",
);

/** A fluid system of a machine: what belongs in it, how much, and what is in it now. */
export const fluidSchema = z.looseObject(
  {
    id: fluidIdField,
    machine: machineIdField,
    /** Where it is: engine, gearbox, rear axle, cooling system. */
    system: nameField,
    kind: z.enum(FLUID_KINDS, "a kind of fluid"),
    /** Specification codes that a product must claim. */
    codes: z.array(nameField, "a list of codes").optional(),
    /** Grades by the temperatures they are allowed for. */
    grades: z.array(gradeSchema, "a list of grades").optional(),
    coolantFamily: z.enum(COOLANT_FAMILIES, COOLANT_FAMILIES.join(", ")).nullish(),
    brakeType: z.enum(BRAKE_TYPES, BRAKE_TYPES.join(", ")).nullish(),
    capacities: z.array(capacitySchema, "a list of capacities").optional(),
    /** Which of the capacities of a condition to work by, and why. */
    working: z
      .array(z.looseObject({ capacity: nameField, reason: textField }), "a list of choices")
      .optional(),
    /** The product that was in it before the work that the book knows: the entries go before it (records §1). */
    product: productIdField.nullish(),
    level: levelSchema.nullish(),
    /** What the whole unit holds, where a drain leaves some of it. */
    vessel: quantityOf(["volume"], "a volume").nullish(),
    /** The pressure its cap opens at. */
    cap: quantityOf(["pressure"], "a pressure").nullish(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a fluid",
);
export type Fluid = z.infer<typeof fluidSchema>;
