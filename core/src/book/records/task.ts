import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { nameField, positiveField, positiveWholeField, textField } from "./fields.js";
import { fluidIdField, machineIdField, meterIdField, methodIdField, taskIdField } from "./ids.js";
import { limitSchema } from "./limit.js";
import type { LimitRecord } from "./limitRecord.js";
import { revisionField } from "./revisionField.js";
import { methodStepSchema } from "./step.js";

/** The limits of one regime. */
export const limitsSchema = z.array(limitSchema, "a list of limits");

/** The limits by the name of the regime they belong to. */
const regimesSchema = z.record(z.string(), limitsSchema, "limits by regime");

/** With every n-th completion of another task. */
const nthSchema = z.looseObject(
  { of: taskIdField, every: positiveWholeField },
  "another task and every how many of its turns",
);

/** Once after each completion of another task, by a meter or by days. */
const followsSchema = z
  .looseObject(
    {
      task: taskIdField,
      meter: meterIdField.nullish(),
      amount: positiveField.nullish(),
      days: positiveWholeField.nullish(),
    },
    "the task it follows, and a meter with an amount, or days",
  )
  .superRefine((follows, context) => {
    const byMeter = (follows.meter ?? null) !== null || (follows.amount ?? null) !== null;
    const byDays = (follows.days ?? null) !== null;
    const whole = (follows.meter ?? null) !== null && (follows.amount ?? null) !== null;
    if (byMeter === byDays || (byMeter && !whole)) {
      context.addIssue({ code: "custom", path: [], message: "a meter with an amount, or days" });
    }
  });

/** A fluid of the machine's plate that a task renews or uses. */
const taskUseSchema = z.looseObject(
  {
    fluid: fluidIdField,
    /** Which capacity is meant, such as "with filter". */
    condition: textField.nullish(),
    /** How much, where it is not the working capacity of the plate. */
    quantity: quantitySchema.nullish(),
  },
  "a fluid of the machine",
);
export type TaskUse = z.infer<typeof taskUseSchema>;

/** Why a task is not the owner's own work. */
export const OUTSIDE_REASONS = ["licensed", "specialist tools", "warranty"] as const;

/** Work for others: why, and what to tell them. */
const outsideSchema = z.looseObject(
  {
    because: z.enum(OUTSIDE_REASONS, OUTSIDE_REASONS.join(", ")),
    tell: textField.nullish(),
  },
  "why it is for others, and what to tell them",
);

/** Where a task was taken from: a plan of the library or a sister machine, and as what. */
const originSchema = z.looseObject(
  {
    /** The plan's name, or null where it was copied from a machine. */
    plan: nameField.nullish(),
    machine: machineIdField.nullish(),
    /** What it is called there. */
    key: nameField,
    /** What it said there when it was taken, as JSON text: a plan changed since offers the difference. */
    as: textField,
  },
  "where it was taken from",
);

/** A piece of work that falls due: its limits by regime, or its tie to another task. */
export const taskSchema = z
  .looseObject(
    {
      id: taskIdField,
      machine: machineIdField,
      name: textField,
      regimes: regimesSchema.nullish(),
      /** Overrides the machine's regime; `regimeReason` says why. */
      regime: nameField.nullish(),
      regimeReason: textField.nullish(),
      anchor: z.enum(["done", "grid"], "done or grid").nullish(),
      combine: z.enum(["first", "last"], "first or last").nullish(),
      nth: nthSchema.nullish(),
      follows: followsSchema.nullish(),
      /** Done before or after each use, whatever else is said of it (due rules §14). */
      eachUse: z.enum(["before", "after"], "before or after").nullish(),
      /** What is done, in words. */
      note: textField.nullish(),
      /** The ladder of stacked services it is a step of. */
      ladder: nameField.nullish(),
      /** What is opened or taken off for it: tasks of one access are done together. */
      access: nameField.nullish(),
      /** Estimated minutes of work. */
      minutes: positiveField.nullish(),
      /** The fluids it uses; the first decides which limits hold (due rules §13). */
      uses: z.array(taskUseSchema, "a list of fluids").optional(),
      outside: outsideSchema.nullish(),
      /** Words that who does it, and where, must have among their skills. */
      needs: z.array(nameField, "a list of needs").optional(),
      /** How it is done, or this machine's own way. */
      method: methodIdField.nullish(),
      steps: z.array(methodStepSchema, "a list of steps").optional(),
      origin: originSchema.nullish(),
      revision: revisionField,
    },
    "a task",
  )
  .superRefine((task, context) => {
    const nth = task.nth ?? null;
    const follows = task.follows ?? null;
    const refuse = (path: string, message: string): void => {
      context.addIssue({ code: "custom", path: [path], message });
    };
    if (nth !== null && follows !== null) refuse("follows", "either nth or follows, not both");
    if (nth === null && follows === null && (task.regimes ?? null) === null) {
      refuse("regimes", "limits by regime, or nth, or follows");
    }
  });
type TaskShape = z.infer<typeof taskSchema>;
type TaskField =
  | "id"
  | "machine"
  | "name"
  | "regime"
  | "regimeReason"
  | "anchor"
  | "combine"
  | "nth"
  | "follows"
  | "eachUse"
  | "note"
  | "ladder"
  | "access"
  | "minutes"
  | "uses"
  | "outside"
  | "needs"
  | "method"
  | "steps"
  | "origin"
  | "revision";

/** A task of the book. Fields it does not name are kept with it. */
export type Task = Readonly<Pick<TaskShape, TaskField>> & {
  readonly regimes?: Readonly<Record<string, readonly LimitRecord[]>> | null | undefined;
};
