import {
  BRAKE_TYPES,
  CAPACITY_CONDITIONS,
  COOLANT_FAMILIES,
  dayOf,
  FLUID_KINDS,
  type Fluid,
  type FluidId,
  type Machine,
  type Product,
  type ProductInside,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { RowsField } from "../../../form/RowsField.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import type { Field } from "../../../ui/field.js";
import {
  CheckField,
  choicesOfWords,
  choicesOrNone,
  NoteField,
  SelectField,
  TextField,
} from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import type { QuantityWanted } from "../../../ui/readQuantity.js";
import { fullDate } from "../../../words/format.js";
import { productWords } from "../../../words/plateWords.js";
import type { PlateInBook } from "../usePlate.js";
import {
  capacityWanted,
  emptyCapacity,
  fluidOf,
  fluidProblems,
  mixingRefused,
  modelOfFluid,
  type CapacityRow,
  type FluidModel,
  type GradeRow,
} from "./fluidModel.js";
import { FLUID_LABELS, fluidProblemWords, SOURCES, SYSTEMS } from "./plateFormWords.js";
import { useGallons } from "./useGallons.js";

/** Writes down a fluid system: what belongs in it, how much by whom, what is in it now. */
export function FluidForm({
  fluid,
  machine,
  products,
  inside,
  onClose,
}: {
  readonly fluid: Fluid | null;
  readonly machine: Machine;
  readonly products: readonly Product[];
  readonly inside: PlateInBook["inside"];
  readonly onClose: () => void;
}): ReactElement {
  const gallons = useGallons(machine);
  const form = useForm({
    form: "fluid",
    of: fluid?.id ?? `new ${machine.id}`,
    source: fluid,
    modelOf: modelOfFluid,
    labels: FLUID_LABELS,
    problemsOf: (model) => fluidProblems(model, gallons, fluid, products),
    problemWords: fluidProblemWords,
  });
  const { model, field } = form;
  const mixes = mixingRefused({ ...model, isFlushed: false }, fluid, products) === null;
  return (
    <RecordDialog
      noun="fluid"
      name={fluid?.system ?? null}
      section="fluids"
      form={form}
      recordOf={(typed, before) => {
        const id = before?.id ?? (newId() as FluidId);
        return fluidOf(typed, before, { id, machine: machine.id, gallons });
      }}
      said={{
        product: (id: string) => products.find((one) => one.id === id)?.name ?? "not recorded",
      }}
      onClose={onClose}
    >
      <WhatItIs
        form={form}
        products={products}
        by={fluid === null ? null : (inside.get(fluid.id) ?? null)}
      />
      {!mixes && <CheckField {...field("isFlushed")} />}
      <Capacities {...field("capacities")} wanted={capacityWanted(model.kind, gallons)} />
      <Grades {...field("grades")} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}

function WhatItIs({
  form: { model, field },
  products,
  by,
}: {
  readonly form: FormInHand<FluidModel, Fluid | null>;
  readonly products: readonly Product[];
  /** What the log says is in it, which goes before what is chosen here; null where it says nothing. */
  readonly by: ProductInside | null;
}): ReactElement {
  const own = products.filter((product) => product.kind === model.kind);
  const inIt = own.map((one) => [one.id as string, productWords(one)] as const);
  return (
    <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
      <TextField offered={SYSTEMS} autoFocus {...field("system")} />
      <SelectField choices={choicesOfWords(FLUID_KINDS)} {...field("kind")} />
      <TextField isMono {...field("codes")} />
      <div>
        <SelectField choices={[["", "not recorded"], ...inIt]} {...field("product")} />
        {by?.by && (
          <p className="text-fine text-quiet">
            What was in it before. By the log it has{" "}
            {products.find(({ id }) => id === by.product)?.name ?? "another"} since{" "}
            {fullDate(dayOf(by.by.date))}.
          </p>
        )}
      </div>
      {model.kind === "coolant" && (
        <SelectField
          choices={choicesOrNone(COOLANT_FAMILIES, "not recorded")}
          {...field("coolantFamily")}
        />
      )}
      {model.kind === "brake fluid" && (
        <SelectField choices={choicesOrNone(BRAKE_TYPES, "not recorded")} {...field("brakeType")} />
      )}
    </div>
  );
}

function Capacities({
  wanted,
  ...field
}: Field<readonly CapacityRow[]> & { readonly wanted: QuantityWanted }): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">{FLUID_LABELS.capacities}</legend>
      <RowsField
        {...field}
        keyOf={(row) => row.id}
        noun="capacity"
        first="Add a capacity"
        empty={() => emptyCapacity(newId())}
      >
        {(row, rowField) => (
          <div className="grid gap-x-5 sm:grid-cols-3">
            <QuantityField label="Capacity" wanted={wanted} {...rowField("amount")} />
            <SelectField
              label="Condition"
              choices={choicesOfWords(CAPACITY_CONDITIONS)}
              {...rowField("condition")}
            />
            <TextField label="Source" offered={SOURCES} {...rowField("source")} />
            <CheckField label="Work by this one" {...rowField("isChosen")} />
            <CheckField label="Set by a modified part" {...rowField("isModified")} />
            <TextField label="Note" {...rowField("note")} />
            {row.isChosen && (
              <div className="sm:col-span-3">
                <TextField label="Why this one" {...rowField("reason")} />
              </div>
            )}
          </div>
        )}
      </RowsField>
    </fieldset>
  );
}

function Grades(field: Field<readonly GradeRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">{FLUID_LABELS.grades}</legend>
      <RowsField {...field} noun="grade" empty={(): GradeRow => ({ grade: "", from: "", to: "" })}>
        {(_row, rowField) => (
          <div className="grid grid-cols-3 gap-x-5">
            <TextField label="Grade" isMono {...rowField("grade")} />
            <TextField label="From, °C" isMono {...rowField("from")} />
            <TextField label="To, °C" isMono {...rowField("to")} />
          </div>
        )}
      </RowsField>
    </fieldset>
  );
}
