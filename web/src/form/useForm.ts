import { isEqual } from "es-toolkit";
import { useEffect, useState, type FormEvent } from "react";
import { useForm as useFields, useWatch, type FieldValues } from "react-hook-form";
import { useBook } from "../session/openBook.js";
import { fieldsOf, type Field } from "../ui/field.js";
import { draftOf, dropDraft, keepDraft } from "./drafts.js";
import type { FormName } from "./forms.js";
import { onceSaved, rebased, settled, type KeyOf, type Model, type Standing } from "./rebase.js";

/** Something that stands in the way of saving: in which field, and what, for words to be made of. */
export interface Problem {
  /** The field, with the way into it where it holds rows: `tag`, `laidUp.0.to`; empty where it is none's alone. */
  readonly field: string;
  readonly code: string;
}

/** What a form is of. */
export interface FormOf<M extends Model, Source, P extends Problem> {
  readonly form: FormName;
  /** Which of its kind: the id of the record or of its machine, or `new`. */
  readonly of: string;
  /** What it is filled in from, as it stands now; it may move while it is being filled in. */
  readonly source: Source;
  readonly modelOf: (source: Source) => M;
  readonly labels: Readonly<Record<KeyOf<M>, string>>;
  readonly problemsOf: (model: M) => readonly P[];
  readonly problemWords: (problem: P) => string;
  /** Whether it stands as it opened once it is saved, for the next one of its kind. */
  readonly isForNext?: boolean;
}

/** A field with what it is called. */
export interface FormField<Value> extends Field<Value> {
  readonly label: string;
}

/** A form that is being filled in. */
export interface FormInHand<M extends Model, Source> extends Standing<M> {
  readonly set: (patch: Partial<M>) => void;
  readonly field: <Key extends KeyOf<M>>(key: Key) => FormField<M[Key]>;
  readonly labels: Readonly<Record<KeyOf<M>, string>>;
  /** What it is filled in from: what stood before, for what is saved. */
  readonly source: Source;
  /** When it was begun, where it was begun earlier and is gone on with; null else. */
  readonly begunAt: string | null;
  /** Whether what is typed is kept for this tab. */
  readonly isKept: boolean;
  readonly isSaving: boolean;
  /** Whether anything in it says something else than its record. */
  readonly isTouched: boolean;
  /** What stands in the way and is no one field's, once saving has been tried; empty where nothing does. */
  readonly problem: string;
  /** How many problems stand at fields, once saving has been tried. */
  readonly wrong: number;
  readonly settle: (key: KeyOf<M>, isMine: boolean) => void;
  readonly startAfresh: () => void;
  /** Saves, unless something is wrong or is to be asked first; `save` answers whether it is saved. */
  readonly submit: (
    save: (model: M, source: Source) => Promise<boolean>,
  ) => (event: FormEvent) => void;
  /** How often saving has been tried since it was opened or saved. */
  readonly tried: number;
}

interface Opened<M, Source> extends Omit<Standing<M>, "model"> {
  readonly source: Source;
}

interface Begun<M, Source> {
  /** What stands in the form as it opens. */
  readonly start: M;
  readonly opened: Opened<M, Source>;
  readonly setOpened: (opened: Opened<M, Source>) => void;
  readonly begunAt: string | null;
  readonly setBegunAt: (at: string | null) => void;
}

/** What a form opens with: what was begun earlier, brought up to its record, or what the record says. */
function useBegun<M extends Model, Source, P extends Problem>(
  { source, modelOf }: FormOf<M, Source, P>,
  key: string,
): Begun<M, Source> {
  const [first] = useState(() => {
    const base = modelOf(source);
    const draft = draftOf(key, base);
    // A new one has no record that could have moved meanwhile.
    const begun = draft ?? { model: base, base, clashes: [] };
    const standing = draft === null || source === null ? begun : rebased(begun, base);
    return { standing, at: draft?.at ?? null };
  });
  const { model, base, clashes } = first.standing;
  const [opened, setOpened] = useState<Opened<M, Source>>({ source, base, clashes });
  const [begunAt, setBegunAt] = useState(first.at);
  return { start: model, opened, setOpened, begunAt, setBegunAt };
}

/** Keeps what is typed for this tab, as long as it differs from its record; answers whether there was room. */
function keepTyped<M extends Model>(key: string, { model, base, clashes }: Standing<M>): boolean {
  if (!isEqual(model, base)) {
    return keepDraft(key, { model, base, clashes }, new Date().toISOString());
  }
  dropDraft(key);
  return true;
}

/** What is wrong with a form, in words. */
function saidOf<M extends Model, P extends Problem>(
  problems: readonly P[],
  words: (problem: P) => string,
): Pick<FormInHand<M, unknown>, "problem" | "wrong"> & { problemAt: (path: string) => string } {
  const atFields = problems.filter(({ field }) => field !== "");
  const first = problems.find(({ field }) => field === "");
  const problemAt = (path: string): string => {
    const own = problems.find(({ field }) => field === path);
    return own === undefined ? "" : words(own);
  };
  return { problem: first === undefined ? "" : words(first), wrong: atFields.length, problemAt };
}

/**
 * A form over a record that may change elsewhere while it is filled in: what is typed stays, what is not follows,
 * and where both have changed it is asked. What is typed is kept for this tab until it is saved.
 */
export function useForm<M extends Model, Source, P extends Problem>(
  given: FormOf<M, Source, P>,
): FormInHand<M, Source> {
  const { form, of, labels } = given;
  const key = `yonderfell-form ${useBook().entry.database} ${form} ${of}`;
  const { start, opened, setOpened, begunAt, setBegunAt } = useBegun(given, key);
  const fields = useFields<FieldValues>({ defaultValues: start });
  const model = useWatch({ control: fields.control }) as M;
  const standing: Standing<M> = { model, base: opened.base, clashes: opened.clashes };
  const [isSaving, setIsSaving] = useState(false);
  const [isKept, setIsKept] = useState(true);
  const stand = (next: Standing<M>, source: Source): void => {
    keepTyped(key, next);
    fields.reset(next.model);
    setOpened({ source, base: next.base, clashes: next.clashes });
  };
  useEffect(() => {
    // What is being saved comes back with the record, and has not changed elsewhere.
    if (isSaving || isEqual(given.source, opened.source)) return;
    stand(rebased(standing, given.modelOf(given.source)), given.source);
  });
  const [tried, setTried] = useState(0);
  const said = saidOf<M, P>(tried === 0 ? [] : given.problemsOf(model), given.problemWords);
  const begin = (next: Standing<M>, source: Source): void => {
    setBegunAt(null);
    setTried(0);
    stand(next, source);
  };
  const set = (patch: Partial<M>): void => {
    for (const [name, value] of Object.entries(patch)) fields.setValue(name, value);
    setIsKept(keepTyped(key, { ...opened, model: fields.getValues() as M }));
  };
  const bare = fieldsOf(model, set, said.problemAt);
  return {
    ...standing,
    ...said,
    ...{ labels, source: opened.source, begunAt, isKept, isSaving, tried, set },
    isTouched: !isEqual(model, opened.base),
    field: (name) => ({ ...bare(name), label: labels[name] }),
    settle: (name, isMine) => stand(settled(standing, name, isMine), opened.source),
    startAfresh: () => {
      const fresh = given.modelOf(given.source);
      begin({ model: fresh, base: fresh, clashes: [] }, given.source);
    },
    submit: (save) => (event) => {
      event.preventDefault();
      setTried((times) => times + 1);
      const isAsked = opened.clashes.length > 0;
      if (isAsked || isSaving || given.problemsOf(model).length > 0) return;
      setIsSaving(true);
      void save(model, opened.source)
        .then((isSaved) => {
          if (!isSaved) return;
          const now = fields.getValues() as M;
          const fresh = given.isForNext === true ? opened.base : null;
          begin(onceSaved(now, model, fresh), opened.source);
        })
        .finally(() => setIsSaving(false));
    },
  };
}
