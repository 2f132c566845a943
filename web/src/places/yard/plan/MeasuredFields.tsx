import type { Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import type { FieldsOf } from "../../../ui/field.js";
import { SelectField, TextField } from "../../../ui/fields.js";
import { meterName } from "../../../words/limitWords.js";
import type { LimitRow } from "./limitModel.js";
import { measuredRow, type Measure } from "./measures.js";

/** A limit by what rounds measure: what, where, and at which figure it is due. */
export function MeasuredFields({
  row,
  field,
  set,
  machine,
  measures,
  by,
}: {
  readonly row: LimitRow;
  readonly field: FieldsOf<LimitRow>;
  readonly set: (patch: Partial<LimitRow>) => void;
  readonly machine: Machine;
  readonly measures: readonly Measure[];
  /** What a limit may be counted in. */
  readonly by: readonly (readonly [string, string])[];
}): ReactElement {
  const chosen = measures.find(({ key }) => key === row.measure);
  const points = pointsOf(chosen, row);
  const meters = (machine.meters ?? []).map(
    (meter) => [meter.id as string, `${meterName({ meter })}, ${meter.unit}`] as const,
  );
  const choose = (key: string): void => {
    const next = measures.find((one) => one.key === key);
    if (next === undefined) return;
    const { measure, point, figure, life } = measuredRow(machine, next, null);
    set({ measure, point, figure, life: row.life || life });
  };
  return (
    <>
      <div className="grid gap-x-4 gap-y-2 sm:col-span-3 sm:grid-cols-[12rem_1fr]">
        <SelectField label="Counted in" choices={by} {...field("by")} />
        <SelectField
          label="What is measured"
          choices={choicesOf(measures, row)}
          {...field("measure")}
          onChange={choose}
        />
      </div>
      <div className="row-start-2 grid gap-x-4 gap-y-2 sm:col-span-4 sm:grid-cols-[12rem_1fr_1fr] max-sm:row-start-auto">
        <TextField
          label={`Due at${chosen?.unit ? `, ${chosen.unit}` : ""}`}
          isMono
          {...field("figure")}
        />
        {points.length > 0 && <SelectField label="Where" choices={points} {...field("point")} />}
        <SelectField label="Set against" choices={meters} {...field("life")} />
      </div>
    </>
  );
}

/** Where it may be measured; none where it is one figure. */
function pointsOf(
  measure: Measure | undefined,
  { point }: LimitRow,
): (readonly [string, string])[] {
  const points = measure?.points ?? [];
  const all = point === "" || points.includes(point) ? points : [...points, point];
  if (all.length === 0) return [];
  const named = all.map((one) => [one, one] as const);
  // One that is measured point by point has no figure as a whole.
  return point === "" ? [["", "choose where"], ...named] : named;
}

/** What can be chosen; what stands there stays in sight, also where its checklist has it no more. */
function choicesOf(
  measures: readonly Measure[],
  { measure }: LimitRow,
): (readonly [string, string])[] {
  const all = measures.map(
    ({ key, name, isRead }) => [key, isRead ? name : `${name} (not read yet)`] as const,
  );
  const isThere = measures.some(({ key }) => key === measure);
  if (measure === "") return [["", "choose"], ...all];
  return isThere ? all : [[measure, "what its checklist has no more"], ...all];
}
