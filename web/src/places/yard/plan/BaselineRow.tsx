import {
  type BaselineAnswer,
  type BaselineDecision,
  type BaselineTask,
  type BoardMachine,
  type MachineBook,
  type Settings,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useAppSelector } from "../../../app/store.js";
import { CheckField } from "../../../ui/fields.js";
import { fullDate } from "../../../words/format.js";
import { dueWords } from "../../../words/moves.js";
import { AnswerForm, type Asked } from "./AnswerForm.js";
import { DecisionButtons } from "./DecisionButtons.js";
import { useDeciding } from "./useDeciding.js";

interface RowProps {
  readonly one: BaselineTask;
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly machine: BoardMachine;
  /** Whether it is among those that are decided together; null where it is decided already. */
  readonly isTicked: boolean | null;
  readonly onTick: (isTicked: boolean) => void;
}

/** A task of a machine without records: what was decided of it, and what one can decide. */
export function BaselineRow(props: RowProps): ReactElement {
  const { one, book, settings, machine, isTicked, onTick } = props;
  const today = useAppSelector((state) => state.session.today);
  const [asks, setAsks] = useState<Asked | null>(null);
  const { task, answer } = one;
  const { decide, failure } = useDeciding([task.id], task.name, machine);
  const isOpen = answer.code === "open" || answer.code === "left-unknown";
  const choose = async (decision: BaselineDecision): Promise<void> => {
    if (await decide(decision)) setAsks(null);
  };
  return (
    <li className="border-t border-hairline py-2">
      <div className="flex flex-wrap items-center gap-x-4">
        {isTicked === null ? (
          <strong className="font-semibold">{task.name}</strong>
        ) : (
          <CheckField
            label={<strong className="font-semibold">{task.name}</strong>}
            value={isTicked}
            onChange={onTick}
          />
        )}
        <span className={answer.code === "open" ? "text-soon-text" : "text-quiet"}>
          {answerWords(answer)}
        </span>
        <span className="ml-auto text-fine text-quiet">{dueWords(machine, task.id, today)}</span>
      </div>
      {(isOpen || answer.code === "do-now") && asks === null && (
        <div className="mt-1 flex flex-wrap gap-2">
          <DecisionButtons
            name={task.name}
            machine={machine.machine}
            decisions={[
              ...(answer.code === "do-now" ? [] : ["do-now" as const]),
              ...(answer.code === "open" ? ["leave-unknown" as const] : []),
            ]}
            onAsk={setAsks}
            onDecide={(decision) => void choose(decision)}
          />
        </div>
      )}
      {asks !== null && (
        <AnswerForm
          asks={asks}
          tasks={[task.id]}
          book={book}
          settings={settings}
          today={today}
          onDecide={choose}
          onLeave={() => setAsks(null)}
        />
      )}
      <p role="alert" className="font-semibold text-due">
        {failure}
      </p>
    </li>
  );
}

function answerWords(answer: BaselineAnswer): string {
  switch (answer.code) {
    case "open":
      return "not decided";
    case "do-now":
      return `to be done now, said ${fullDate(answer.since)}`;
    case "done":
      return `done ${fullDate(answer.on)}`;
    case "from-new":
      return `not due yet, counted from new, ${fullDate(answer.on)} (assumed)`;
    case "judged-sound":
      return `judged sound ${fullDate(answer.on)}, counted from there (assumed)`;
    case "left-unknown":
      return "left unknown";
  }
}
