import { z } from "zod";
import { dateField, flagField, nameField, numberField, textField, wholeField } from "./fields.js";
import {
  entryIdField,
  findingIdField,
  jobEventIdField,
  jobIdField,
  machineIdField,
  methodIdField,
  taskIdField,
  visitIdField,
} from "./ids.js";
import { picturesField } from "./picture.js";
import { revisionField } from "./revisionField.js";
import { methodStepSchema, stepSchema } from "./step.js";

/** Work being done on one machine: its card of steps (job rules §1). */
export const jobSchema = z.looseObject(
  {
    id: jobIdField,
    machine: machineIdField,
    /** What it is called, where tasks and findings do not say. */
    name: textField.nullish(),
    tasks: z.array(taskIdField, "a list of tasks").optional(),
    /** The findings that it puts right, and the visit it was begun for. */
    findings: z.array(findingIdField, "a list of findings").optional(),
    visit: visitIdField.nullish(),
    opened: dateField,
    /** Who opened it: the id of a person the book knows, else words. */
    by: nameField.nullish(),
    steps: z.array(stepSchema, "a list of steps").optional(),
    /** The entry it was finished with; null while it is on the go. */
    finished: z
      .looseObject(
        {
          on: dateField,
          /** Null where it was given up before anything was done. */
          entry: entryIdField.nullish(),
          /** The events that were known then; what is told of later changes nothing by itself. */
          events: z.array(nameField, "a list of events").optional(),
        },
        "when it was finished, with which entry",
      )
      .nullish(),
    /** Put down for now: since when, by whom, and what it waits for. */
    down: z
      .looseObject(
        { on: dateField, by: nameField.nullish(), why: nameField },
        "since when it is put down, and why",
      )
      .nullish(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a job",
);
export type Job = z.infer<typeof jobSchema>;

/** What happened in a job: only ever added; its order is that of `at`, then of `id` (job rules §2). */
export const jobEventSchema = z.looseObject(
  {
    id: jobEventIdField,
    job: jobIdField,
    machine: machineIdField,
    /** Milliseconds since 1970, in UTC. */
    at: wholeField,
    /** The id of a person the book knows, else words. */
    by: nameField.nullish(),
    step: nameField.nullish(),
    do: nameField,
    point: nameField.nullish(),
    /** Litres; what was typed may stand beside. */
    amount: numberField.nullish(),
    typed: textField.nullish(),
    late: flagField.optional(),
    level: textField.nullish(),
    value: numberField.nullish(),
    /** Of the fluid when it was told, °C, and what it was read by. */
    temperature: numberField.nullish(),
    readBy: z.enum(["plug", "thermometer"], "plug or thermometer").nullish(),
    verdict: textField.nullish(),
    text: textField.nullish(),
    reason: textField.nullish(),
    /** The event that it takes out. */
    undoes: nameField.nullish(),
    /** What it took out, so that it can be told again. */
    taken: z.record(z.string(), z.unknown(), "an event").nullish(),
    pictures: picturesField,
    revision: revisionField,
  },
  "an event of a job",
);
export type JobEvent = z.infer<typeof jobEventSchema>;

/** A way to do a kind of work, with `$` places filled from the plate of the machine. */
export const methodSchema = z.looseObject(
  {
    id: methodIdField,
    name: nameField,
    /** The kinds of machine it is for; any where empty. */
    kinds: z.array(nameField, "a list of kinds of machine").optional(),
    /** What it works with: kinds of fluid, tools, parts. */
    uses: z.array(nameField, "a list of what it uses").optional(),
    steps: z.array(methodStepSchema, "a list of steps").optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a method",
);
export type Method = z.infer<typeof methodSchema>;
