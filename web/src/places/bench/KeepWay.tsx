import {
  dropOwnWay,
  keepMethod,
  keepOwnWay,
  type CommandResult,
  type JobStep,
  type KeepWayIssue,
  type Slice,
  type Task,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { useCommands } from "../../session/useCommands.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";

function keepIssueWords(issue: KeepWayIssue): string {
  switch (issue.code) {
    case "task-not-found":
      return "The task is not in the book any more.";
    case "no-steps":
      return "There are no steps of it to keep.";
  }
}

/** Keeps the steps of a task as they stand now, as the way of this machine or of all of its kind. */
export function KeepWay({
  task,
  steps,
}: {
  readonly task: Task;
  readonly steps: readonly JobStep[];
}): ReactElement {
  const { kind, failure, keepOwn, keepForKind, drop } = useKeepWay(task, steps);
  const hasOwn = (task.steps ?? []).length > 0;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2 border-t border-hairline pt-3">
      <span className="min-w-40 flex-1">{task.name}</span>
      <button type="button" className={QUIET_BUTTON} onClick={() => void keepOwn()}>
        Keep as this machine’s way
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={() => void keepForKind()}>
        Keep for every {kind}
      </button>
      {hasOwn && (
        <button type="button" className={QUIET_BUTTON} onClick={() => void drop()}>
          Back to the usual way
        </button>
      )}
      <p role="alert" className="w-full font-semibold text-due empty:hidden">
        {failure}
      </p>
    </div>
  );
}

/** The ways to keep the steps of a task, and to go back to the usual. */
function useKeepWay(task: Task, steps: readonly JobStep[]) {
  const { storage } = useBook();
  const kind = useAppSelector(
    (state) =>
      state.board.machines.find(({ machine }) => machine.id === task.machine)?.machine.kind ?? "",
  );
  const { run, failure } = useCommands<KeepWayIssue>(keepIssueWords);
  const onTask = (
    command: (slice: Slice<"tasks">) => CommandResult<KeepWayIssue>,
    told: string,
  ): Promise<unknown> =>
    run((_, around) => storage.perform(task.machine, ["tasks"], command, around), told);
  return {
    kind,
    failure,
    keepOwn: () =>
      onTask((slice) => keepOwnWay(slice, task.id, steps), "Kept as this machine's way."),
    drop: () => onTask((slice) => dropOwnWay(slice, task.id), "The usual way holds again."),
    keepForKind: () =>
      run(
        (_, around) =>
          storage.performShared(
            ["methods"],
            (slice, context) => keepMethod(slice, { task, kind, uses: [], steps }, context),
            around,
          ),
        `Kept as the way for every machine of the kind ${kind}.`,
      ),
  };
}
