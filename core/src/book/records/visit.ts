import { z } from "zod";
import {
  dateField,
  flagField,
  nameField,
  notNegativeField,
  numberField,
  positiveWholeField,
  textField,
  wholeField,
} from "./fields.js";
import { machineIdField, taskIdField, visitIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

const chosenTurnSchema = z.looseObject(
  {
    task: taskIdField,
    /** 1 the next one when it was decided on, 2 the one after. */
    number: positiveWholeField,
    /** When it was taken in, as `accepted` and `since` of the visit, where that was later. */
    accepted: dateField.nullish(),
    since: wholeField.nullish(),
  },
  "a turn of a task",
);
/** Which of a task's turns a visit is for. */
export type ChosenTurn = z.infer<typeof chosenTurnSchema>;

/** What a workshop asks for some work. */
const quoteSchema = z.looseObject(
  {
    workshop: nameField,
    on: dateField,
    /** What is in it, in the workshop's words and money; a credit is negative. */
    lines: z.array(
      z.looseObject({ what: nameField, amount: numberField.nullish() }, "a line of a quote"),
      "a list of lines",
    ),
    /** Of all of it; the sum of its lines where absent. */
    total: notNegativeField.nullish(),
    note: textField.nullish(),
  },
  "a quote",
);
export type Quote = z.infer<typeof quoteSchema>;

/** Work on one machine on one day that somebody has decided on. */
export const visitSchema = z.looseObject(
  {
    id: visitIdField,
    machine: machineIdField,
    date: dateField,
    tasks: z.array(taskIdField, "a list of tasks"),
    /** Which turns of its tasks are meant; of a task that is not named, the turn of its day. */
    turns: z.array(chosenTurnSchema, "a list of turns").optional(),
    /** When it was decided on: work logged from then on, after the record of number `since`, is its own. */
    accepted: dateField,
    since: wholeField.nullish(),
    /** Its day is settled with others and is not proposed to be moved. */
    pinned: flagField.optional(),
    /** Tasks left out of it on purpose, which are not proposed for it again. */
    without: z.array(taskIdField, "a list of tasks").optional(),
    /** What a workshop asks for doing it. */
    quote: quoteSchema.nullish(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a visit",
);
export type Visit = z.infer<typeof visitSchema>;
