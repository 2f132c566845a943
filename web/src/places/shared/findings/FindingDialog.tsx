import { keepFinding, type Finding, type Part, type Person } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { Link } from "react-router";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { DialogFrame } from "../../../ui/DialogFrame.js";
import { findingTitle } from "../../../words/findingWords.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import { machinePath } from "../paths.js";
import { CloseFinding } from "./CloseFinding.js";
import { ToOthers } from "./ToOthers.js";
import { FindingFields } from "./FindingFields.js";
import { FINDING_LABELS, findingProblemWords } from "./findingFormWords.js";
import {
  findingOf,
  findingProblems,
  modelOfFinding,
  type FindingAround,
  type FindingModel,
} from "./findingModel.js";

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
  const read = useLiveQuery(async () => {
    const [people, parts] = await Promise.all([storage.list("people"), storage.list("parts")]);
    return { people, parts };
  }, [storage]);
  const hasBoard = useAppSelector((state) => state.board.machines.length > 0);
  // What its dial will show is told by the board.
  if (read === undefined || (props.finding?.dueAt && !hasBoard)) return null;
  return <FindingForm {...props} {...read} />;
}

function useFindingForm(
  finding: Finding | null,
  around: FindingAround,
): FormInHand<FindingModel, Finding | null> {
  return useForm({
    form: "finding",
    of: finding?.id ?? `new ${around.machine}`,
    source: finding,
    modelOf: (source: Finding | null) => modelOfFinding(source, around),
    labels: FINDING_LABELS,
    problemsOf: (model) => findingProblems(model, around),
    problemWords: findingProblemWords,
  });
}

function FindingForm({
  finding,
  machine,
  people,
  parts,
  onClose,
}: FindingDialogProps & {
  readonly people: readonly Person[];
  readonly parts: readonly Part[];
}): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const today = useAppSelector((state) => state.session.today);
  const [opened] = useState({ machines, people });
  // The dials as they stood when it was opened: a reading meanwhile must not look like a change elsewhere.
  const around: FindingAround = { ...opened, today, machine };
  const form = useFindingForm(finding, around);
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
        <FindingFields {...{ form, around, machines, parts }} isNew={finding === null} />
      </FormBody>
      {finding !== null && (
        <Onward finding={finding} people={people} onSave={(after) => save(after, finding)} />
      )}
    </DialogFrame>
  );
}

/** What may become of a finding beside work of one's own: given to a workshop, put on the plan, or closed without. */
function Onward(props: Parameters<typeof CloseFinding>[0]): ReactElement {
  return (
    <>
      {!props.finding.closed && (
        <>
          <ToOthers finding={props.finding} />
          <p className="border-t border-hairline py-2">
            <Link
              to={`${machinePath(props.finding.machine, "/plan/task/new")}?finding=${encodeURIComponent(props.finding.id)}`}
              className="flex min-h-11 items-center text-clear max-sm:min-h-12"
            >
              Make it a task of the plan, to come back
            </Link>
          </p>
        </>
      )}
      <CloseFinding {...props} />
    </>
  );
}
