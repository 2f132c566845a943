import type { Journey, Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { RecordDialog } from "../../../ui/RecordDialog.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import { TEMPERATURE } from "../../yard/facts/factsModel.js";
import { journeyOf, journeyProblem, modelOfJourney, type JourneyModel } from "./journeyModel.js";

const LOADS = [
  ["usual", "as usual"],
  ["heavy", "heavy: towing, full load, long climbs"],
] as const;

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
  const { model, field } = useModel(() => modelOfJourney(journey));
  const machine = machines.find(({ id }) => id === model.machine);
  return (
    <RecordDialog
      noun="journey"
      name={journey?.name ?? null}
      section="journeys"
      before={journey}
      problem={journeyProblem(model)}
      after={() => journeyOf(model, journey, machine as Machine, newId)}
      onClose={onClose}
    >
      <JourneyFields {...{ machines, machine, model, field }} />
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}

function JourneyFields({
  machines,
  machine,
  model,
  field,
}: Pick<FormModel<JourneyModel>, "model" | "field"> & {
  readonly machines: readonly Machine[];
  /** The one that is chosen. */
  readonly machine: Machine | undefined;
}): ReactElement {
  const meters = machine?.meters ?? [];
  const unit = (meters.find(({ id }) => id === model.meter) ?? meters[0])?.unit ?? "km";
  return (
    <div className="grid items-start gap-x-6 gap-y-2 sm:grid-cols-2">
      <SelectField<string>
        label="Machine"
        choices={[
          ["", "choose"],
          ...machines.map(({ id, tag, name }) => [id, `${tag} ${name}`] as const),
        ]}
        {...field("machine")}
      />
      <TextField label="Where to, or which season" {...field("name")} />
      <DayField label="Departs on" {...field("date")} />
      <TextField label="Days away" isMono {...field("days")} />
      {meters.length > 0 && (
        <TextField
          label={`How far or how long (${unit})`}
          note="empty for its usual pace"
          isMono
          {...field("amount")}
        />
      )}
      {meters.length > 1 && (
        <SelectField<string>
          label="Counted by"
          choices={meters.map(({ id, name, measure }) => [id, name ?? measure] as const)}
          {...field("meter")}
        />
      )}
      <SelectField label="Load" choices={LOADS} {...field("load")} />
      <TextField
        label="Days kept clear before departure"
        note="so that what the visit turns up can still be mended"
        isMono
        {...field("daysClear")}
      />
      <QuantityField label="Coldest start" wanted={TEMPERATURE} {...field("coldest")} />
      <QuantityField label="Hottest day" wanted={TEMPERATURE} {...field("hottest")} />
    </div>
  );
}
