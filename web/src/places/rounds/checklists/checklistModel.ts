import { unitOfSum, type Check, type Checklist, type ChecklistId } from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

type CheckPick = NonNullable<Check["picks"]>[number];

/** A word to pick, as it stands in the form. */
export interface PickModel {
  readonly word: string;
  readonly verdict: NonNullable<CheckPick["verdict"]> | "";
  readonly means: string;
  readonly todo: string;
}

/** A check as it stands in the form: lists are words apart by commas, figures as they are typed. */
export interface CheckModel {
  readonly id: string;
  readonly name: string;
  readonly how: Check["how"];
  readonly where: string;
  readonly side: string;
  readonly good: string;
  readonly points: string;
  readonly sum: string;
  readonly unit: NonNullable<Check["unit"]> | "";
  readonly least: string;
  readonly watchLeast: string;
  readonly watchMost: string;
  readonly most: string;
  readonly uncertainty: string;
  readonly resolution: string;
  readonly uneven: string;
  readonly severity: NonNullable<Check["severity"]> | "";
  readonly wears: NonNullable<Check["wears"]> | "";
  readonly source: string;
  readonly specification: string;
  readonly tool: string;
  readonly fluid: string;
  readonly caution: string;
  readonly picks: readonly PickModel[];
  readonly ask: string;
  readonly yes: string;
  readonly no: string;
}

/** A checklist as it stands in the form. */
export interface ChecklistModel {
  readonly name: string;
  readonly when: string;
  readonly kinds: string;
  readonly note: string;
  readonly checks: readonly CheckModel[];
}

/** What stands in the way of saving a checklist, by its field: `name`, `checks.2.least`. */
export interface ChecklistProblem {
  readonly field: string;
  readonly code:
    "missing" | "no-checks" | "not-a-figure" | "below-least" | "negative" | "no-source";
}

const FIGURES = ["least", "watchLeast", "watchMost", "most"] as const;
const NOT_NEGATIVE = ["uncertainty", "resolution", "uneven"] as const;
const TEXTS = ["where", "side", "good", "source", "specification", "tool", "fluid"] as const;
const COMMAS = /\s*,\s*/;

const typed = (value: number | null | undefined): string =>
  value === null || value === undefined ? "" : typedFigure(value);
const wordsIn = (text: string): string[] =>
  text
    .split(COMMAS)
    .map((word) => word.trim())
    .filter((word) => word !== "");

/** A check of which nothing is said yet. */
export const emptyCheck = (): CheckModel => checkModel({ id: newId(), name: "", how: "look" });

function checkModel(check: Check): CheckModel {
  const { separates } = check;
  return {
    ...{ id: check.id, name: check.name, how: check.how },
    ...{ where: check.where ?? "", side: check.side ?? "", good: check.good ?? "" },
    points: (check.points ?? []).join(", "),
    ...{ sum: check.sum ?? "", unit: check.unit ?? "" },
    ...{ least: typed(check.least), watchLeast: typed(check.watchLeast) },
    ...{ watchMost: typed(check.watchMost), most: typed(check.most) },
    ...{ uncertainty: typed(check.uncertainty), resolution: typed(check.resolution) },
    ...{ uneven: typed(check.uneven), severity: check.severity ?? "", wears: check.wears ?? "" },
    ...{ source: check.source ?? "", specification: check.specification ?? "" },
    ...{ tool: check.tool ?? "", fluid: check.fluid ?? "", caution: check.caution ?? "" },
    picks: (check.picks ?? []).map(({ word, verdict, means, todo }) => ({
      ...{ word, verdict: verdict ?? "", means: means ?? "", todo: todo ?? "" },
    })),
    ...{ ask: separates?.ask ?? "", yes: separates?.yes ?? "", no: separates?.no ?? "" },
  };
}

/** A checklist as a form shows it; an empty one for a new one. */
export function checklistModel(source: Checklist | null): ChecklistModel {
  return {
    ...{ name: source?.name ?? "", when: source?.when ?? "", note: source?.note ?? "" },
    kinds: (source?.kinds ?? []).join(", "),
    checks: (source?.checks ?? []).map(checkModel),
  };
}

/** Whether a check is read as a figure. */
export const isFigured = ({ how, unit }: Pick<CheckModel, "how" | "unit">): boolean =>
  how === "measure" || how === "count" || unit !== "";

function checkProblems(check: CheckModel, at: number): ChecklistProblem[] {
  const problem = (field: string, code: ChecklistProblem["code"]): ChecklistProblem => ({
    ...{ field: `checks.${at}.${field}`, code },
  });
  const isBlank = (text: string): boolean => text.trim() === "";
  const numbers = [...FIGURES, ...NOT_NEGATIVE].flatMap((field) =>
    !isBlank(check[field]) && typedNumber(check[field]) === null
      ? [problem(field, "not-a-figure")]
      : [],
  );
  const negative = NOT_NEGATIVE.flatMap((field) =>
    (typedNumber(check[field]) ?? 0) < 0 ? [problem(field, "negative")] : [],
  );
  const [least, most] = [typedNumber(check.least), typedNumber(check.most)];
  const isUpsideDown = least !== null && most !== null && most < least;
  const hasLimit = FIGURES.some((field) => !isBlank(check[field]));
  return [
    ...(isBlank(check.name) ? [problem("name", "missing")] : []),
    ...numbers,
    ...negative,
    ...(isUpsideDown ? [problem("most", "below-least")] : []),
    ...(hasLimit && isBlank(check.source) ? [problem("source", "no-source")] : []),
    ...check.picks.flatMap(({ word }, place) =>
      isBlank(word) ? [problem(`picks.${place}.word`, "missing")] : [],
    ),
    ...(isBlank(check.ask) && !(isBlank(check.yes) && isBlank(check.no))
      ? [problem("ask", "missing")]
      : []),
  ];
}

/** What stands in the way of saving a checklist: a limit must say whose it is. */
export function checklistProblems({ name, checks }: ChecklistModel): ChecklistProblem[] {
  return [
    ...(name.trim() === "" ? [{ field: "name", code: "missing" } as const] : []),
    ...(checks.length === 0 ? [{ field: "", code: "no-checks" } as const] : []),
    ...checks.flatMap(checkProblems),
  ];
}

const orNull = <Word extends string>(text: Word | ""): Word | null =>
  text.trim() === "" ? null : (text.trim() as Word);

/** Fields that say something; one that says nothing is not written, unless the record had it. */
function said<Fields extends object>(fields: Fields, before: object | null): Partial<Fields> {
  const known = Object.entries(fields).filter(
    ([key, value]) =>
      (value !== null && !(Array.isArray(value) && value.length === 0)) ||
      (before !== null && key in before),
  );
  return Object.fromEntries(known) as Partial<Fields>;
}

function checkOf(model: CheckModel, before: Check | null): Check {
  const { id, how, picks, ask, yes, no } = model;
  const words = new Map((before?.picks ?? []).map((pick) => [pick.word, pick]));
  const fields = {
    ...Object.fromEntries(TEXTS.map((field) => [field, orNull(model[field])])),
    ...Object.fromEntries(
      [...FIGURES, ...NOT_NEGATIVE].map((field) => [field, typedNumber(model[field])]),
    ),
    ...{ points: wordsIn(model.points), sum: orNull(model.sum) },
    // A sum reads in a unit of its own.
    unit: unitOfSum(model) ?? orNull(model.unit),
    ...{ severity: orNull(model.severity), wears: orNull(model.wears) },
    caution: orNull(model.caution),
    picks: picks.map(({ word, verdict, means, todo }) => {
      const was = words.get(word.trim()) ?? null;
      const told = { verdict: orNull(verdict), means: orNull(means), todo: orNull(todo) };
      return { ...was, word: word.trim(), ...said(told, was) };
    }),
    separates:
      ask.trim() === ""
        ? null
        : {
            ...before?.separates,
            ...{
              ask: ask.trim(),
              ...said({ yes: orNull(yes), no: orNull(no) }, before?.separates ?? null),
            },
          },
  };
  return { ...(before ?? {}), id, name: model.name.trim(), how, ...said(fields, before) };
}

/** The checklist that a form without problems says; what the form does not show stays as it was. */
export function checklistOf(model: ChecklistModel, before: Checklist | null): Checklist {
  const known = new Map((before?.checks ?? []).map((check) => [check.id, check]));
  const fields = {
    ...{ when: orNull(model.when), kinds: wordsIn(model.kinds), note: orNull(model.note) },
  };
  return {
    ...(before ?? { id: newId() as ChecklistId }),
    ...{ name: model.name.trim(), ...said(fields, before) },
    checks: model.checks.map((check) => checkOf(check, known.get(check.id) ?? null)),
  };
}

/** A checklist of one's own after another: its checks keep their ids, so that what was read of them goes on. */
export function copyOf(source: Checklist, name: string): Checklist {
  const { revision: _, ...rest } = source;
  return { ...rest, id: newId() as ChecklistId, name };
}
