import {
  addDays,
  formatDay,
  keepFinding,
  type Finding,
  type FindingId,
  type MachineId,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { newId } from "../../../data/newId.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { findingPath } from "../../../words/findingWords.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";

const KIND = "levels again";

/** Has the levels looked at again after a night: what was hot, foaming or just filled shows its true level cold. */
export function RecheckLevels({
  machine,
  findings,
}: {
  readonly machine: MachineId;
  readonly findings: readonly Finding[];
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { run, failure } = useCommands(keepIssueWords);
  const known = findings.find(({ kind, closed }) => kind === KIND && !closed);
  const note = (): void => {
    const finding: Finding = {
      ...{ id: newId() as FindingId, machine, kind: KIND, found: formatDay(today) },
      what: "All levels again, cold, after a night",
      todo: "on level ground, before it is started; what has fallen leaks or is still filling",
      ...{ decision: "watch", lookOn: formatDay(addDays(today, 1)) },
    };
    void run(
      (storage, context) =>
        storage.perform(
          machine,
          ["findings"],
          (slice, inside) => keepFinding(slice, null, finding, inside),
          context,
        ),
      "It stands on the board for tomorrow.",
    );
  };
  if (known !== undefined) {
    return (
      <Link to={findingPath(known.id)} className="self-center text-clear underline">
        Levels again: {known.lookOn}
      </Link>
    );
  }
  return (
    <>
      <button type="button" className={QUIET_BUTTON} onClick={note}>
        Levels again tomorrow, cold
      </button>
      <span role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </span>
    </>
  );
}
