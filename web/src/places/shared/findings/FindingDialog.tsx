import { keepFinding, type Finding, type Person } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { findingTitle } from "../../../words/findingWords.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import { CloseFinding } from "./CloseFinding.js";
import { FindingFields } from "./FindingFields.js";
import { FINDING_LABELS, findingProblemWords } from "./findingFormWords.js";
import { findingOf, findingProblems, modelOfFinding, type FindingAround } from "./findingModel.js";

interface FindingDialogProps {
  /** Null for a new one. */
  readonly finding: Finding | null;
  /** The machine a new one is on; empty where that is still to be said. */
  readonly machine: string;
  readonly onClose: () => void;
}

/** Notes something found on a machine, or changes what is written down of it. */
export function FindingDialog(props: FindingDialogProps): ReactElement | null {
  const { storage } = useBook();
  const people = useLiveQuery(() => storage.list("people"), [storage]);
  const hasBoard = useAppSelector((state) => state.board.machines.length > 0);
  // What its dial will show is told by the board.
  if (people === undefined || (props.finding?.dueAt && !hasBoard)) return null;
  return <FindingForm {...props} people={people} />;
}

function FindingForm({
  finding,
  machine,
  people,
  onClose,
}: FindingDialogProps & { readonly people: readonly Person[] }): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const today = useAppSelector((state) => state.session.today);
  const [opened] = useState({ machines, people });
  // The dials as they stood when it was opened: a reading meanwhile must not look like a change elsewhere.
  const around: FindingAround = { ...opened, today, machine };
  const form = useForm({
    form: "finding",
    of: finding?.id ?? `new ${machine}`,
    source: finding,
    modelOf: (source: Finding | null) => modelOfFinding(source, around),
    labels: FINDING_LABELS,
    problemsOf: (model) => findingProblems(model, around),
    problemWords: findingProblemWords,
  });
  const { run, failure } = useCommands(keepIssueWords);
  const save = async (after: Finding, before: Finding | null): Promise<boolean> => {
    const saved = await run(
      (storage, context) =>
        storage.perform(
          after.machine,
          ["findings"],
          (slice, inside) => keepFinding(slice, before, after, inside),
          context,
        ),
      before === null ? "Noted." : "Saved.",
    );
    if (saved !== null) onClose();
    return saved !== null;
  };
  return (
    <DialogFrame
      title={finding === null ? "Note a finding" : findingTitle(finding)}
      onClose={onClose}
    >
      <FormBody
        form={form}
        onSave={(model, before) => save(findingOf(model, before, around), before)}
        failure={failure}
        className="space-y-4 pt-1 pb-2"
        foot={
          <div className="sticky -bottom-3 -mb-3 flex flex-wrap items-center gap-3 bg-ground pt-2 pb-5">
            <button type="submit" className={PRIMARY_BUTTON}>
              {finding === null ? "Note it" : "Save"}
            </button>
          </div>
        }
      >
        <FindingFields form={form} around={around} machines={machines} isNew={finding === null} />
      </FormBody>
      {finding !== null && (
        <CloseFinding finding={finding} people={people} onSave={(after) => save(after, finding)} />
      )}
    </DialogFrame>
  );
}
