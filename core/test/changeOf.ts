import type { Change } from "../src/book/change/change.js";
import type { CommandResult } from "../src/book/change/command.js";

/** The change a command answers, which must not be refused. */
export function changeOf(result: CommandResult<unknown>): Change {
  if (!result.ok) throw new Error(`refused: ${JSON.stringify(result.issues)}`);
  return result.value;
}
