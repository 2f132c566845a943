import { isEqual } from "es-toolkit";
import type { CsvCells } from "./csvCells.js";
import type { CsvNames } from "./csvNames.js";
import type { CsvKind } from "./csvColumns.js";

/** A record while it is being read: fields by name. */
export type Fields = Readonly<Record<string, unknown>>;

/** Fields with those of the last column over them; what stands there as null is taken away. */
function withRest(fields: Fields, rest: Fields): Fields {
  const all = [...Object.entries(fields), ...Object.entries(rest)].filter(([key]) => key !== "id");
  const kept = new Map(all);
  return Object.fromEntries([...kept].filter(([key, value]) => value !== null || !(key in rest)));
}

/** Whether two values say the same; nothing said and null are alike. */
export function saysTheSame(one: unknown, other: unknown): boolean {
  return isEqual(one ?? null, other ?? null);
}

/** The fields of a record that a table does not hold otherwise: what its cells say differs from it there. */
export function restOf(record: Fields, said: Fields): Fields {
  const keys = new Set([...Object.keys(record), ...Object.keys(said)]);
  for (const key of NEVER_WRITTEN) keys.delete(key);
  const differing = [...keys].filter((key) => !saysTheSame(record[key], said[key]));
  return Object.fromEntries(differing.map((key) => [key, record[key] ?? null]));
}

/** The id stands in a column of its own, and the counts of changes are this copy's. */
const NEVER_WRITTEN = ["id", "revision"];

/** Whatever is read, where a cell may hold what is not there. */
type Loose = Readonly<Record<string, unknown>>;

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const asLoose = (value: unknown): Loose =>
  typeof value === "object" && value !== null ? (value as Loose) : {};

/** A list with the ids left out that are not there. */
function kept(list: unknown, has: (id: string) => boolean): unknown[] {
  return listOf(list).filter((id) => typeof id !== "string" || has(id));
}

/** A record without its references to what the book does not have, and the fields that had them. */
export function withoutMissing(
  kind: CsvKind,
  id: string,
  fields: Fields,
  names: CsvNames,
  hasFluid: (machine: string, fluid: string) => boolean,
): { readonly fields: Fields; readonly missing: readonly string[] } {
  const changed =
    kind === "machines" ? machineFields(id, fields, names) : taskFields(kind, fields, hasFluid);
  const missing = Object.keys(changed).filter((key) => !isEqual(changed[key], fields[key]));
  return missing.length === 0
    ? { fields, missing }
    : { fields: { ...fields, ...changed }, missing };
}

function machineFields(id: string, fields: Fields, names: CsvNames): Fields {
  const hasTask = (task: string): boolean => names.hasTask(id, task);
  const { reminders, baseline } = fields;
  return {
    ...(Array.isArray(reminders)
      ? {
          reminders: reminders.map((one: unknown) => {
            const { tasks } = asLoose(one);
            return tasks === undefined ? one : { ...asLoose(one), tasks: kept(tasks, hasTask) };
          }),
        }
      : {}),
    ...(Array.isArray(asLoose(baseline)["left"])
      ? { baseline: { ...asLoose(baseline), left: kept(asLoose(baseline)["left"], hasTask) } }
      : {}),
  };
}

function taskFields(
  kind: CsvKind,
  fields: Fields,
  hasFluid: (machine: string, fluid: string) => boolean,
): Fields {
  const { uses, machine } = fields;
  if (kind !== "tasks" || !Array.isArray(uses)) return {};
  const has = (use: unknown): boolean => {
    const { fluid } = asLoose(use);
    return typeof fluid !== "string" || hasFluid(String(machine), fluid);
  };
  return { uses: uses.filter(has) };
}

/** What stands in the last column of a row, taken over what the cells say. */
export function fieldsSaid(fields: Fields, cells: CsvCells): Fields {
  return withRest(fields, cells.rest());
}
