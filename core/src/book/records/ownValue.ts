/** The value a plain object itself holds under a key that came from data, or undefined: never one it inherits. */
export function ownValue<Value>(
  object: Readonly<Record<string, Value>> | null | undefined,
  key: string,
): Value | undefined {
  return object !== null && object !== undefined && Object.hasOwn(object, key)
    ? object[key]
    : undefined;
}
