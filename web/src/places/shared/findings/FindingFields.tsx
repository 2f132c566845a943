import type { BoardMachine, Finding, Part } from "@yonderfell/core";
import type { ReactElement } from "react";
import { RowsField } from "../../../form/RowsField.js";
import type { FormField, FormInHand } from "../../../form/useForm.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { meterName } from "../../../words/limitWords.js";
import { sentence } from "../../../words/format.js";
import { useCurrency } from "../currency/useCurrency.js";
import { PicturesField } from "../pictures/PicturesField.js";
import { DECISION_CHOICES, KINDS_OFFERED, VERDICT_CHOICES } from "./findingFormWords.js";
import type { FindingAround, FindingModel, NeededPart } from "./findingModel.js";

interface FieldsProps {
  readonly form: FormInHand<FindingModel, Finding | null>;
  readonly around: FindingAround;
  /** The machines as they stand now. */
  readonly machines: readonly BoardMachine[];
  readonly parts: readonly Part[];
  readonly isNew: boolean;
}

const GRID = "grid gap-x-5 gap-y-3 sm:grid-cols-2";

/** The fields of a finding: what and where, how bad, what is decided; then what else may be said. */
export function FindingFields({ form, around, machines, parts, isNew }: FieldsProps): ReactElement {
  const { field, model } = form;
  const own = machines.find(({ machine }) => machine.id === model.machine);
  const choices = machines.map(
    ({ machine: { id, tag, name } }) => [id as string, `${tag} ${name}`] as const,
  );
  return (
    <>
      {isNew && around.machine === "" && (
        <SelectField {...field("machine")} choices={[["", "choose"] as const, ...choices]} />
      )}
      {isNew && own !== undefined && around.machine !== "" && (
        <p className="text-quiet">
          On <span className="font-mono font-bold">{own.machine.tag}</span> {own.machine.name}
        </p>
      )}
      <TextField isRequired autoFocus {...field("what")} />
      <div className={GRID}>
        <TextField {...field("where")} />
        <SelectField {...field("verdict")} choices={VERDICT_CHOICES} />
        <SelectField {...field("decision")} choices={DECISION_CHOICES} />
        <When form={form} machine={own} />
        <TextField {...field("decidedBy")} offered={namesOf(around)} />
      </div>
      <PicturesField {...field("pictures")} />
      <More {...{ form, around, parts }} />
    </>
  );
}

/** Who may find or decide. */
const namesOf = ({ people }: FindingAround): string[] =>
  people.filter(({ hasLeft }) => hasLeft !== true).map(({ name }) => name);

/** By when, as the decision asks for it; and why, where it was declined. */
function When({
  form: { field, model },
  machine,
}: Pick<FieldsProps, "form"> & { readonly machine: BoardMachine | undefined }): ReactElement {
  const meters = (machine?.meters ?? []).filter(({ life, dial }) => life !== null && dial !== null);
  const choices = meters.map(
    (one) => [one.meter.id as string, `${sentence(meterName(one))}, ${one.meter.unit}`] as const,
  );
  switch (model.decision) {
    case "now":
      return <div />;
    case "watch":
      return <DayField {...field("lookOn")} />;
    case "declined":
      return <TextField {...field("reason")} isRequired />;
    case "next visit":
      return (
        <>
          <DayField {...field("dueOn")} />
          {choices.length > 0 && (
            <SelectField {...field("dueMeter")} choices={[["", "no meter"] as const, ...choices]} />
          )}
          {model.dueMeter !== "" && <TextField isMono {...field("dueDial")} />}
        </>
      );
  }
}

/** What else may be said, behind a fold until it is wanted. */
function More({
  form: { field, model },
  around,
  parts,
}: Pick<FieldsProps, "form" | "around" | "parts">): ReactElement {
  const currency = useCurrency();
  const names = namesOf(around);
  const cost = field("cost");
  const isSaid =
    [model.evidence, model.consequence, model.todo, model.kind, model.note].some(
      (text) => text !== "",
    ) || model.parts.length > 0;
  return (
    <details open={isSaid || undefined}>
      <summary className="min-h-11 cursor-pointer py-2 text-clear max-sm:min-h-12">
        More of it: what shows it, what puts it right, who found it
      </summary>
      <div className={`${GRID} pt-1`}>
        <TextField {...field("evidence")} />
        <TextField {...field("consequence")} />
        <TextField {...field("todo")} />
        <TextField {...field("kind")} offered={KINDS_OFFERED} />
        <TextField {...field("side")} />
        <TextField {...field("by")} offered={names} />
        <DayField {...field("found")} />
        <TextField isMono {...field("minutes")} />
        <TextField
          isMono
          {...cost}
          label={currency === "" ? cost.label : `${cost.label}, ${currency}`}
        />
        {model.decision !== "declined" && <TextField {...field("reason")} />}
      </div>
      <Parts field={field("parts")} parts={parts} />
      <div className="pt-3">
        <NoteField {...field("note")} />
      </div>
    </details>
  );
}

/** The parts that putting it right takes: they stand on its card and are taken from the shelf. */
function Parts({
  field: { label, ...field },
  parts,
}: {
  readonly field: FormField<readonly NeededPart[]>;
  readonly parts: readonly Part[];
}): ReactElement {
  const choices = parts.map(
    ({ id, number, name }) => [id as string, `${number} ${name ?? ""}`] as const,
  );
  return (
    <fieldset className="pt-3">
      <legend className="text-fine text-quiet">{label}</legend>
      <RowsField<NeededPart> noun="part" empty={() => ({ part: "", count: "1" })} {...field}>
        {(_, part) => (
          <div className="grid grid-cols-[1fr_6rem] gap-x-4">
            <SelectField
              label="Part"
              choices={[["", "choose"] as const, ...choices]}
              {...part("part")}
            />
            <TextField label="How many" isMono {...part("count")} />
          </div>
        )}
      </RowsField>
    </fieldset>
  );
}
