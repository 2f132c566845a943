import type { TaskId } from "@yonderfell/core";
import { useMemo } from "react";
import { useAppSelector } from "../../../session/store.js";

/** The names of the tasks of the board, by id. */
export function useTaskNames(): (task: TaskId) => string {
  const board = useAppSelector((state) => state.board.machines);
  return useMemo(() => {
    const names = new Map(
      board.flatMap(({ tasks }) => tasks.map(({ task }) => [task.id, task.name] as const)),
    );
    return (task) => names.get(task) ?? "a task";
  }, [board]);
}
