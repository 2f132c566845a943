import type {
  BaselineDecision,
  BoardMachine,
  MachineBook,
  Settings,
  TaskId,
} from "@yonderfell/core";
import { useRef, useState, type ReactElement, type RefObject } from "react";
import { useAppSelector } from "../../../session/store.js";
import { AnswerForm, type Asked } from "./AnswerForm.js";
import { useDeciding } from "./useDeciding.js";

interface Asking<T> {
  /** Where the buttons stand: what was pressed goes with the answer, and whoever works by keys goes on from here. */
  readonly place: RefObject<T | null>;
  readonly isAsked: boolean;
  /** Asks for what a decision needs before it can be made. */
  readonly ask: (asks: Asked) => void;
  /** Answers whether it is decided. */
  readonly choose: (decision: BaselineDecision) => Promise<boolean>;
  /** What is asked, and what went wrong. */
  readonly form: ReactElement;
}

/** Decides what some tasks of a machine start from, asking for more where a decision needs it. */
export function useAsking<T extends HTMLElement>(
  tasks: readonly TaskId[],
  name: string,
  of: {
    readonly book: MachineBook;
    readonly settings: Settings;
    readonly machine: BoardMachine;
    /** Which of the machine's questions it is: the id of a task, or `together`; what is typed is kept under it. */
    readonly about: string;
  },
  onDecided?: () => void,
): Asking<T> {
  const { book, settings, machine, about } = of;
  const today = useAppSelector((state) => state.session.today);
  const [asks, setAsks] = useState<Asked | null>(null);
  const { decide, failure } = useDeciding(tasks, name, machine);
  const place = useRef<T>(null);
  const leave = (): void => {
    setAsks(null);
    place.current?.focus();
  };
  const choose = async (decision: BaselineDecision): Promise<boolean> => {
    const isDecided = await decide(decision);
    if (isDecided) {
      leave();
      onDecided?.();
    }
    return isDecided;
  };
  const isAsked = asks !== null && tasks.length > 0;
  const form = isAsked ? (
    <AnswerForm
      key={asks}
      {...{ asks, tasks, about, book, settings, today, failure }}
      onDecide={choose}
      onLeave={leave}
    />
  ) : (
    <p role="alert" className="font-semibold text-due">
      {failure}
    </p>
  );
  return { place, isAsked, ask: setAsks, choose, form };
}
