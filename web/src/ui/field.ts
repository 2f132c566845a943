/** What a field of a form needs: what stands in it, and what to do with what is typed. */
export interface Field<Value> {
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  /** What is wrong with it; empty or absent where nothing is. */
  readonly problem?: string;
  /** What is wrong with something within it, by the way to it: `0.to`. */
  readonly problemAt?: (path: string) => string;
}

/** The fields of something, by their names. */
export type FieldsOf<M> = <Key extends keyof M & string>(key: Key) => Field<M[Key]>;

/** The fields of something that stands somewhere else, such as a row of a list; `problemAt` says what is wrong with each. */
export function fieldsOf<M>(
  model: M,
  set: (patch: Partial<M>) => void,
  problemAt: (path: string) => string = () => "",
): FieldsOf<M> {
  return (key) => ({
    value: model[key],
    onChange: (value) => set({ [key]: value } as unknown as Partial<M>),
    problem: problemAt(key),
    problemAt: (path) => problemAt(`${key}.${path}`),
  });
}
