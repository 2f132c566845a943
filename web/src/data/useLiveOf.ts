import { useLiveQuery } from "dexie-react-hooks";

/**
 * What is read live of one thing, such as a machine; undefined until it is read. Where another is asked
 * for, nothing is answered until that one is read: the library would answer the one before meanwhile,
 * whose figures must not stand under the new name.
 */
export function useLiveOf<Value>(
  key: string | null,
  read: () => Promise<Value>,
  uses: readonly unknown[],
): Value | undefined {
  const found = useLiveQuery(async () => ({ key, value: await read() }), [key, ...uses]);
  return found?.key === key ? found.value : undefined;
}
