/** A record without its fields that say nothing: null, undefined, false, empty words and lists are left out. */
export function present<Fields extends object>(fields: {
  readonly [Key in keyof Fields]: Fields[Key] | null | undefined | false;
}): Fields {
  const isSaid = (value: unknown): boolean =>
    value !== null &&
    value !== undefined &&
    value !== false &&
    value !== "" &&
    !(Array.isArray(value) && value.length === 0);
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => isSaid(value))) as Fields;
}
