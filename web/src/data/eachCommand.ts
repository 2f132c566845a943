import {
  failure,
  success,
  type CommandContext,
  type CommandResult,
  type MachineBook,
  type MachineId,
  type RecordChange,
} from "@yonderfell/core";
import type { MachineCommand, MachineMissing } from "./bookStorage.js";

/** Every command was refused. */
export interface NothingToWrite {
  readonly code: "nothing-to-write";
}

/** The change of a command on each of several machines; those refused, and those not there, are noted and left out. */
export function eachCommand<Issue>(
  books: readonly MachineBook[],
  commands: ReadonlyMap<MachineId, MachineCommand<Issue>>,
  name: string,
  refused: Map<MachineId, Issue | MachineMissing>,
  context: CommandContext,
): CommandResult<NothingToWrite> {
  const records: RecordChange[] = [];
  const there = new Map(books.map((book) => [book.machines[0].id, book]));
  for (const [id, command] of commands) {
    const book = there.get(id);
    const result = book === undefined ? null : command(book, context);
    if (result === null) refused.set(id, { code: "machine-missing" });
    else if (result.ok) records.push(...result.value.records);
    else if (result.issues[0] !== undefined) refused.set(id, result.issues[0]);
  }
  if (records.length === 0) return failure([{ code: "nothing-to-write" }]);
  return success({ command: name, records });
}
