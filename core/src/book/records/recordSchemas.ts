import type { z } from "zod";
import { entrySchema, type Entry } from "./entry.js";
import { fluidSchema, type Fluid } from "./fluid.js";
import { journeySchema, type Journey } from "./journey.js";
import { machineSchema, type Machine } from "./machine.js";
import { meterChangeSchema, type MeterChange } from "./meterChange.js";
import { fitmentSchema, partSchema, type Fitment, type Part } from "./part.js";
import { productSchema, type Product } from "./product.js";
import { readingSchema, type Reading } from "./reading.js";
import { servicePointSchema, type ServicePoint } from "./servicePoint.js";
import { specificationSchema, type Specification } from "./specification.js";
import { taskSchema, type Task } from "./task.js";
import { visitSchema, type Visit } from "./visit.js";
import {
  baySchema,
  personSchema,
  placeSchema,
  type Bay,
  type Person,
  type Place,
} from "./workshop.js";

/** The record of each section. */
export interface RecordOf {
  readonly machines: Machine;
  readonly readings: Reading;
  readonly meterChanges: MeterChange;
  readonly tasks: Task;
  readonly entries: Entry;
  readonly fluids: Fluid;
  readonly servicePoints: ServicePoint;
  readonly specifications: Specification;
  readonly fitments: Fitment;
  readonly visits: Visit;
  readonly journeys: Journey;
  readonly parts: Part;
  readonly products: Product;
  readonly people: Person;
  readonly bays: Bay;
  readonly places: Place;
}

/** A section of the book: its key in the file. */
export type Section = keyof RecordOf;

/** The schema of a record of each section. */
export const RECORD_SCHEMAS = {
  machines: machineSchema,
  readings: readingSchema,
  meterChanges: meterChangeSchema,
  tasks: taskSchema,
  entries: entrySchema,
  fluids: fluidSchema,
  servicePoints: servicePointSchema,
  specifications: specificationSchema,
  fitments: fitmentSchema,
  visits: visitSchema,
  journeys: journeySchema,
  parts: partSchema,
  products: productSchema,
  people: personSchema,
  bays: baySchema,
  places: placeSchema,
} as const satisfies Record<Section, z.ZodType>;
