import type { z } from "zod";

/** Refuses what a list says twice: `keyOf` tells what is the same, `path` where in it that stands. */
export function eachOnce<Item>(
  keyOf: (item: Item) => string,
  path: readonly string[],
  messageOf: (key: string) => string,
): (list: readonly Item[], context: z.core.$RefinementCtx) => void {
  return (list, context) => {
    const seen = new Set<string>();
    list.forEach((item, at) => {
      const key = keyOf(item);
      if (seen.has(key)) {
        context.addIssue({ code: "custom", path: [at, ...path], message: messageOf(key) });
      }
      seen.add(key);
    });
  };
}
