import { z } from "zod";
import { entrySchema, type Entry } from "./entry.js";
import { textField } from "./fields.js";
import { journeySchema, type Journey } from "./journey.js";
import { visitSchema, type Visit } from "./visit.js";
import { fluidSchema, type Fluid } from "./fluid.js";
import { fitmentSchema, partSchema, type Fitment, type Part } from "./part.js";
import { productSchema, type Product } from "./product.js";
import { servicePointSchema, type ServicePoint } from "./servicePoint.js";
import { specificationSchema, type Specification } from "./specification.js";
import {
  baySchema,
  personSchema,
  placeSchema,
  type Bay,
  type Person,
  type Place,
} from "./workshop.js";
import { machineSchema, type Machine } from "./machine.js";
import { meterChangeSchema, type MeterChange } from "./meterChange.js";
import { removedSchema, type Removed } from "./removedSchema.js";
import { readingSchema, type Reading } from "./reading.js";
import { BOOK_FORMAT, BOOK_VERSION, SECTIONS, type Section } from "./sections.js";
import { settingsSchema } from "./settingsSchema.js";
import { taskSchema, type Task } from "./task.js";

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

/** What a section holds, in words. */
export const LIST_WORDS: Readonly<Record<Section, string>> = {
  machines: "a list of machines",
  readings: "a list of readings",
  meterChanges: "a list of meter changes",
  tasks: "a list of tasks",
  entries: "a list of entries",
  fluids: "a list of fluids",
  servicePoints: "a list of service points",
  specifications: "a list of specifications",
  fitments: "a list of fitments",
  visits: "a list of visits",
  journeys: "a list of journeys",
  parts: "a list of parts",
  products: "a list of products",
  people: "a list of people",
  bays: "a list of bays",
  places: "a list of places",
};

const lists = Object.fromEntries(
  SECTIONS.map((section) => [
    section,
    z.array(RECORD_SCHEMAS[section] as z.ZodType, LIST_WORDS[section]).optional(),
  ]),
) as { readonly [S in Section]: z.ZodOptional<z.ZodArray<(typeof RECORD_SCHEMAS)[S]>> };

/** The whole file. Fields and sections it does not name are kept as they stand. */
export const bookSchema = z.looseObject(
  {
    format: z.literal(BOOK_FORMAT, `"${BOOK_FORMAT}"`),
    version: z.literal(BOOK_VERSION, `version ${BOOK_VERSION}`),
    name: textField.nullish(),
    settings: settingsSchema.optional(),
    removed: z.array(removedSchema, "a list of records that were deleted").nullish(),
    ...lists,
  },
  "a book",
);

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

/** A whole book: all of a user's data (due rules §1). */
export interface Book extends Readonly<Partial<{ [S in Section]: readonly RecordOf[S][] }>> {
  readonly format: typeof BOOK_FORMAT;
  readonly version: number;
  readonly name?: string | null | undefined;
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
  /** What was deleted. */
  readonly removed?: readonly Removed[] | null | undefined;
}
