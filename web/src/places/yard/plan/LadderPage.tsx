import {
  laddersOf,
  limitOf,
  limitsOfKind,
  limitsOnMeter,
  writeLadder,
  type LadderInput,
  type LadderIssue,
  type LadderStep,
  type Limit,
  type Machine,
  type MachineBook,
  type MeterId,
  type TaskId,
} from "@yonderfell/core";
import { type FormEvent, type ReactElement } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { useCommands } from "../../../app/useCommands.js";
import { newId } from "../../../data/newId.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { RowsField } from "../../../ui/RowsField.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import { amount } from "../../../words/format.js";
import { meterName } from "../../../words/limitWords.js";
import { meterUnit } from "../../../words/taskWords.js";
import { typedFigure } from "../../../words/writing.js";
import { useMachineBook } from "../../../data/useMachineBook.js";
import { MachineFrame, machinePath, useMachineOfAddress } from "../MachineFrame.js";
import { meterFigure } from "./taskModel.js";
import { Terms } from "../../../ui/Term.js";

interface StepRow {
  readonly key: string;
  readonly id: TaskId | null;
  readonly at: string;
  readonly name: string;
  readonly minutes: string;
}

interface LadderModel {
  readonly name: string;
  readonly meter: string;
  readonly every: string;
  readonly rows: readonly StepRow[];
}

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

/** The limits of the first step, in all its schools. */
const limitsOf = (steps: readonly LadderStep[]): Limit[] =>
  Object.values(steps[0]?.task.regimes ?? {}).flatMap((limits) => limits.map(limitOf));

/** The interval of a ladder on its meter: that of its first step. */
function intervalOf(steps: readonly LadderStep[], meter: string): number | null {
  return limitsOnMeter(limitsOf(steps), meter as MeterId)[0]?.every ?? null;
}

function meterOf(steps: readonly LadderStep[], book: MachineBook): string {
  const hours = (book.machines[0].meters ?? []).find(({ measure }) => measure === "hours");
  return (
    limitsOfKind(limitsOf(steps), "meter")[0]?.meter ??
    hours?.id ??
    book.machines[0].meters?.[0]?.id ??
    ""
  );
}

function rowsOf(steps: readonly LadderStep[], every: number): StepRow[] {
  return steps.map(({ task, multiple }) => ({
    key: task.id,
    id: task.id,
    at: typedFigure(every * multiple),
    name: task.name,
    minutes: task.minutes ? typedFigure(task.minutes) : "",
  }));
}

const FRESH = [250, 500, 1000, 2000];

function LadderForm({
  book,
  before,
}: {
  readonly book: MachineBook;
  /** The ladder's name so far; empty for a new one. */
  readonly before: string;
}): ReactElement {
  const [machine] = book.machines;
  const form = useModel((): LadderModel => {
    const steps = laddersOf(book.tasks).get(before) ?? [];
    const meter = meterOf(steps, book);
    const every = intervalOf(steps, meter) ?? 250;
    const fresh = FRESH.map((at) => ({ ...emptyStep(), at: String(at) }));
    const rows = steps.length === 0 ? fresh : rowsOf(steps, every);
    return { name: before === "" ? "hours" : before, meter, every: typedFigure(every), rows };
  });
  const { model } = form;
  const plan = machinePath(machine.id, "/plan");
  const unit = meterUnit(machine, model.meter);
  const { write, failure } = useWriting(book, before, unit);
  const figure = (text: string): number => meterFigure(text, unit) ?? Number.NaN;
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const steps = model.rows.map(({ id, at, name, minutes }) => ({
      ...{ id, name, at: figure(at) },
      minutes: minutes.trim() === "" ? null : meterFigure(minutes, "min"),
    }));
    const { name, meter, every } = model;
    void write({ name, meter: meter as MeterId, every: figure(every), steps });
  };
  return (
    <form onSubmit={save} noValidate className="max-w-[60rem] space-y-4">
      <h2 className="text-large font-bold">Ladder of stacked services</h2>
      <p className="max-w-[64ch] text-quiet">
        Each larger step includes the smaller ones whose turn it is as well; write down what each
        adds. A step left out stays a task of its own.
      </p>
      <Terms words={["ladder", "turn"]} />
      <LadderFields form={form} machine={machine} unit={unit} />
      <p role="alert" className="font-semibold text-due">
        {failure}
      </p>
      <FormFoot>
        <button type="submit" className={PRIMARY_BUTTON}>
          Save the ladder
        </button>
        <Link to={plan} className={QUIET_BUTTON}>
          Leave it as it was
        </Link>
      </FormFoot>
    </form>
  );
}

function LadderFields({
  form: { model, set, field },
  machine,
  unit,
}: {
  readonly form: FormModel<LadderModel>;
  readonly machine: Machine;
  readonly unit: Unit;
}): ReactElement {
  const meters = (machine.meters ?? []).map(
    (meter) => [meter.id as string, `${meterName({ meter })}, ${meter.unit}`] as const,
  );
  return (
    <>
      <div className="grid gap-x-5 sm:grid-cols-3">
        <TextField label="Name" {...field("name")} />
        <SelectField label="Counted by" choices={meters} {...field("meter")} />
        <TextField label={`First step every, in ${unit}`} isMono {...field("every")} />
      </div>
      <RowsField
        rows={model.rows}
        keyOf={(row) => row.key}
        noun="step"
        empty={emptyStep}
        onChange={(rows) => set({ rows: [...rows] })}
      >
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

const emptyStep = (): StepRow => ({ key: newId(), id: null, at: "", name: "", minutes: "" });

type Unit = "km" | "mi" | "h";

function useWriting(
  book: MachineBook,
  before: string,
  unit: Unit,
): {
  readonly write: (input: LadderInput) => Promise<void>;
  readonly failure: string;
} {
  const navigate = useNavigate();
  const { run, failure } = useCommands<LadderIssue>((issue) => ladderIssueWords(issue, unit));
  const { id } = book.machines[0];
  const write = async (input: LadderInput): Promise<void> => {
    await run(
      (storage, around) =>
        storage.perform(
          id,
          ["tasks"],
          (own, context) => writeLadder(own, input, before === "" ? null : before, context),
          around,
        ),
      "The ladder is saved.",
      () => navigate(machinePath(id, "/plan")),
    );
  };
  return { write, failure };
}

function ladderIssueWords(issue: LadderIssue, unit: Unit): string {
  switch (issue.code) {
    case "name-missing":
      return "Give the ladder a name.";
    case "interval-missing":
      return "Say every how much the first step comes, a figure above 0.";
    case "no-first-step":
      return `Write down the step at ${amount(issue.every, unit)}, the first of it.`;
    case "step-name-missing":
      return `Say what the step at ${amount(issue.at, unit)} adds, or leave it out.`;
    case "not-a-multiple":
      return Number.isFinite(issue.at)
        ? `A step at ${amount(issue.at, unit)} does not fit: it must be a whole multiple of ${amount(issue.every, unit)}.`
        : "Each step needs its figure.";
    case "two-steps-at":
      return `Two steps stand at ${amount(issue.at, unit)}; put them together.`;
  }
}
