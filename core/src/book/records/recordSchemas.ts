import type { z } from "zod";
import { bookingSchema, closureSchema, type Booking, type Closure } from "./booking.js";
import { checklistSchema, type Checklist } from "./checklist.js";
import { entrySchema, type Entry } from "./entry.js";
import { findingSchema, type Finding } from "./finding.js";
import { fluidSchema, type Fluid } from "./fluid.js";
import {
  jobEventSchema,
  jobSchema,
  methodSchema,
  type Job,
  type JobEvent,
  type Method,
} from "./job.js";
import { journeySchema, type Journey } from "./journey.js";
import { lessonSchema, type Lesson } from "./lesson.js";
import { machineSchema, type Machine } from "./machine.js";
import { meterChangeSchema, type MeterChange } from "./meterChange.js";
import { orderSchema, type Order } from "./order.js";
import { fitmentSchema, partSchema, type Fitment, type Part } from "./part.js";
import { productSchema, type Product } from "./product.js";
import { readingSchema, type Reading } from "./reading.js";
import { roundSchema, type Round } from "./round.js";
import { sampleSchema, type Sample } from "./sample.js";
import { servicePointSchema, type ServicePoint } from "./servicePoint.js";
import { specificationSchema, type Specification } from "./specification.js";
import { stockMoveSchema, type StockMove } from "./stockMove.js";
import { taskSchema, type Task } from "./task.js";
import { visitSchema, type Visit } from "./visit.js";
import { containerSchema, wasteMoveSchema, type Container, type WasteMove } from "./waste.js";
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
  readonly bookings: Booking;
  readonly rounds: Round;
  readonly findings: Finding;
  readonly samples: Sample;
  readonly lessons: Lesson;
  readonly jobs: Job;
  readonly jobEvents: JobEvent;
  readonly parts: Part;
  readonly products: Product;
  readonly people: Person;
  readonly bays: Bay;
  readonly places: Place;
  readonly checklists: Checklist;
  readonly methods: Method;
  readonly closures: Closure;
  readonly stockMoves: StockMove;
  readonly containers: Container;
  readonly wasteMoves: WasteMove;
  readonly orders: Order;
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
  bookings: bookingSchema,
  rounds: roundSchema,
  findings: findingSchema,
  samples: sampleSchema,
  lessons: lessonSchema,
  jobs: jobSchema,
  jobEvents: jobEventSchema,
  parts: partSchema,
  products: productSchema,
  people: personSchema,
  bays: baySchema,
  places: placeSchema,
  checklists: checklistSchema,
  methods: methodSchema,
  closures: closureSchema,
  stockMoves: stockMoveSchema,
  containers: containerSchema,
  wasteMoves: wasteMoveSchema,
  orders: orderSchema,
} as const satisfies Record<Section, z.ZodType>;
