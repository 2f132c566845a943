import type { RecordChange, RecordOf } from "@yonderfell/core";

/** What an entry may say that names more than the tasks and meters which a command has read. */
const NAMING_MORE = ["fluids", "parts", "closes", "job", "round"] as const;

/** Whether a record is only logged: it names nothing but what the command that made it has read. */
export function isOnlyLogged({ section, after }: RecordChange): boolean {
  if (section === "readings" || section === "meterChanges") return true;
  // An event names its job and its machine, which the command that told it has read.
  if (section === "jobEvents") {
    return ((after as RecordOf["jobEvents"] | null)?.pictures ?? []).length === 0;
  }
  if (section !== "entries") return false;
  const entry = after as RecordOf["entries"] | null;
  return NAMING_MORE.every((field) => (entry?.[field] ?? null) === null);
}
