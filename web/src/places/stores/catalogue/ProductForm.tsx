import {
  BRAKE_TYPES,
  COOLANT_FAMILIES,
  FLUID_KINDS,
  OIL_BASES,
  type Product,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { RecordDialog } from "../../../form/RecordDialog.js";
import { RowsField } from "../../../form/RowsField.js";
import { useForm } from "../../../form/useForm.js";
import type { Field } from "../../../ui/field.js";
import {
  choicesOfWords,
  choicesOrNone,
  NoteField,
  SelectField,
  TextField,
} from "../../../ui/fields.js";
import { DayField } from "../../../ui/DayField.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { PriceFields } from "./PriceFields.js";
import {
  modelOfProduct,
  PACK,
  productOf,
  productProblems,
  type OpenedRow,
  type PackRow,
} from "./productModel.js";
import { PRODUCT_LABELS, productProblemWords } from "./storesWords.js";

/** Writes down a fluid as it is bought: what it claims, its packs and prices. */
export function ProductForm({
  product,
  onClose,
}: {
  readonly product: Product | null;
  readonly onClose: () => void;
}): ReactElement {
  const form = useForm({
    form: "product",
    of: product?.id ?? "new",
    source: product,
    modelOf: modelOfProduct,
    labels: PRODUCT_LABELS,
    problemsOf: productProblems,
    problemWords: productProblemWords,
  });
  const { model, field } = form;
  return (
    <RecordDialog
      noun="product"
      name={product?.name ?? null}
      section="products"
      form={form}
      recordOf={productOf}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField autoFocus {...field("name")} />
        <SelectField choices={choicesOfWords(FLUID_KINDS)} {...field("kind")} />
        <TextField isMono {...field("grade")} />
        <SelectField choices={choicesOrNone(OIL_BASES, "not recorded")} {...field("base")} />
        {model.kind === "coolant" && (
          <SelectField
            choices={choicesOrNone(COOLANT_FAMILIES, "not recorded")}
            {...field("coolantFamily")}
          />
        )}
        {model.kind === "brake fluid" && (
          <SelectField
            choices={choicesOrNone(BRAKE_TYPES, "not recorded")}
            {...field("brakeType")}
          />
        )}
      </div>
      <TextField isMono {...field("claims")} />
      <Packs {...field("packs")} />
      <div className="max-w-72">
        <QuantityField wanted={PACK} {...field("least")} />
      </div>
      <Opened {...field("opened")} />
      <NoteField {...field("note")} />
    </RecordDialog>
  );
}

function Opened(field: Field<readonly OpenedRow[]>): ReactElement {
  const empty = (): OpenedRow => ({ on: "", amount: "", bestBefore: "", shelf: "" });
  return (
    <fieldset>
      <legend className="font-semibold">Open containers</legend>
      <RowsField {...field} noun="open container" first="Add an open container" empty={empty}>
        {(_row, rowField) => (
          <div className="grid gap-x-5 gap-y-2 sm:grid-cols-2">
            <DayField label="Opened on" {...rowField("on")} />
            <DayField label="Best before" {...rowField("bestBefore")} />
            <QuantityField label="What is left in it" wanted={PACK} {...rowField("amount")} />
            <TextField label="Shelf" {...rowField("shelf")} />
          </div>
        )}
      </RowsField>
    </fieldset>
  );
}

function Packs(field: Field<readonly PackRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Packs</legend>
      <RowsField {...field} noun="pack" empty={(): PackRow => ({ amount: "", prices: [] })}>
        {(_row, rowField) => (
          <>
            <QuantityField label="Holds" wanted={PACK} {...rowField("amount")} />
            <PriceFields {...rowField("prices")} />
          </>
        )}
      </RowsField>
    </fieldset>
  );
}
