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
