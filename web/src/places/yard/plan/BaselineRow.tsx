import {
  type BaselineAnswer,
  type BaselineFound,
  type BaselineTask,
  type BoardMachine,
  type MachineBook,
  type Settings,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { CheckField } from "../../../ui/fields.js";
import { fullDate } from "../../../words/format.js";
import { dueWords } from "../../../words/moves.js";
import { DecisionButtons } from "./DecisionButtons.js";
import { SeenOf } from "./SeenOf.js";
import { useAsking } from "./useAsking.js";

interface RowProps {
  readonly one: BaselineTask;
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly machine: BoardMachine;
  /** Whether it is among those that are decided together; null where it is decided already. */
  readonly isTicked: boolean | null;
  readonly onTick: (isTicked: boolean) => void;
  /** What was seen of it; null where nothing was. */
  readonly found: BaselineFound | null;
}

/** A task of a machine without records: what was decided of it, and what one can decide. */
export function BaselineRow(props: RowProps): ReactElement {
  const { one, machine, isTicked, onTick, found } = props;
  const today = useAppSelector((state) => state.session.today);
  const { task, answer } = one;
  const { place, isAsked, ask, choose, form } = useAsking<HTMLLIElement>([task.id], task.name, {
    ...props,
    about: task.id,
  });
  const isOpen = answer.code === "open" || answer.code === "left-unknown";
  return (
    <li ref={place} tabIndex={-1} className="border-t border-hairline py-2">
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
      {found !== null && (
        <SeenOf
          name={task.name}
          found={found}
          isOpen={isOpen}
          onDecide={(decision) => void choose(decision)}
        />
      )}
      {(isOpen || answer.code === "do-now") && !isAsked && (
        <div className="mt-1 flex flex-wrap gap-2">
          <DecisionButtons
            name={task.name}
            machine={machine.machine}
            decisions={[
              ...(answer.code === "do-now" ? [] : ["do-now" as const]),
              ...(answer.code === "open" ? ["leave-unknown" as const] : []),
            ]}
            onAsk={ask}
            onDecide={(decision) => void choose(decision)}
          />
        </div>
      )}
      {form}
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
    case "look-again":
      return `tested sound ${fullDate(answer.on)}, to be looked at again`;
    case "left-unknown":
      return "left unknown";
  }
}
