import {
  decideBaseline,
  type BaselineDecision,
  type BoardMachine,
  type TaskId,
} from "@yonderfell/core";
import { useState } from "react";
import { notifyChange } from "../../../app/notify.js";
import { useAppSelector } from "../../../app/store.js";
import { useOneAtATime } from "../../../app/useOneAtATime.js";
import { usePerform } from "../../../app/usePerform.js";
import { errorWords } from "../../../words/errorWords.js";
import { logIssueWords } from "../../../words/logWords.js";

/** The way to decide what some tasks of a machine start from; answers whether it is decided. `name` is what is told of. */
export function useDeciding(
  tasks: readonly TaskId[],
  name: string,
  machine: BoardMachine,
): { readonly decide: (decision: BaselineDecision) => Promise<boolean>; readonly failure: string } {
  const perform = usePerform();
  const once = useOneAtATime();
  const today = useAppSelector((state) => state.session.today);
  const [failure, setFailure] = useState("");
  const decide = async (decision: BaselineDecision): Promise<boolean> => {
    let isDecided = false;
    await once(async () => {
      try {
        const result = await perform(machine.machine.id, (book, context) =>
          decideBaseline(book, tasks, decision, context),
        );
        const [issue] = result.ok ? [] : result.issues;
        setFailure(issue === undefined ? "" : logIssueWords(issue, machine, today));
        isDecided = result.ok;
        if (result.ok) notifyChange(`${name}: decided.`);
      } catch (error) {
        setFailure(`It was not saved: ${errorWords(error)}.`);
      }
    });
    return isDecided;
  };
  return { decide, failure };
}
