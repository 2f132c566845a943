import type { Meter } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { RowsField } from "../../../form/RowsField.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { fieldsOf, type Field } from "../../../ui/field.js";
import {
  speedUnitOf,
  type RunningInModel,
  type SpeedUnit,
  type StageRow,
} from "./runningInModel.js";
import { Terms } from "../../../ui/Term.js";

/** A stage that is not written yet. */
const emptyStage = (speedUnit: SpeedUnit): StageRow => ({
  key: newId(),
  until: "",
  revolutions: "",
  speed: "",
  speedUnit,
  load: "",
});

/** How a new or rebuilt machine is run in: stages by distance or hours with their limits. */
export function RunningInFields({
  value,
  onChange,
  problemAt = () => "",
  meters,
}: Field<RunningInModel> & { readonly meters: readonly Meter[] }): ReactElement | null {
  if (meters.length === 0) return null;
  const field = fieldsOf(value, (patch) => onChange({ ...value, ...patch }), problemAt);
  const unit = meters.find(({ id }) => id === value.meter)?.unit ?? meters[0]?.unit ?? "km";
  return (
    <section aria-labelledby="run-in">
      <h2 id="run-in" className="text-large font-bold">
        Running in
      </h2>
      <p className="text-quiet">
        For a new or rebuilt machine: what holds up to which distance or hours. It stands on the
        machine until it is through.
      </p>
      {value.stages.length > 0 && (
        <div className="grid items-start gap-x-6 sm:grid-cols-3">
          <SelectField<string>
            label="Counted by"
            choices={meters.map((meter) => [meter.id, meter.name ?? meter.measure] as const)}
            {...field("meter")}
          />
          <TextField label={`Begun at a life of (${unit})`} isMono {...field("from")} />
          <TextField label="Where it is written" {...field("source")} />
        </div>
      )}
      {value.stages.length > 0 && <Terms words={["life"]} />}
      <RowsField<StageRow>
        value={value.stages}
        keyOf={({ key }) => key}
        noun="stage"
        problemAt={(path) => problemAt(`stages.${path}`)}
        empty={() => emptyStage(speedUnitOf(unit))}
        onChange={(stages) =>
          onChange({
            ...value,
            stages,
            meter: value.meter === "" ? (meters[0]?.id ?? "") : value.meter,
          })
        }
      >
        {(row, stage) => (
          <div className="grid items-start gap-x-6 sm:grid-cols-[8rem_8rem_10rem_1fr]">
            <TextField label={`Up to (${unit})`} isMono {...stage("until")} />
            <TextField label="Revolutions (rpm)" isMono {...stage("revolutions")} />
            <TextField label={`Speed (${row.speedUnit})`} isMono {...stage("speed")} />
            <TextField label="Load" {...stage("load")} />
          </div>
        )}
      </RowsField>
    </section>
  );
}
