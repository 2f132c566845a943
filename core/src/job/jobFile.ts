import { z } from "zod";
import { issuesOf } from "../book/file/issuesOf.js";
import type { BookIssue } from "../book/file/issue.js";
import { nameField, textField } from "../book/records/fields.js";
import { stepKindField } from "../book/records/step.js";
import type { JobCard, ToldEvent } from "./card.js";

const finite = z.number("a finite number").nullish();
const names = z.array(nameField, "a list of names").nullish();
const flag = z.boolean("true or false").nullish();

/** A step as far as a job is derived from it; other fields are passed over. */
const stepSchema = z.looseObject(
  {
    id: nameField,
    kind: stepKindField,
    system: textField.nullish(),
    ...{ tasks: names, points: names, after: names },
    ...{ again: flag, meanwhile: flag, mayNotApply: flag, inFirst: flag },
    of: z.enum(["drain", "fill"], "drain or fill").nullish(),
    by: z.enum(["mark", "amount"], "mark or amount").nullish(),
    severity: z.enum(["attend", "stop"], "attend or stop").nullish(),
    ...{ expected: finite, vessel: finite, pass: finite, wanted: finite, minutes: finite },
    ...{ least: finite, most: finite, watchLeast: finite, watchMost: finite },
    ...{ uncertainty: finite, resolution: finite },
  },
  "a step",
);

const fileSchema = z.looseObject(
  {
    job: z.looseObject(
      { tasks: names, steps: z.array(stepSchema, "a list of steps").nullish() },
      "a job with its steps",
    ),
    events: z
      .array(
        z.looseObject(
          { id: nameField, at: z.number("milliseconds"), do: nameField },
          "an event: id, at, do",
        ),
        "a list of events",
      )
      .nullish(),
    now: finite,
  },
  "a job with its events",
);

/** A job with its events, as a file by itself holds it (job rules §4). */
export interface JobFile {
  readonly job: JobCard;
  readonly events: readonly ToldEvent[];
  readonly now: number | null;
}

/** A job from parsed JSON, or what was expected where. What is wrong with single events the replay says, and goes on. */
export function readJobFile(data: unknown): JobFile | { readonly issue: BookIssue } {
  const [issue] = issuesOf(fileSchema, data, []);
  if (issue !== undefined) return { issue };
  const { job, events, now } = data as Partial<JobFile> & Pick<JobFile, "job">;
  return { job, events: events ?? [], now: now ?? null };
}
