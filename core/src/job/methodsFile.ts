import { z } from "zod";
import { isEqual } from "es-toolkit";
import type { BookIssue } from "../book/file/issue.js";
import { issuesOf } from "../book/file/issuesOf.js";
import { put, type Change } from "../book/change/change.js";
import type { MethodId } from "../book/records/ids.js";
import { methodSchema, type Method } from "../book/records/job.js";
import { METHODS } from "./make/library/index.js";

/** What a file of methods calls itself in its `format` field. */
const METHODS_FORMAT = "yonderfell-methods";
const METHODS_VERSION = 1;

/** Methods by themselves, as a file that can be given to others. */
export interface MethodsFile {
  readonly format: typeof METHODS_FORMAT;
  readonly version: number;
  readonly methods: readonly Method[];
}

/** Methods as a file by themselves; what only this copy knows of them (`revision`) is left out. */
export function methodsFile(methods: readonly Method[]): MethodsFile {
  const plain = methods.map(({ revision: _, ...method }) => method as Method);
  return { format: METHODS_FORMAT, version: METHODS_VERSION, methods: plain };
}

/** The methods of the library, as records; their ids are their names. */
export function libraryMethods(): Method[] {
  return METHODS.map(({ name, uses, steps }) => ({
    ...{ id: `library-${name.replaceAll(/[^a-z]+/g, "-")}` as MethodId, name },
    ...{ uses: [...uses], steps: [...steps] },
  }));
}

const fileSchema = z.looseObject(
  {
    format: z.literal(METHODS_FORMAT, METHODS_FORMAT),
    version: z.literal(METHODS_VERSION, String(METHODS_VERSION)),
    methods: z.array(methodSchema, "a list of methods"),
  },
  "a file of methods",
);

/** The methods of a file from parsed JSON, or what was expected where. Refused: another format or version, a method that is none, two of one id. */
export function readMethodsFile(
  data: unknown,
): { readonly methods: readonly Method[] } | { readonly issue: BookIssue } {
  const [issue] = issuesOf(fileSchema, data, []);
  if (issue !== undefined) return { issue };
  const { methods } = data as MethodsFile;
  const at = methods.findIndex(
    ({ id }, place) => methods.findIndex((one) => one.id === id) < place,
  );
  return at < 0
    ? { methods }
    : {
        issue: { code: "duplicate-id", path: ["methods", at, "id"], expected: "an id of its own" },
      };
}

/** The change that takes methods of a file in: one that the book has stays, one under an id that another has gets a new one. */
export function takeInMethods(
  held: readonly Method[],
  taken: readonly Method[],
  newId: () => string,
): Change {
  const plain = ({ revision: _, id: __, ...method }: Method): object => method;
  const records = taken.flatMap((method) => {
    if (held.some((one) => isEqual(plain(one), plain(method)))) return [];
    const isFree = held.every(({ id }) => id !== method.id);
    const { revision: _, ...rest } = method;
    return [put("methods", { ...rest, id: isFree ? method.id : (newId() as MethodId) })];
  });
  return { command: "take-in-methods", records };
}
