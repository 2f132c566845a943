import {
  writeLadder,
  type ChangedElsewhere,
  type CommandResult,
  type LadderIssue,
  type Machine,
  type MachineBook,
} from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import { useMemo, type ReactElement } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { useMachineBook } from "../../../session/useMachineBook.js";
import { FormBody } from "../../../form/FormBody.js";
import { RowsField } from "../../../form/RowsField.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { Terms } from "../../../ui/Term.js";
import { meterName } from "../../../words/limitWords.js";
import { meterUnit } from "../../../words/taskWords.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import {
  emptyStep,
  ladderInput,
  ladderProblems,
  modelOfLadder,
  stepsOf,
  type LadderModel,
  type LadderSteps,
} from "./ladderModel.js";
import { LADDER_LABELS, ladderProblemWords } from "./ladderWords.js";
import { machinePath } from "../../shared/paths.js";

/** What is answered where the steps have been changed elsewhere meanwhile. */
const CHANGED: CommandResult<ChangedElsewhere> = {
  ok: false,
  issues: [{ code: "changed-elsewhere", section: "tasks", id: "" }],
};

/** Writes down stacked services as one ladder: its interval, and what each step adds. */
export default function LadderPage(): ReactElement {
  const machine = useMachineOfAddress();
  const name = useParams()["ladder"] ?? "";
  const book = useMachineBook(machine?.machine.id ?? null)?.book;
  return (
    <MachineFrame machine={machine}>
      {book !== undefined && (
        <LadderForm key={`${book.machines[0].id} ${name}`} book={book} before={name} />
      )}
    </MachineFrame>
  );
}

/** Saves a ladder, only while its steps still stand as they did. */
function useSaveLadder(
  book: MachineBook,
  before: string,
): {
  readonly save: (model: LadderModel, source: LadderSteps | null) => Promise<boolean>;
  readonly failure: string;
} {
  const [machine] = book.machines;
  const navigate = useNavigate();
  const { run, failure } = useCommands<LadderIssue>(() => "");
  const save = async (model: LadderModel, source: LadderSteps | null): Promise<boolean> => {
    const input = ladderInput(model, meterUnit(machine, model.meter));
    const saved = await run(
      (storage, around) =>
        storage.perform(
          machine.id,
          ["tasks"],
          (own, context): CommandResult<LadderIssue | ChangedElsewhere> =>
            isEqual(stepsOf(own.tasks, before), source)
              ? writeLadder(own, input, before === "" ? null : before, context)
              : CHANGED,
          around,
        ),
      "The ladder is saved.",
      () => navigate(machinePath(machine.id, "/plan")),
    );
    return saved !== null;
  };
  return { save, failure };
}

function LadderForm({
  book,
  before,
}: {
  readonly book: MachineBook;
  /** The ladder's name so far; empty for a new one. */
  readonly before: string;
}): ReactElement {
  const [machine] = book.machines;
  const today = useAppSelector((state) => state.session.today);
  const steps = useMemo(() => stepsOf(book.tasks, before), [book.tasks, before]);
  const form = useForm({
    form: "ladder",
    of: `${machine.id} ${before}`,
    source: steps,
    modelOf: (source) => modelOfLadder(source, before, machine),
    labels: LADDER_LABELS,
    problemsOf: (typed) => ladderProblems(typed, book, before, today),
    problemWords: ladderProblemWords,
  });
  const plan = machinePath(machine.id, "/plan");
  const { save, failure } = useSaveLadder(book, before);
  return (
    <FormBody
      form={form}
      onSave={save}
      failure={failure}
      className="max-w-[60rem] space-y-4"
      foot={
        <FormFoot>
          <button type="submit" className={PRIMARY_BUTTON}>
            Save the ladder
          </button>
          <Link to={plan} className={QUIET_BUTTON} onClick={form.startAfresh}>
            Leave it as it was
          </Link>
        </FormFoot>
      }
    >
      <h2 className="text-large font-bold">Ladder of stacked services</h2>
      <p className="max-w-[64ch] text-quiet">
        Each larger step includes the smaller ones whose turn it is as well; write down what each
        adds. A step left out stays a task of its own.
      </p>
      <Terms words={["ladder", "turn"]} />
      <LadderFields form={form} machine={machine} />
    </FormBody>
  );
}

function LadderFields({
  form: { model, field },
  machine,
}: {
  readonly form: FormInHand<LadderModel, LadderSteps | null>;
  readonly machine: Machine;
}): ReactElement {
  const unit = meterUnit(machine, model.meter);
  const meters = (machine.meters ?? []).map(
    (meter) => [meter.id as string, `${meterName({ meter })}, ${meter.unit}`] as const,
  );
  return (
    <>
      <div className="grid gap-x-5 sm:grid-cols-3">
        <TextField {...field("name")} />
        <SelectField choices={meters} {...field("meter")} />
        <TextField {...field("every")} label={`${field("every").label}, in ${unit}`} isMono />
      </div>
      <RowsField {...field("rows")} keyOf={(row) => row.key} noun="step" empty={emptyStep}>
        {(_row, rowField) => (
          <div className="grid gap-x-4 sm:grid-cols-[7rem_1fr_8rem]">
            <TextField label={`At, in ${unit}`} isMono {...rowField("at")} />
            <TextField label="What it adds" {...rowField("name")} />
            <TextField label="Minutes" isMono {...rowField("minutes")} />
          </div>
        )}
      </RowsField>
    </>
  );
}
