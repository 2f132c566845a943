import type { Machine } from "@yonderfell/core";
import type { ReactElement } from "react";
import { DayField } from "../../../ui/DayField.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import { SelectField } from "../../../ui/fields.js";
import { RowsField } from "../../../form/RowsField.js";
import type { Field, FieldsOf } from "../../../ui/field.js";
import { meterName } from "../../../words/limitWords.js";
import { meterUnit } from "../../../words/taskWords.js";
import { BY_ROUNDS, emptyLimit, type LimitRow } from "./limitModel.js";
import { MeasuredFields } from "./MeasuredFields.js";
import { measuredRow, type Measure } from "./measures.js";
import { meterFigure } from "./taskModel.js";

const PRODUCTS = "Only with these products: mineral, full synthetic, …";

/** The limits of a task in one regime. */
export function LimitFields({
  value: rows,
  onChange,
  problemAt = () => "",
  machine,
  isGrid,
  usesFluid,
  measures,
}: Field<readonly LimitRow[]> & {
  readonly machine: Machine;
  /** What rounds measure on it. */
  readonly measures: readonly Measure[];
  /** Whether calendar limits may count from a day of their own. */
  readonly isGrid: boolean;
  /** Whether the task uses a fluid, on whose product a limit may depend. */
  readonly usesFluid: boolean;
}): ReactElement {
  const isMeasured = measures.length > 0 || rows.some((row) => row.by === BY_ROUNDS);
  const by = countedBy(machine, isMeasured);
  return (
    <RowsField
      value={rows}
      problemAt={problemAt}
      keyOf={(row) => row.key}
      noun="limit"
      empty={() =>
        emptyLimit(rows.some((row) => row.by !== "months") ? "months" : (by[0]?.[0] ?? "months"))
      }
      onChange={onChange}
    >
      {(row, field, set) => (
        <div className="grid gap-x-4 gap-y-2 sm:grid-cols-[7rem_12rem_1fr_6rem]">
          {row.by === BY_ROUNDS ? (
            <MeasuredFields {...{ row, field, set, machine, measures }} by={by} />
          ) : (
            <>
              <TextField
                label="Every"
                isMono
                {...noted(row.every, row.by, machine)}
                {...field("every")}
              />
              <SelectField
                label="Counted in"
                choices={by}
                {...field("by")}
                onChange={(next) => set(countedIn(next, machine, measures))}
              />
              <WhereFrom row={row} field={field} isGrid={isGrid} />
            </>
          )}
          <TextField label="Grace" isMono {...field("grace")} />
          <div className="sm:col-span-2 sm:self-end">
            <CheckField label="Required by law or warranty: no grace" {...field("hard")} />
          </div>
          {(usesFluid || row.products !== "") && <Products {...field("products")} />}
        </div>
      )}
    </RowsField>
  );
}

/** The products a limit is for. */
const Products = (field: Field<string>): ReactElement => (
  <div className="sm:col-span-2">
    <TextField label={PRODUCTS} {...field} />
  </div>
);

/** What a limit may be counted in. */
function countedBy(machine: Machine, isMeasured: boolean): (readonly [string, string])[] {
  const meters = (machine.meters ?? []).map(
    (meter) => [meter.id as string, `${meterName({ meter })}, ${meter.unit}`] as const,
  );
  const calendar = [["months", "months"] as const, ["days", "days"] as const];
  const rounds = isMeasured ? [[BY_ROUNDS, "what rounds measure"] as const] : [];
  return [...meters, ...calendar, ...rounds];
}

/** What a row says once it is counted in something else: by rounds, the first thing that they measure. */
function countedIn(by: string, machine: Machine, measures: readonly Measure[]): Partial<LimitRow> {
  const [first] = measures;
  if (by !== BY_ROUNDS || first === undefined) return { by };
  const { measure, point, figure, life } = measuredRow(machine, first, null);
  return { by, measure, point, figure, life };
}

/** What a figure typed with its own unit comes to in the meter's, said where it is not plain. */
function noted(text: string, by: string, machine: Machine): { readonly note?: string } {
  if (by === "months" || by === "days" || /^[\d\s.,]*$/.test(text)) return {};
  const unit = meterUnit(machine, by);
  const value = meterFigure(text, unit);
  return { note: value === null ? "not a figure" : `${Math.round(value * 10) / 10} ${unit}` };
}

function WhereFrom({
  row,
  field,
  isGrid,
}: {
  readonly row: LimitRow;
  readonly field: FieldsOf<LimitRow>;
  readonly isGrid: boolean;
}): ReactElement {
  const isCalendar = row.by === "months" || row.by === "days";
  if (!isCalendar) {
    return <TextField label="First at these figures: 1000; 5000" isMono {...field("at")} />;
  }
  return isGrid ? <DayField label="On fixed points from" {...field("from")} /> : <span />;
}
