import { useState } from "react";

/** What a form field needs: what stands in it, and what to do with what is typed. */
export interface Field<Value> {
  readonly value: Value;
  readonly onChange: (value: Value) => void;
}

/** What stands in a form as it is filled in. */
export interface FormModel<Model> {
  readonly model: Model;
  readonly set: (patch: Partial<Model>) => void;
  /** The field of one of its parts. */
  readonly field: <Key extends keyof Model>(key: Key) => Field<Model[Key]>;
}

/** The fields of something that stands somewhere else, such as a row of a list. */
export function fieldsOf<Model>(
  model: Model,
  set: (patch: Partial<Model>) => void,
): FormModel<Model>["field"] {
  return (key) => ({
    value: model[key],
    onChange: (value) => set({ [key]: value } as unknown as Partial<Model>),
  });
}

/** Holds what stands in a form. */
export function useModel<Model>(start: () => Model): FormModel<Model> {
  const [model, setModel] = useState(start);
  // By what stood there last, so that two fields changed at once both stand.
  const set = (patch: Partial<Model>): void => setModel((last) => ({ ...last, ...patch }));
  return { model, set, field: fieldsOf(model, set) };
}
