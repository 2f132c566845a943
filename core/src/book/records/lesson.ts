import { z } from "zod";
import { dateField, textField } from "./fields.js";
import { fluidIdField, lessonIdField, machineIdField, meterIdField, taskIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** What the book can propose from its own records. */
const LESSON_KINDS = ["interval", "consumption", "capacity", "minutes"] as const;
export type LessonKind = (typeof LESSON_KINDS)[number];

/** What a person answers to it. */
const LESSON_ANSWERS = ["done", "not now", "never"] as const;
export type LessonAnswer = (typeof LESSON_ANSWERS)[number];

/** What a person answered to something that the book proposed of a machine: the latest of one thing holds. */
export const lessonSchema = z.looseObject(
  {
    id: lessonIdField,
    machine: machineIdField,
    about: z.enum(LESSON_KINDS, LESSON_KINDS.join(", ")),
    /** What it was about, as far as the kind has it. */
    task: taskIdField.nullish(),
    meter: meterIdField.nullish(),
    fluid: fluidIdField.nullish(),
    condition: textField.nullish(),
    answer: z.enum(LESSON_ANSWERS, LESSON_ANSWERS.join(", ")),
    on: dateField,
    /** What was proposed, in words as they were then. */
    said: textField.nullish(),
    revision: revisionField,
  },
  "an answer to a proposal",
);
export type Lesson = z.infer<typeof lessonSchema>;
