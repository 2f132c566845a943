import {
  mayHoldUntil,
  mostPressing,
  stepsIncluded,
  type DayNumber,
  type TaskReckoning,
} from "@yonderfell/core";
import { Check } from "lucide-react";
import { Checkbox } from "radix-ui";
import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { Cairn } from "../../../ui/board/Cairn.js";
import { dueWords, dueWordsWithRange } from "../../../words/moves.js";
import { newTest, type FormPaper, type FormTest, type LogOutlook } from "./logModel.js";
import { TestFields } from "./TestFields.js";

interface TaskChoiceProps {
  readonly outlook: LogOutlook;
  readonly chosen: readonly string[];
  /** The tasks tested sound instead. */
  readonly tests: readonly FormTest[];
  readonly onChange: (tasks: string[]) => void;
  readonly onTests: (tests: FormTest[]) => void;
  /** Until when papers say that tasks hold; null where that is not asked. */
  readonly papers: readonly FormPaper[] | null;
  readonly onPapers: (papers: FormPaper[]) => void;
  readonly today: DayNumber;
}

/** The machine's tasks to tick, the most pressing first, with what ticking makes due next. */
export function TaskChoice(props: TaskChoiceProps): ReactElement {
  const { chosen, tests, outlook } = props;
  // Opened for some tasks on a narrow screen, the others stand back until they are asked for.
  const [isWhole, setIsWhole] = useState(chosen.length === 0);
  const tasks = mostPressing([outlook.before]);
  const isNamed = (id: string): boolean =>
    chosen.includes(id) || tests.some(({ task }) => task === id);
  const others = tasks.filter(({ task }) => !isNamed(task.task.id)).length;
  return (
    <fieldset>
      <legend className="text-large font-bold">Done</legend>
      <ul>
        {tasks.map(({ task }) => (
          <TaskLine
            key={task.task.id}
            task={task}
            isBack={!isWhole && !isNamed(task.task.id)}
            {...props}
          />
        ))}
      </ul>
      {!isWhole && others > 0 && (
        <button
          type="button"
          className={`${QUIET_BUTTON} mt-2 sm:hidden`}
          onClick={() => setIsWhole(true)}
        >
          Other tasks, {others}
        </button>
      )}
    </fieldset>
  );
}

function TaskLine(
  props: TaskChoiceProps & { readonly task: TaskReckoning; readonly isBack: boolean },
): ReactElement {
  const { task, outlook, chosen, tests, onChange, onTests, papers, onPapers, today } = props;
  const { id, name } = task.task;
  const isDone = chosen.includes(id);
  const test = tests.find((one) => one.task === id);
  const others = tests.filter((one) => one.task !== id);
  const all = outlook.before.tasks.map((one) => one.task);
  const isKnown = outlook.issues.length === 0;
  const next = isKnown ? dueWordsWithRange(outlook.after, id, today) : "not known yet";
  const tick = (isTicked: boolean): void => {
    // A larger step of a ladder is done with the smaller ones in it.
    const included = stepsIncluded(id, all).filter((other) => !chosen.includes(other));
    onChange(isTicked ? [...chosen, id, ...included] : chosen.filter((other) => other !== id));
    if (test !== undefined) onTests(others);
  };
  const startTest = (): void => {
    onTests([...tests, newTest(id)]);
    if (isDone) onChange(chosen.filter((other) => other !== id));
  };
  return (
    <li
      className={`border-t border-hairline ${isDone || test ? "bg-raised" : ""} ${props.isBack ? "max-sm:hidden" : ""}`}
    >
      <div className="flex flex-wrap items-center gap-x-3 sm:flex-nowrap">
        <Tick
          task={task}
          words={dueWords(outlook.before, id, today)}
          isDone={isDone}
          onTick={tick}
        />
        {(isDone || test !== undefined) && <Next id={id} isDone={isDone} words={next} />}
        {!isDone && test === undefined && (
          <button
            type="button"
            aria-label={`${name}: tested sound, not done`}
            className="min-h-10 shrink-0 px-2 text-fine text-clear hover:underline max-sm:min-h-12"
            onClick={startTest}
          >
            Tested sound
          </button>
        )}
      </div>
      {isDone && <Paper task={task} papers={papers} onPapers={onPapers} />}
      {test !== undefined && (
        <TestFields
          test={test}
          name={name}
          machine={outlook.before}
          onChange={(changed) => onTests([...others, changed])}
          onDrop={() => onTests(others)}
        />
      )}
    </li>
  );
}

/** Until when the papers of a task on fixed dates say that it holds. */
function Paper({
  task: { task },
  papers,
  onPapers,
}: Pick<TaskChoiceProps, "papers" | "onPapers"> & {
  readonly task: TaskReckoning;
}): ReactElement | null {
  if (papers === null || !mayHoldUntil(task)) return null;
  const { id } = task;
  const others = papers.filter((one) => one.task !== id);
  return (
    <div className="max-w-60 pb-3 pl-11">
      <DayField
        label="Valid until, as its papers say"
        value={papers.find((one) => one.task === id)?.date ?? ""}
        onChange={(date) => onPapers([...others, { task: id, date }])}
      />
    </div>
  );
}

function Next(props: {
  readonly id: string;
  readonly isDone: boolean;
  readonly words: string;
}): ReactElement {
  return (
    <span
      className="max-sm:w-full max-sm:pb-1.5 max-sm:pl-11 sm:max-w-[50%] sm:text-right"
      data-next={props.id}
    >
      <span className="text-fine text-quiet sm:block">
        {props.isDone ? "next " : "look again "}
      </span>
      <strong>{props.words}</strong>
    </span>
  );
}

function Tick({
  task,
  words,
  isDone,
  onTick,
}: {
  readonly task: TaskReckoning;
  readonly words: string;
  readonly isDone: boolean;
  readonly onTick: (isTicked: boolean) => void;
}): ReactElement {
  return (
    <label className="flex min-h-12 min-w-0 flex-1 items-center gap-x-3 px-1 py-1.5">
      <Checkbox.Root
        checked={isDone}
        onCheckedChange={(checked) => onTick(checked === true)}
        className="grid size-7 shrink-0 place-items-center rounded-[3px] border-2 border-rule bg-ground data-[state=checked]:border-clear data-[state=checked]:bg-clear"
      >
        <Checkbox.Indicator>
          <Check size={20} className="text-on-body" aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <span className="min-w-0 flex-1">
        <span className={isDone ? "font-bold" : "font-medium"}>{task.task.name}</span>
        <span className="flex items-center gap-2 text-fine text-quiet">
          <Cairn status={task.status} />
          {words}
        </span>
      </span>
    </label>
  );
}
