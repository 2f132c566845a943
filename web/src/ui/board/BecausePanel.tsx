import { meaningsIn, type MeaningWord } from "../../words/meanings.js";
import { Terms } from "../Term.js";
import type { BoardMachine, DayNumber, TaskReckoning } from "@yonderfell/core";
import type { ReactElement } from "react";
import { because, type Because } from "../../words/because.js";

/** Why a task is due when it is, limit by limit. */
export default function BecausePanel({
  id,
  task,
  machine,
  today,
}: {
  readonly id: string;
  readonly task: TaskReckoning;
  readonly machine: BoardMachine;
  readonly today: DayNumber;
}): ReactElement {
  const reasons = because(task, { machine, today });
  return (
    <div
      id={id}
      role="group"
      aria-label={`Because: ${task.task.name}`}
      className="border-l-4 border-hairline bg-raised px-4 py-3"
    >
      <dl className="grid gap-x-6 gap-y-2 sm:grid-cols-[minmax(8rem,max-content)_1fr]">
        {reasons.limits.map((limit, index) => (
          <div key={index} className="contents">
            <dt className={limit.governs ? "font-bold" : "text-quiet"}>
              {limit.name}
              {limit.governs && reasons.limits.length > 1 && (
                <span className="block text-fine font-normal text-quiet">governs</span>
              )}
            </dt>
            <dd className="max-w-[68ch]">{limit.sentences.join(" ")}</dd>
          </div>
        ))}
        {reasons.remarks.length > 0 && (
          <div className="contents">
            <dt className="text-quiet">Also</dt>
            <dd className="max-w-[68ch]">{reasons.remarks.join(" ")}</dd>
          </div>
        )}
      </dl>
      <Terms words={wordsIn(reasons)} />
    </div>
  );
}

/** The words of the reasons whose meaning can be opened. */
function wordsIn({ limits, remarks }: Because): MeaningWord[] {
  const governs = limits.length > 1 ? ["governs"] : [];
  const sentences = limits.flatMap((limit) => limit.sentences);
  return meaningsIn([...governs, ...sentences, ...remarks].join(" "));
}
