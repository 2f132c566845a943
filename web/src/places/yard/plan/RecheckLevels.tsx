import { dayOf, levelsAgain, recheckLevels, type Finding, type MachineId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useCommands } from "../../../session/useCommands.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { findingPath } from "../../../words/findingWords.js";
import { fullDate } from "../../../words/format.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";

/** Has the levels looked at again after a night: what was hot, foaming or just filled shows its true level cold. */
export function RecheckLevels({
  machine,
  findings,
}: {
  readonly machine: MachineId;
  readonly findings: readonly Finding[];
}): ReactElement {
  const { run, failure } = useCommands(keepIssueWords);
  const known = levelsAgain(findings);
  if (known !== null) {
    return (
      <Link to={findingPath(known.id)} className="self-center text-clear underline">
        Levels again{known.lookOn ? ` on ${fullDate(dayOf(known.lookOn))}` : ""}
      </Link>
    );
  }
  const note = (): void =>
    void run(
      (storage, around) => storage.perform(machine, ["findings"], recheckLevels, around),
      "It stands on the board for tomorrow.",
    );
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
