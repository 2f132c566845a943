import { CHECK_SUMS, CHECK_WAYS, symbolOf, UNIT_NAMES, unitOfSum } from "@yonderfell/core";
import type { ReactElement, ReactNode } from "react";
import { RowsField } from "../../../form/RowsField.js";
import type { Field, FieldsOf } from "../../../ui/field.js";
import { choicesOrNone, NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { wayWords } from "../roundWords.js";
import { isFigured, type CheckModel, type PickModel } from "./checklistModel.js";
import { CHECK_LABELS, PICK_LABELS, SUM_WORDS } from "./checklistWords.js";

const HOW = CHECK_WAYS.map((how) => [how, wayWords(how)] as const);
const UNITS = [["", "none: pieces, or not read"], ...unitChoices()] as const;
const SUMS = [
  ["", "its limits"],
  ...CHECK_SUMS.map((sum) => [sum, SUM_WORDS[sum] ?? sum] as const),
] as const;
const VERDICTS = choicesOrNone(["sound", "watch", "attend", "stop"] as const, "not said");
const SEVERITIES = [
  ["", "not said: to be attended to"],
  ["attend", "to be attended to"],
  ["stop", "a stop"],
] as const;
const WEARS = [
  ["", "neither way"],
  ["down", "down"],
  ["up", "up"],
] as const;

function unitChoices() {
  return UNIT_NAMES.map((unit) => {
    const symbol = symbolOf(unit);
    return [unit, symbol === "" ? unit : symbol] as const;
  });
}

type CheckField = FieldsOf<CheckModel>;

/** A check that is written down: what, how, where, what good looks like, its limits, words to pick, its question. */
export function CheckFields({
  check,
  field,
}: {
  readonly check: CheckModel;
  readonly field: CheckField;
}): ReactElement {
  const text = (name: "where" | "side" | "good" | "points" | "tool" | "fluid") => (
    <TextField label={CHECK_LABELS[name]} {...field(name)} />
  );
  return (
    <div className="space-y-4 pb-4">
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-2">
        <TextField autoFocus={check.name === ""} label={CHECK_LABELS.name} {...field("name")} />
        <SelectField label={CHECK_LABELS.how} choices={HOW} {...field("how")} />
        {text("where")}
        {text("side")}
        {text("good")}
        {text("points")}
        {text("tool")}
        {text("fluid")}
      </div>
      <NoteField label={CHECK_LABELS.caution} {...field("caution")} />
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-2">
        <SelectField label={CHECK_LABELS.sum} choices={SUMS} {...field("sum")} />
        {unitOfSum(check) === null && (
          <SelectField label={CHECK_LABELS.unit} choices={UNITS} {...field("unit")} />
        )}
      </div>
      {isFigured(check) && <LimitFields field={field} />}
      <Group legend={CHECK_LABELS.picks}>
        <RowsField<PickModel>
          noun="word"
          empty={() => ({ word: "", verdict: "", means: "", todo: "" })}
          {...field("picks")}
        >
          {(_, pick) => <PickFields field={pick} />}
        </RowsField>
      </Group>
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-[2fr_1fr_1fr]">
        <TextField label={CHECK_LABELS.ask} {...field("ask")} />
        <TextField label={CHECK_LABELS.yes} {...field("yes")} />
        <TextField label={CHECK_LABELS.no} {...field("no")} />
      </div>
    </div>
  );
}

/** What a reading is judged by. */
function LimitFields({ field }: { readonly field: CheckField }): ReactElement {
  const figure = (
    name: "least" | "watchLeast" | "watchMost" | "most" | "uncertainty" | "resolution" | "uneven",
  ) => <TextField isMono label={CHECK_LABELS[name]} {...field(name)} />;
  return (
    <Group legend="Limits, in the unit">
      <div className="grid grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-4">
        {figure("least")}
        {figure("watchLeast")}
        {figure("watchMost")}
        {figure("most")}
        {figure("uncertainty")}
        {figure("resolution")}
        {figure("uneven")}
        <SelectField label={CHECK_LABELS.wears} choices={WEARS} {...field("wears")} />
      </div>
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-3">
        <TextField label={CHECK_LABELS.source} {...field("source")} />
        <SelectField label={CHECK_LABELS.severity} choices={SEVERITIES} {...field("severity")} />
        <TextField label={CHECK_LABELS.specification} {...field("specification")} />
      </div>
    </Group>
  );
}

function PickFields({ field }: { readonly field: FieldsOf<PickModel> }): ReactElement {
  const verdict: Field<PickModel["verdict"]> = field("verdict");
  return (
    <div className="grid gap-x-5 gap-y-2 sm:grid-cols-[1fr_9rem_1fr_1fr]">
      <TextField label={PICK_LABELS.word} {...field("word")} />
      <SelectField label={PICK_LABELS.verdict} choices={VERDICTS} {...verdict} />
      <TextField label={PICK_LABELS.means} {...field("means")} />
      <TextField label={PICK_LABELS.todo} {...field("todo")} />
    </div>
  );
}

function Group({
  legend,
  children,
}: {
  readonly legend: string;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">{legend}</legend>
      {children}
    </fieldset>
  );
}
