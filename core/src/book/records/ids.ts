import type { z } from "zod";
import { nameField } from "./fields.js";

/** Identifies a machine within its book. */
export const machineIdField = nameField.brand<"MachineId">();
export type MachineId = z.infer<typeof machineIdField>;

/** Identifies a meter within its machine. */
export const meterIdField = nameField.brand<"MeterId">();
export type MeterId = z.infer<typeof meterIdField>;

/** Identifies a task within its book. */
export const taskIdField = nameField.brand<"TaskId">();
export type TaskId = z.infer<typeof taskIdField>;

/** Identifies a reading within its book. */
export const readingIdField = nameField.brand<"ReadingId">();
export type ReadingId = z.infer<typeof readingIdField>;

/** Identifies a meter change within its book. */
export const meterChangeIdField = nameField.brand<"MeterChangeId">();
export type MeterChangeId = z.infer<typeof meterChangeIdField>;

/** Identifies an entry of the log within its book. */
export const entryIdField = nameField.brand<"EntryId">();
export type EntryId = z.infer<typeof entryIdField>;

/** Identifies a fluid system within its book. */
export const fluidIdField = nameField.brand<"FluidId">();
export type FluidId = z.infer<typeof fluidIdField>;

/** Identifies a service point within its book. */
export const servicePointIdField = nameField.brand<"ServicePointId">();
export type ServicePointId = z.infer<typeof servicePointIdField>;

/** Identifies a specification of a machine within its book. */
export const specificationIdField = nameField.brand<"SpecificationId">();
export type SpecificationId = z.infer<typeof specificationIdField>;

/** Identifies a fitment within its book. */
export const fitmentIdField = nameField.brand<"FitmentId">();
export type FitmentId = z.infer<typeof fitmentIdField>;

/** Identifies a part within its book. */
export const partIdField = nameField.brand<"PartId">();
export type PartId = z.infer<typeof partIdField>;

/** Identifies a product within its book. */
export const productIdField = nameField.brand<"ProductId">();
export type ProductId = z.infer<typeof productIdField>;

/** Identifies a person within its book. */
export const personIdField = nameField.brand<"PersonId">();
export type PersonId = z.infer<typeof personIdField>;

/** Identifies a bay within its book. */
export const bayIdField = nameField.brand<"BayId">();
export type BayId = z.infer<typeof bayIdField>;

/** Identifies a visit within its book. */
export const visitIdField = nameField.brand<"VisitId">();
export type VisitId = z.infer<typeof visitIdField>;

/** Identifies a journey within its book. */
export const journeyIdField = nameField.brand<"JourneyId">();
export type JourneyId = z.infer<typeof journeyIdField>;

/** Identifies a place within its book. */
export const placeIdField = nameField.brand<"PlaceId">();
export type PlaceId = z.infer<typeof placeIdField>;

/** Identifies a booking within its book. */
export const bookingIdField = nameField.brand<"BookingId">();
export type BookingId = z.infer<typeof bookingIdField>;

/** Identifies a round within its book. */
export const roundIdField = nameField.brand<"RoundId">();

/** Identifies a finding within its book. */
export const findingIdField = nameField.brand<"FindingId">();
export type FindingId = z.infer<typeof findingIdField>;

/** Identifies a sample within its book. */
export const sampleIdField = nameField.brand<"SampleId">();

/** Identifies an answer to what the book proposed within it. */
export const lessonIdField = nameField.brand<"LessonId">();

/** Identifies a job within its book. */
export const jobIdField = nameField.brand<"JobId">();
export type JobId = z.infer<typeof jobIdField>;

/** Identifies what happened in a job within its book. */
export const jobEventIdField = nameField.brand<"JobEventId">();
export type JobEventId = z.infer<typeof jobEventIdField>;

/** Identifies a checklist within its book. */
export const checklistIdField = nameField.brand<"ChecklistId">();
export type ChecklistId = z.infer<typeof checklistIdField>;

/** Identifies a method within its book. */
export const methodIdField = nameField.brand<"MethodId">();
export type MethodId = z.infer<typeof methodIdField>;

/** Identifies a closure within its book. */
export const closureIdField = nameField.brand<"ClosureId">();
export type ClosureId = z.infer<typeof closureIdField>;

/** Identifies a move of stock within its book. */
export const stockMoveIdField = nameField.brand<"StockMoveId">();
export type StockMoveId = z.infer<typeof stockMoveIdField>;

/** Identifies a container of waste within its book. */
export const containerIdField = nameField.brand<"ContainerId">();
export type ContainerId = z.infer<typeof containerIdField>;

/** Identifies a move of waste within its book. */
export const wasteMoveIdField = nameField.brand<"WasteMoveId">();

/** Identifies an order within its book. */
export const orderIdField = nameField.brand<"OrderId">();
