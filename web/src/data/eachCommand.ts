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

/** What commands on several machines would change; those refused, and those not there, are noted in `refused`. */
export function commandEach<Issue>(
  books: readonly MachineBook[],
  commands: readonly (readonly [MachineId, MachineCommand<Issue>])[],
  refused: Map<MachineId, Issue | MachineMissing>,
  context: CommandContext,
): RecordChange[] {
  const there = new Map(books.map((book) => [book.machines[0].id, book]));
  return commands.flatMap(([id, command]) => {
    const book = there.get(id);
    const result = book === undefined ? null : command(book, context);
    if (result?.ok === true) return result.value.records;
    const issue = result === null ? { code: "machine-missing" as const } : result.issues[0];
    if (issue !== undefined) refused.set(id, issue);
    return [];
  });
}

/** All of it as one change under a name. */
export function changeOfEach(
  records: readonly RecordChange[],
  name: string,
): CommandResult<NothingToWrite> {
  if (records.length === 0) return failure([{ code: "nothing-to-write" }]);
  return success({ command: name, records });
}
