import { z } from "zod";
import { UNIT_NAMES, type Unit } from "../../quantity/unit.js";
import { eachOnce } from "./eachOnce.js";
import { nameField, notNegativeField, numberField, textField } from "./fields.js";
import { checklistIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";
import { verdictField } from "./verdicts.js";

/** How something is checked. */
export const CHECK_WAYS = [
  ...(["look", "feel", "listen", "smell"] as const),
  ...(["measure", "count", "function"] as const),
];

const unitField = z.enum(UNIT_NAMES as readonly [Unit, ...Unit[]], "the name of a unit");

/** What a field of a sum is filled in with. */
export const figureField = z.union(
  [numberField, textField, z.array(textField)],
  "a number, text, or a list of texts",
);

/** What a reading is judged by: in a checklist, and kept with the result it judged. */
export const judgedByFields = {
  unit: unitField.nullish(),
  least: numberField.nullish(),
  most: numberField.nullish(),
  watchLeast: numberField.nullish(),
  watchMost: numberField.nullish(),
  /** What it is where a limit is passed. */
  severity: z.enum(["attend", "stop"], "attend or stop").nullish(),
  /** Who says so: handbook, law, label, rule of thumb. */
  source: textField.nullish(),
  /** Of one reading, in the unit. */
  uncertainty: notNegativeField.nullish(),
  /** The smallest step of the instrument, in the unit. */
  resolution: notNegativeField.nullish(),
};

/** A word to pick, and what it means. */
const pickSchema = z.looseObject(
  {
    word: nameField,
    means: textField.nullish(),
    todo: textField.nullish(),
    verdict: verdictField.nullish(),
  },
  "a word to pick",
);

const checkSchema = z.looseObject(
  {
    /** Tells it apart within its checklist. */
    id: nameField,
    name: nameField,
    how: z.enum(CHECK_WAYS, CHECK_WAYS.join(", ")),
    where: textField.nullish(),
    side: textField.nullish(),
    /** What good looks like. */
    good: textField.nullish(),
    /** What is checked one by one: each wheel, each side. */
    points: z.array(nameField, "a list of names").optional(),
    ...judgedByFields,
    tool: textField.nullish(),
    picks: z.array(pickSchema, "a list of words to pick").optional(),
    /** The question that tells two possible causes apart. */
    separates: z
      .looseObject(
        { ask: nameField, yes: textField.nullish(), no: textField.nullish() },
        "a question with what yes and no mean",
      )
      .nullish(),
    /** Which way it goes as it wears. */
    wears: z.enum(["up", "down"], "up or down").nullish(),
    /** The sum that judges its figures, such as `tread` or `battery`; one that is not known judges nothing. */
    sum: textField.nullish(),
    /** What the sum is asked with where nobody says otherwise, by the names of its fields. */
    given: z.record(z.string(), figureField, "figures by name").nullish(),
    /** Left and right that differ by more are unlike, in the unit. */
    uneven: notNegativeField.nullish(),
    /** The kind of fluid it looks at. */
    fluid: textField.nullish(),
    /** The figure of the machine's plate that its limit is. */
    specification: textField.nullish(),
    caution: textField.nullish(),
  },
  "a check",
);
export type Check = z.infer<typeof checkSchema>;

/** Refuses an id that another check has. */
const idsOfTheirOwn = eachOnce<Check>(
  ({ id }) => id,
  ["id"],
  (id) => `an id of its own (${JSON.stringify(id)} is taken)`,
);

/** What is looked at in a round, in order. */
export const checklistSchema = z.looseObject(
  {
    id: checklistIdField,
    name: nameField,
    /** The kinds of machine it is for; any where empty. */
    kinds: z.array(nameField, "a list of kinds of machine").optional(),
    /** Daily, monthly, before a season, on taking on. */
    when: textField.nullish(),
    checks: z.array(checkSchema, "a list of checks").superRefine(idsOfTheirOwn).optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a checklist",
);
export type Checklist = z.infer<typeof checklistSchema>;
