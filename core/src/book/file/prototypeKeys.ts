import type { z } from "zod";
import type { Book } from "./book.js";
import { numberField } from "../records/fields.js";
import type { BookIssue, IssuePath } from "./issue.js";
import { issuesOf } from "./issuesOf.js";
import { limitsSchema } from "../records/task.js";

const KEY = "__proto__";

/**
 * What is wrong under keys called `__proto__`, which are data like any other in a book but which
 * the record schemas pass over: the limits of a regime, the figure of a meter.
 */
export function prototypeKeyIssues(book: Book): BookIssue[] {
  const regimes = (book.tasks ?? []).flatMap((task, index) =>
    issuesUnder(task.regimes, limitsSchema, ["tasks", index, "regimes", KEY]),
  );
  const figures = (["entries", "rounds"] as const).flatMap((section) =>
    (book[section] ?? []).flatMap((record, index) =>
      issuesUnder(record.meters, numberField, [section, index, "meters", KEY]),
    ),
  );
  return [...regimes, ...figures];
}

function issuesUnder(
  holder: object | null | undefined,
  schema: z.ZodType,
  path: IssuePath,
): BookIssue[] {
  const own = Object.getOwnPropertyDescriptor(holder ?? {}, KEY);
  if (own === undefined) return [];
  return issuesOf(schema, own.value, path);
}
