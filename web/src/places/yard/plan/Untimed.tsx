import { untimedTasks, type MachineBook } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { figure } from "../../../words/format.js";

/** How many tasks say nothing of how long they take, and the way to say it. */
export function Untimed({ book }: { readonly book: MachineBook }): ReactElement | null {
  const count = untimedTasks(book.tasks).reduce((sum, { tasks }) => sum + tasks.length, 0);
  if (count === 0) return null;
  const path = `/yard/minutes?machine=${encodeURIComponent(book.machines[0].id)}`;
  const words =
    count === 1
      ? "One task does not say how long it takes."
      : `${figure(count)} tasks do not say how long they take.`;
  return (
    <p className="mb-3">
      {words}{" "}
      <Link to={path} className="text-clear underline">
        Say it for all at once
      </Link>
    </p>
  );
}
