import type { Hindsight, Task } from "@yonderfell/core";
import type { ReactElement } from "react";
import { fullDate } from "../../../words/format.js";

/** What tests found that put a turn off. */
export function TestsOfYears({
  tests,
  tasks,
}: {
  readonly tests: Hindsight["tests"];
  readonly tasks: readonly Task[];
}): ReactElement {
  return (
    <section aria-labelledby="tests" className="mt-6">
      <h3 id="tests" className="font-bold">
        Tested sound, and put off
      </h3>
      {tests.length === 0 && <p className="text-quiet">No test put a turn off in these years.</p>}
      <ul>
        {tests.map(({ task, on, found }, at) => (
          <li
            key={`${task} ${String(on)} ${String(at)}`}
            className="border-t border-hairline py-1.5"
          >
            <span className="tabular-nums">{fullDate(on)}</span>{" "}
            <strong>{tasks.find(({ id }) => id === task)?.name ?? task}</strong>
            {found !== null && `: ${found}`}
          </li>
        ))}
      </ul>
    </section>
  );
}
