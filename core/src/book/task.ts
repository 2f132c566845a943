import { z } from "zod";
import { nameField, positiveField, positiveWholeField, textField } from "./fields.js";
import { machineIdField, meterIdField, taskIdField } from "./ids.js";
import { limitSchema } from "./limit.js";
import type { Limit } from "./limitKind.js";
import { revisionField } from "./revisionField.js";

/** The limits of one regime. */
export const limitsSchema = z.array(limitSchema, "a list of limits");

/** The limits by the name of the regime they belong to. */
const regimesSchema = z.record(z.string(), limitsSchema, "limits by regime");

/** With every n-th completion of another task. */
export const nthSchema = z.looseObject(
  { of: taskIdField, every: positiveWholeField },
  "another task and every how many of its turns",
);

/** Once after each completion of another task, by a meter or by days. */
export const followsSchema = z
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
  | "revision";

/** A task of the book. Fields it does not name are kept with it. */
export type Task = Readonly<Pick<TaskShape, TaskField>> & {
  readonly regimes?: Readonly<Record<string, readonly Limit[]>> | null | undefined;
};
