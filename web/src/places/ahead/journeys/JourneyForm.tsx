import type { Journey, Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { TEMPERATURE } from "../../../ui/readQuantity.js";
import { JOURNEY_LABELS, journeyProblemWords, LOADS } from "./journeyFormWords.js";
import { journeyOf, journeyProblems, modelOfJourney, type JourneyModel } from "./journeyModel.js";

/** Writes down a journey or a season that a machine is made ready for. */
export function JourneyForm({
  journey,
  machines,
  onClose,
}: {
  readonly journey: Journey | null;
  readonly machines: readonly Machine[];
  readonly onClose: () => void;
}): ReactElement {
  const form = useForm({
    form: "journey",
    of: journey?.id ?? "new",
    source: journey,
    modelOf: modelOfJourney,
    labels: JOURNEY_LABELS,
    problemsOf: journeyProblems,
    problemWords: journeyProblemWords,
  });
  const { model, field } = form;
  const machine = machines.find(({ id }) => id === model.machine);
  return (
    <RecordDialog
      noun="journey"
      name={journey?.name ?? null}
      section="journeys"
      form={form}
      recordOf={(typed, before) => journeyOf(typed, before, machine as Machine, newId)}
      said={{
        machine: (id: string) => machines.find((one) => one.id === id)?.name ?? "nothing",
        load: (load: string) => LOADS.find(([one]) => one === load)?.[1] ?? load,
      }}
      onClose={onClose}
    >
      <JourneyFields {...{ machines, machine, model, field }} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}

function JourneyFields({
  machines,
  machine,
  model,
  field,
}: Pick<FormInHand<JourneyModel, Journey | null>, "model" | "field"> & {
  readonly machines: readonly Machine[];
  /** The one that is chosen. */
  readonly machine: Machine | undefined;
}): ReactElement {
  const meters = machine?.meters ?? [];
  const unit = (meters.find(({ id }) => id === model.meter) ?? meters[0])?.unit ?? "km";
  return (
    <div className="grid items-start gap-x-6 gap-y-2 sm:grid-cols-2">
      <SelectField<string>
        choices={[
          ["", "choose"],
          ...machines.map(({ id, tag, name }) => [id, `${tag} ${name}`] as const),
        ]}
        {...field("machine")}
      />
      <TextField {...field("name")} />
      <DayField {...field("date")} />
      <TextField isMono {...field("days")} />
      {meters.length > 0 && (
        <TextField
          {...field("amount")}
          label={`${field("amount").label} (${unit})`}
          note="empty for its usual pace"
          isMono
        />
      )}
      {meters.length > 1 && (
        <SelectField<string>
          choices={meters.map(({ id, name, measure }) => [id, name ?? measure] as const)}
          {...field("meter")}
        />
      )}
      <SelectField choices={LOADS} {...field("load")} />
      <TextField
        note="so that what the visit turns up can still be mended"
        isMono
        {...field("daysClear")}
      />
      <QuantityField wanted={TEMPERATURE} {...field("coldest")} />
      <QuantityField wanted={TEMPERATURE} {...field("hottest")} />
    </div>
  );
}
