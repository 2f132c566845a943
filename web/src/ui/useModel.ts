import { fieldsOf, type FieldsOf } from "./field.js";
import { useState } from "react";

/** What stands in a form as it is filled in. */
export interface FormModel<Model> {
  readonly model: Model;
  readonly set: (patch: Partial<Model>) => void;
  /** The field of one of its parts. */
  readonly field: FieldsOf<Model>;
}

/** Holds what stands in a form. */
export function useModel<Model>(start: () => Model): FormModel<Model> {
  const [model, setModel] = useState(start);
  // By what stood there last, so that two fields changed at once both stand.
  const set = (patch: Partial<Model>): void => setModel((last) => ({ ...last, ...patch }));
  return { model, set, field: fieldsOf(model, set) };
}
