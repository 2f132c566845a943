import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { nameField, positiveWholeField, textField } from "./fields.js";
import { fluidIdField, machineIdField, servicePointIdField } from "./ids.js";
import { picturesField } from "./picture.js";
import { revisionField } from "./revisionField.js";

/** What is done at a service point. */
export const POINT_PURPOSES = ["drain", "fill", "check", "grease", "bleed", "filter"] as const;
export type PointPurpose = (typeof POINT_PURPOSES)[number];

/** What a torque is for, so that it can be compared with what is usual. */
const TORQUE_USES = ["plug", "spark-plug", "cover-screw", "wheel"] as const;

/** A place on a machine where fluid goes in or out, is checked or greased. */
export const servicePointSchema = z.looseObject(
  {
    id: servicePointIdField,
    machine: machineIdField,
    /** The fluid system it belongs to. */
    fluid: fluidIdField.nullish(),
    purpose: z.enum(POINT_PURPOSES, POINT_PURPOSES.join(", ")),
    name: nameField,
    /** Where it is and how one gets at it. */
    where: textField.nullish(),
    /** How many there are, which a round must reach; 1 where absent. */
    count: positiveWholeField.nullish(),
    /** Tool and size, such as "17 mm hexagon". */
    tool: textField.nullish(),
    torque: quantitySchema.nullish(),
    torqueUse: z.enum(TORQUE_USES, TORQUE_USES.join(", ")).nullish(),
    /** The seal to renew. */
    seal: textField.nullish(),
    note: textField.nullish(),
    pictures: picturesField,
    revision: revisionField,
  },
  "a service point",
);
export type ServicePoint = z.infer<typeof servicePointSchema>;
