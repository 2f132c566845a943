import {
  BRAKE_TYPES,
  CAPACITY_CONDITIONS,
  COOLANT_FAMILIES,
  FLUID_KINDS,
  isRefused,
  mixing,
  type Fluid,
  type FluidId,
  type Machine,
  type Product,
} from "@yonderfell/core";
import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import {
  CheckField,
  choicesOfWords,
  choicesOrNone,
  NoteField,
  SelectField,
  TextField,
} from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { fieldsOf, useModel, type Field, type FormModel } from "../../../ui/useModel.js";
import { mixingWords, productWords } from "../../../words/plateWords.js";
import { RecordDialog } from "../../../ui/RecordDialog.js";
import {
  capacityWanted,
  emptyCapacity,
  emptyFluid,
  fluidOf,
  fluidProblem,
  modelOfFluid,
  type CapacityRow,
  type FluidModel,
  type GradeRow,
} from "./fluidModel.js";
import type { QuantityWanted } from "../../../ui/readQuantity.js";
import { useGallons } from "./useGallons.js";

/** Where fluids usually are. */
const SYSTEMS = [
  "engine",
  "cooling system",
  "gearbox",
  "brakes",
  "rear axle",
  "front axle",
  "transfer box",
  "hydraulics",
  "power steering",
  "clutch",
];
const SOURCES = ["handbook", "label", "dealer", "own experience", "maker of another part"];

/** Why what is in may not be followed by the product chosen, unless it was flushed; empty where it may. */
function mixingProblem(
  { product, isFlushed }: FluidModel,
  fluid: Fluid | null,
  products: readonly Product[],
): string {
  const now = products.find((one) => one.id === fluid?.product);
  const next = products.find((one) => one.id === product);
  if (isFlushed || now === undefined || next === undefined || now.id === next.id) return "";
  const answer = mixing(now, next);
  return isRefused(answer) ? mixingWords(answer) : "";
}

/** Writes down a fluid system: what belongs in it, how much by whom, what is in it now. */
export function FluidForm({
  fluid,
  machine,
  products,
  onClose,
}: {
  readonly fluid: Fluid | null;
  readonly machine: Machine;
  readonly products: readonly Product[];
  readonly onClose: () => void;
}): ReactElement {
  const gallons = useGallons(machine);
  const form = useModel<FluidModel>(() =>
    fluid === null ? emptyFluid(newId) : modelOfFluid(fluid),
  );
  const { model, field } = form;
  return (
    <RecordDialog
      noun="fluid"
      name={fluid?.system ?? null}
      section="fluids"
      before={fluid}
      problem={fluidProblem(model, gallons) || mixingProblem(model, fluid, products)}
      after={() => {
        const id = fluid?.id ?? (newId() as FluidId);
        return fluidOf(model, fluid, { id, machine: machine.id, gallons });
      }}
      onClose={onClose}
    >
      <WhatItIs form={form} products={products} />
      {mixingProblem({ ...model, isFlushed: false }, fluid, products) !== "" && (
        <CheckField label="It was flushed before the other went in" {...field("isFlushed")} />
      )}
      <Capacities {...field("capacities")} wanted={capacityWanted(model.kind, gallons)} />
      <Grades {...field("grades")} />
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}

function WhatItIs({
  form: { model, field },
  products,
}: {
  readonly form: FormModel<FluidModel>;
  readonly products: readonly Product[];
}): ReactElement {
  const own = products.filter((product) => product.kind === model.kind);
  const inIt = own.map((one) => [one.id as string, productWords(one)] as const);
  return (
    <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
      <TextField label="System" offered={SYSTEMS} autoFocus {...field("system")} />
      <SelectField label="Kind" choices={choicesOfWords(FLUID_KINDS)} {...field("kind")} />
      <TextField label="Codes required, apart by commas" isMono {...field("codes")} />
      <SelectField
        label="In it now"
        choices={[["", "not recorded"], ...inIt]}
        {...field("product")}
      />
      {model.kind === "coolant" && (
        <SelectField
          label="Family"
          choices={choicesOrNone(COOLANT_FAMILIES, "not recorded")}
          {...field("coolantFamily")}
        />
      )}
      {model.kind === "brake fluid" && (
        <SelectField
          label="Type"
          choices={choicesOrNone(BRAKE_TYPES, "not recorded")}
          {...field("brakeType")}
        />
      )}
    </div>
  );
}

function Capacities({
  value: rows,
  wanted,
  onChange,
}: Field<readonly CapacityRow[]> & { readonly wanted: QuantityWanted }): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">How much goes in, each with its source</legend>
      {rows.map((row, index) => (
        <div
          key={row.id}
          className="border-t border-hairline py-2"
          role="group"
          aria-label={`Capacity ${index + 1}`}
        >
          <CapacityFields
            row={row}
            wanted={wanted}
            onRow={(changed) => onChange(rows.map((one) => (one.id === row.id ? changed : one)))}
          />
        </div>
      ))}
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => onChange([...rows, emptyCapacity(newId())])}
      >
        <Plus size={18} aria-hidden="true" />
        Another source
      </button>
    </fieldset>
  );
}

function CapacityFields({
  row,
  wanted,
  onRow,
}: {
  readonly row: CapacityRow;
  readonly wanted: QuantityWanted;
  readonly onRow: (row: CapacityRow) => void;
}): ReactElement {
  const field = fieldsOf(row, (patch) => onRow({ ...row, ...patch }));
  return (
    <div className="grid gap-x-5 sm:grid-cols-3">
      <QuantityField label="Capacity" wanted={wanted} {...field("amount")} />
      <SelectField
        label="Condition"
        choices={choicesOfWords(CAPACITY_CONDITIONS)}
        {...field("condition")}
      />
      <TextField label="Source" offered={SOURCES} {...field("source")} />
      <CheckField label="Work by this one" {...field("isChosen")} />
      <CheckField label="Set by a modified part" {...field("isModified")} />
      <TextField label="Note" {...field("note")} />
      {row.isChosen && (
        <div className="sm:col-span-3">
          <TextField label="Why this one" {...field("reason")} />
        </div>
      )}
    </div>
  );
}

function Grades({ value: rows, onChange }: Field<readonly GradeRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Grades by climate</legend>
      {rows.map((row, index) => {
        const field = fieldsOf(row, (patch) =>
          onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
        );
        return (
          <div
            key={index}
            className="grid grid-cols-3 gap-x-5 border-t border-hairline py-2"
            role="group"
            aria-label={`Grade ${index + 1}`}
          >
            <TextField label="Grade" isMono {...field("grade")} />
            <TextField label="From, °C" isMono {...field("from")} />
            <TextField label="To, °C" isMono {...field("to")} />
          </div>
        );
      })}
      <button
        type="button"
        className={QUIET_BUTTON}
        onClick={() => onChange([...rows, { grade: "", from: "", to: "" }])}
      >
        <Plus size={18} aria-hidden="true" />
        {rows.length === 0 ? "Add a grade" : "Another grade"}
      </button>
    </fieldset>
  );
}
