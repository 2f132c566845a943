import type { DayNumber } from "@yonderfell/core";
import { Check } from "lucide-react";
import { Checkbox } from "radix-ui";
import type { ReactElement } from "react";
import { mostPressing } from "../../ui/boardOrder.js";
import { Cairn } from "../../ui/Cairn.js";
import { dueWords, dueWordsWithRange } from "../../words/moves.js";
import type { LogOutlook } from "./logModel.js";

/** The machine's tasks to tick, the most pressing first, with what ticking makes due next. */
export function TaskChoice({
  outlook,
  chosen,
  onChange,
  today,
}: {
  readonly outlook: LogOutlook;
  readonly chosen: readonly string[];
  readonly onChange: (tasks: string[]) => void;
  readonly today: DayNumber;
}): ReactElement {
  const toggle = (id: string, isDone: boolean): void =>
    onChange(isDone ? [...chosen, id] : chosen.filter((task) => task !== id));
  return (
    <fieldset>
      <legend className="text-large font-bold">Done</legend>
      <ul>
        {mostPressing([outlook.before]).map(({ task }) => {
          const { id, name } = task.task;
          const isDone = chosen.includes(id);
          const now = dueWords(outlook.before, id, today);
          const isKnown = outlook.issues.length === 0;
          const next = isKnown ? dueWordsWithRange(outlook.after, id, today) : "not known yet";
          return (
            <li key={id} className={`border-t border-hairline ${isDone ? "bg-raised" : ""}`}>
              <label className="flex min-h-12 flex-wrap items-center gap-x-3 px-1 py-1.5 sm:flex-nowrap">
                <Checkbox.Root
                  checked={isDone}
                  onCheckedChange={(checked) => toggle(id, checked === true)}
                  className="grid size-7 shrink-0 place-items-center rounded-[3px] border-2 border-rule bg-ground data-[state=checked]:border-clear data-[state=checked]:bg-clear"
                >
                  <Checkbox.Indicator>
                    <Check size={20} className="text-on-body" aria-hidden="true" />
                  </Checkbox.Indicator>
                </Checkbox.Root>
                <span className="min-w-0 flex-1">
                  <span className={isDone ? "font-bold" : "font-medium"}>{name}</span>
                  <span className="flex items-center gap-2 text-fine text-quiet">
                    <Cairn status={task.status} />
                    {now}
                  </span>
                </span>
                {isDone && (
                  <span
                    className="max-sm:w-full max-sm:pl-10 sm:max-w-[50%] sm:text-right"
                    data-next={id}
                  >
                    <span className="text-fine text-quiet sm:block">next </span>
                    <strong>{next}</strong>
                  </span>
                )}
              </label>
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}
