import { FLUID_KINDS, type Meter } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import type { ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { FormBody } from "../../../form/FormBody.js";
import type { FormField, FormInHand } from "../../../form/useForm.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { DayField } from "../../../ui/DayField.js";
import { choicesOfWords, SelectField, TextField } from "../../../ui/fields.js";
import { Page } from "../../../ui/Page.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { fieldsOf, type Field } from "../../../ui/field.js";
import { sentence } from "../../../words/format.js";
import { capacityWanted } from "../plate/fluidModel.js";
import { GALLON_CHOICES, HISTORY_CHOICES, KINDS } from "../../../words/machineWords.js";
import { metersFor, type FluidRow, type MachineSheet, type MeterRow } from "./newMachineModel.js";
import { useNewMachine } from "./useNewMachine.js";

const UNITS: readonly (readonly [Meter["unit"] | "", string])[] = [
  ["", "it has none"],
  ["km", "km"],
  ["mi", "mi"],
  ["h", "h"],
];

/** Adds a machine in one sheet: what it is, its meters as they stand, the fluids of its plate. */
export default function AddMachine(): ReactElement {
  const { form, failure, vinRemark, save } = useNewMachine();
  const { model, field } = form;
  return (
    <Page title="Add a machine">
      <FormBody
        form={form}
        onSave={save}
        failure={failure}
        className="max-w-[76rem] space-y-7"
        foot={
          <FormFoot>
            <button type="submit" className={PRIMARY_BUTTON}>
              Add the machine
            </button>
          </FormFoot>
        }
      >
        <Facts form={form} vinRemark={vinRemark} />
        <Meters {...field("meters")} />
        <Fluids {...field("fluids")} sheet={model} source={field("source")} />
        <p className="text-fine text-quiet">
          Fluids that nothing is written of are left out; everything can be written down later on
          its plate.
        </p>
      </FormBody>
    </Page>
  );
}

function Facts({
  form: { model, set, field },
  vinRemark,
}: {
  readonly form: FormInHand<MachineSheet, string>;
  readonly vinRemark: string;
}): ReactElement {
  const { storage } = useBook();
  const places = useLiveQuery(() => storage.list("places"), [storage]) ?? [];
  const placeChoices = places.map((place) => [place.id as string, place.name] as const);
  return (
    <section aria-labelledby="what" className="grid gap-x-6 gap-y-3 sm:grid-cols-4">
      <h2 id="what" className="text-large font-bold sm:col-span-4">
        What it is
      </h2>
      <TextField isMono isRequired {...field("tag")} />
      <TextField isRequired autoFocus {...field("name")} />
      <TextField
        offered={KINDS}
        isRequired
        {...field("kind")}
        onChange={(kind) => set({ kind, meters: metersFor(kind, model.meters) })}
      />
      <SelectField choices={[["", "not recorded"], ...placeChoices]} {...field("place")} />
      <div className="sm:col-span-2">
        <TextField {...field("description")} />
      </div>
      <div className="sm:col-span-2">
        <TextField isMono note={vinRemark} {...field("vin")} />
      </div>
      <DayField {...field("inService")} />
      <SelectField choices={HISTORY_CHOICES} {...field("history")} />
      <SelectField choices={GALLON_CHOICES} {...field("gallons")} />
    </section>
  );
}

function Meters({
  value: rows,
  onChange,
  problemAt = () => "",
}: Field<readonly MeterRow[]>): ReactElement {
  return (
    <section aria-labelledby="meters">
      <h2 id="meters" className="text-large font-bold">
        Meters
      </h2>
      {rows.map((row, index) => {
        const field = fieldsOf(
          row,
          (patch) => onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
          (path) => problemAt(`${index}.${path}`),
        );
        return (
          <div
            key={index}
            role="group"
            aria-label={row.name}
            className="grid gap-x-6 border-t border-hairline py-2 sm:grid-cols-4"
          >
            <TextField label="Called" {...field("name")} />
            <SelectField
              label="Counts"
              choices={UNITS}
              {...field("unit")}
              onChange={(unit) =>
                onChange(
                  rows.map((one, at) => (at === index ? { ...one, unit, isOwn: true } : one)),
                )
              }
            />
            <TextField label="Shows today" isMono {...field("figure")} />
          </div>
        );
      })}
    </section>
  );
}

function Fluids({
  value: rows,
  onChange,
  problemAt = () => "",
  sheet,
  source,
}: Field<readonly FluidRow[]> & {
  readonly sheet: MachineSheet;
  readonly source: FormField<string>;
}): ReactElement {
  const gallons = sheet.gallons === "" ? null : sheet.gallons;
  return (
    <section aria-labelledby="fluids">
      <div className="mb-2 flex flex-wrap items-end justify-between gap-4">
        <h2 id="fluids" className="text-large font-bold">
          Fluids of its plate
        </h2>
        <div className="w-64">
          <TextField {...source} />
        </div>
      </div>
      {rows.map((row, index) => {
        const field = fieldsOf(
          row,
          (patch) => onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
          (path) => problemAt(`${index}.${path}`),
        );
        return (
          <div
            key={index}
            role="group"
            aria-label={sentence(row.system)}
            className="grid gap-x-6 border-t border-hairline py-2 sm:grid-cols-[1fr_1fr_1fr_1fr_1.4fr]"
          >
            <TextField label="System" {...field("system")} />
            <SelectField label="Kind" choices={choicesOfWords(FLUID_KINDS)} {...field("kind")} />
            <QuantityField
              label="How much"
              wanted={capacityWanted(row.kind, gallons)}
              {...field("amount")}
            />
            <TextField label="Grade" isMono {...field("grade")} />
            <TextField label="Codes required" isMono {...field("codes")} />
          </div>
        );
      })}
    </section>
  );
}
