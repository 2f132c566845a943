import type { Change, CommandResult } from "@yonderfell/core";

/** The change a command answers, which must not be refused. */
export function changeOf(result: CommandResult<unknown>): Change {
  if (!result.ok) throw new Error(`refused: ${JSON.stringify(result.issues)}`);
  return result.value;
}
