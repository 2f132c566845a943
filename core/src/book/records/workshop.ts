import { z } from "zod";
import { flagField, nameField, notNegativeField, textField } from "./fields.js";
import { bayIdField, personIdField, placeIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** Somebody who works on machines. */
export const personSchema = z.looseObject(
  {
    id: personIdField,
    name: nameField,
    /** How they sign in the record. */
    initials: nameField,
    /** What an hour costs, in the book's currency. */
    rate: notNegativeField.nullish(),
    hoursAWeek: notNegativeField.nullish(),
    /** No longer there; kept because records name them. */
    hasLeft: flagField.optional(),
    /** Words that must agree with what a task needs. */
    skills: z.array(nameField, "a list of skills").optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a person",
);
export type Person = z.infer<typeof personSchema>;

/** Where machines live and work is done. */
export const placeSchema = z.looseObject(
  { id: placeIdField, name: nameField, note: textField.nullish(), revision: revisionField },
  "a place",
);
export type Place = z.infer<typeof placeSchema>;

/** A stand where a machine is worked on. */
export const baySchema = z.looseObject(
  {
    id: bayIdField,
    name: nameField,
    place: placeIdField.nullish(),
    hoursAWeek: notNegativeField.nullish(),
    /** Words that must agree with what a task needs. */
    takes: z.array(nameField, "a list of what it takes").optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a bay",
);
export type Bay = z.infer<typeof baySchema>;
