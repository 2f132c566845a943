import {
  BOOK_NEEDS,
  decideBaseline,
  type BaselineDecision,
  type BaselineIssue,
  type BoardMachine,
  type TaskId,
} from "@yonderfell/core";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { logIssueWords } from "../../shared/logging/logWords.js";

/** The way to decide what some tasks of a machine start from; answers whether it is decided. `name` is what is told of. */
export function useDeciding(
  tasks: readonly TaskId[],
  name: string,
  machine: BoardMachine,
): { readonly decide: (decision: BaselineDecision) => Promise<boolean>; readonly failure: string } {
  const today = useAppSelector((state) => state.session.today);
  const { run, failure } = useCommands<BaselineIssue>((issue) =>
    logIssueWords(issue, machine, today),
  );
  const decide = async (decision: BaselineDecision): Promise<boolean> => {
    const saved = await run(
      (storage, around) =>
        storage.perform(
          machine.machine.id,
          BOOK_NEEDS,
          (book, context) => decideBaseline(book, tasks, decision, context),
          around,
        ),
      `${name}: decided.`,
    );
    return saved !== null;
  };
  return { decide, failure };
}
