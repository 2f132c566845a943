import type {
  BaselineDecision,
  BoardMachine,
  MachineBook,
  Settings,
  TaskId,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useAppSelector } from "../../../app/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { counted } from "../../../words/format.js";
import { AnswerForm, type Asked } from "./AnswerForm.js";
import { DecisionButtons } from "./DecisionButtons.js";
import { useDeciding } from "./useDeciding.js";

/** Decides several tasks in one go: those of one date, or those that are judged alike. */
export function BaselineTogether(props: {
  readonly ticked: readonly TaskId[];
  /** The tasks that can be ticked. */
  readonly open: readonly TaskId[];
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly machine: BoardMachine;
  readonly onTick: (tasks: readonly TaskId[]) => void;
}): ReactElement | null {
  const { ticked, open, book, settings, machine, onTick } = props;
  const today = useAppSelector((state) => state.session.today);
  const [asks, setAsks] = useState<Asked | null>(null);
  const name = counted(ticked.length, "task");
  const { decide, failure } = useDeciding(ticked, name, machine);
  if (open.length < 2) return null;
  const choose = async (decision: BaselineDecision): Promise<void> => {
    if (!(await decide(decision))) return;
    setAsks(null);
    onTick([]);
  };
  const isAll = ticked.length === open.length;
  return (
    <div role="group" aria-label="Several in one go" className="border-t border-hairline py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <button type="button" className={QUIET_BUTTON} onClick={() => onTick(isAll ? [] : open)}>
          {isAll ? "Tick none" : `Tick all ${open.length}`}
        </button>
        {ticked.length === 0 ? (
          <span className="text-quiet">Tick those of one date and decide them in one go.</span>
        ) : (
          <>
            <span>{`${name} in one go:`}</span>
            <DecisionButtons
              name={name}
              machine={machine.machine}
              decisions={[]}
              onAsk={setAsks}
              onDecide={(decision) => void choose(decision)}
            />
          </>
        )}
      </div>
      {asks !== null && ticked.length > 0 && (
        <AnswerForm
          asks={asks}
          tasks={ticked}
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
    </div>
  );
}
