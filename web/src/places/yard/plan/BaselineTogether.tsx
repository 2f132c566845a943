import type { BoardMachine, MachineBook, Settings, TaskId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { counted } from "../../../words/format.js";
import { DecisionButtons } from "./DecisionButtons.js";
import { useAsking } from "./useAsking.js";

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
  const { ticked, open, machine, onTick } = props;
  const name = counted(ticked.length, "task");
  const { place, ask, choose, form } = useAsking<HTMLDivElement>(
    ticked,
    name,
    { ...props, about: "together" },
    () => onTick([]),
  );
  if (open.length < 2) return null;
  const isAll = ticked.length === open.length;
  return (
    <div
      ref={place}
      tabIndex={-1}
      role="group"
      aria-label="Several in one go"
      className="border-t border-hairline py-2"
    >
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
              onAsk={ask}
              onDecide={(decision) => void choose(decision)}
            />
          </>
        )}
      </div>
      {form}
    </div>
  );
}
