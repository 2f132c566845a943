import type { Transaction } from "dexie";
import type { JournalLine } from "./bookStorage.js";
import { machinesNamed } from "./machinesNamed.js";
import { newId } from "./newId.js";
import type { Fact } from "./row.js";

export { packRows } from "./packRows.js";

/** Each copy has a name, and journal lines name the machines they touch. */
export async function toVersion2(transaction: Transaction): Promise<void> {
  await transaction.table("facts").put({ key: "copy", value: newId() });
  await transaction
    .table<JournalLine>("journal")
    .toCollection()
    .modify((line, at) => {
      at.value = { ...line, machines: [...machinesNamed(line.change)] };
    });
}

/** What became a section with version 2 of the book; up to version 6 of the database it stood in the head, if anywhere. */
const SECTIONS_SINCE_7 = [
  ...["bookings", "rounds", "findings", "samples", "jobs", "jobEvents"],
  ...["checklists", "methods", "closures", "stockMoves", "containers", "wasteMoves", "orders"],
];

/** The book is of version 2. */
export async function toVersion7(transaction: Transaction): Promise<void> {
  await setAsideUnread(transaction, SECTIONS_SINCE_7);
}

/** Keeps what stood in the head under the names of new sections as it was, under names that say it was never looked at. */
export async function setAsideUnread(
  transaction: Transaction,
  sections: readonly string[],
): Promise<void> {
  const facts = transaction.table<Fact>("facts");
  const head = (await facts.get("head"))?.value as Record<string, unknown> | undefined;
  const unread = Object.keys(head ?? {}).filter((key) => sections.includes(key));
  if (unread.length === 0) return;
  const renamed = Object.entries(head ?? {}).map(([key, value]) => [
    unread.includes(key) ? `${key} (not read)` : key,
    value,
  ]);
  await facts.put({ key: "head", value: Object.fromEntries(renamed) });
}
