import {
  countStock,
  moveStock,
  strikeMove,
  type CommandContext,
  type CommandResult,
  type SharedSlice,
  type StockIssue,
  type StockTold,
} from "@yonderfell/core";
import { useCommands } from "../../../session/useCommands.js";
import { counted } from "../../../words/format.js";
import { stockIssueWords } from "../stockWords.js";

/** What is done with stock; each answers whether it is done. */
interface Moves {
  readonly move: (told: StockTold) => Promise<boolean>;
  readonly count: (counts: readonly Omit<StockTold, "why">[]) => Promise<boolean>;
  readonly strike: (id: string) => Promise<boolean>;
  readonly failure: string;
}

/** The ways to write down what comes to the shelves, leaves them and is counted. */
export function useMoves(): Moves {
  const { run, failure } = useCommands<StockIssue>(stockIssueWords);
  const act = async (
    command: (
      slice: SharedSlice<"stockMoves">,
      context: CommandContext,
    ) => CommandResult<StockIssue>,
    told: string,
  ): Promise<boolean> => {
    const saved = await run(
      (storage, around) => storage.performShared(["stockMoves"], command, around),
      told,
    );
    return saved !== null;
  };
  return {
    move: (told) => act((_slice, context) => moveStock(told, context), "Written down."),
    count: (counts) =>
      act(
        (_slice, context) => countStock(counts, context),
        `${counted(counts.length, "count")} written down.`,
      ),
    strike: (id) => act((slice, context) => strikeMove(slice, id, context), "Struck out."),
    failure,
  };
}
