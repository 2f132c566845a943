import { dayOf, findingAtPlace, type CheckPlace } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { shortDate } from "../../words/format.js";
import { FindingDialog } from "../shared/findings/FindingDialog.js";
import { Again } from "./FindingLine.js";
import type { ShownRound } from "./useRounds.js";

/** The finding that was made of a check, with what is decided until somebody decides. */
export function FoundHere({
  shown,
  place,
}: {
  readonly shown: ShownRound;
  readonly place: CheckPlace;
}): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  const [isOpen, setIsOpen] = useState(false);
  const finding = findingAtPlace(shown.book, place);
  if (finding === null) return null;
  const { decision, lookOn, round } = finding;
  const isOld = round !== shown.round.id;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-due pl-3">
      <p>
        <strong>{isOld ? "Found before, and still open" : "A finding is made of it"}</strong>:{" "}
        {decision}
        {lookOn ? `, look again ${shortDate(dayOf(lookOn), today)}` : ""}
        <Again finding={finding} findings={shown.book.findings} />
      </p>
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsOpen(true)}>
        Decide
      </button>
      {isOpen && (
        <FindingDialog
          finding={finding}
          machine={shown.machine.id}
          onClose={() => setIsOpen(false)}
        />
      )}
    </div>
  );
}
