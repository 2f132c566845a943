import {
  BRAKE_TYPES,
  COOLANT_FAMILIES,
  FLUID_KINDS,
  OIL_BASES,
  type BrakeType,
  type CoolantFamily,
  type FluidKind,
  type OilBase,
  type Price,
  type Product,
  type ProductId,
} from "@yonderfell/core";
import { Plus } from "lucide-react";
import type { ReactElement } from "react";
import { newId } from "../../data/newId.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import {
  choicesOfWords,
  choicesOrNone,
  NoteField,
  SelectField,
  TextField,
} from "../../ui/fields.js";
import { QuantityField } from "../../ui/QuantityField.js";
import { RecordDialog } from "../../ui/RecordDialog.js";
import { readQuantity, type QuantityWanted } from "../../ui/readQuantity.js";
import { fieldsOf, useModel, type Field } from "../../ui/useModel.js";
import { asTyped } from "../../words/quantityWords.js";
import { PriceFields, priceProblem, priceRows, pricesOf, type PriceRow } from "./PriceFields.js";

const PACK: QuantityWanted = { unit: "L", also: ["mass"] };

interface PackRow {
  readonly amount: string;
  readonly prices: readonly PriceRow[];
}

interface ProductModel {
  readonly name: string;
  readonly kind: FluidKind;
  readonly grade: string;
  readonly base: OilBase | "";
  readonly coolantFamily: CoolantFamily | "";
  readonly brakeType: BrakeType | "";
  readonly claims: string;
  readonly packs: readonly PackRow[];
  readonly note: string;
}

function modelOf(product: Product | null): ProductModel {
  return {
    name: product?.name ?? "",
    kind: product?.kind ?? "engine oil",
    grade: product?.grade ?? "",
    base: product?.base ?? "",
    coolantFamily: product?.coolantFamily ?? "",
    brakeType: product?.brakeType ?? "",
    claims: (product?.claims ?? []).join(", "),
    packs: (product?.packs ?? []).map(({ quantity, prices }) => ({
      amount: asTyped(quantity),
      prices: priceRows(prices),
    })),
    note: product?.note ?? "",
  };
}

function problemOf(model: ProductModel): string {
  if (model.name.trim() === "") return "Say what it is called on the can.";
  for (const { amount, prices } of model.packs) {
    if (amount.trim() === "") continue;
    if (!readQuantity(amount, PACK).ok)
      return `“${amount}” is not the size of a pack; mend it or leave it empty.`;
    const wrong = priceProblem(prices);
    if (wrong !== "") return wrong;
  }
  return "";
}

const orNull = (text: string): string | null => (text.trim() === "" ? null : text.trim());

function productOf(model: ProductModel, before: Product | null): Product {
  const packs = model.packs.flatMap(({ amount, prices }, index) => {
    const read = readQuantity(amount, PACK);
    if (!read.ok) return [];
    const known = (before?.packs ?? [])[index];
    const asked: Price[] = pricesOf(prices, known?.prices);
    return [{ ...known, quantity: read.value.quantity, prices: asked }];
  });
  return {
    ...before,
    id: before?.id ?? (newId() as ProductId),
    name: model.name.trim(),
    kind: model.kind,
    grade: orNull(model.grade),
    base: model.base === "" ? null : model.base,
    coolantFamily:
      model.kind === "coolant" && model.coolantFamily !== "" ? model.coolantFamily : null,
    brakeType: model.kind === "brake fluid" && model.brakeType !== "" ? model.brakeType : null,
    claims: model.claims
      .split(/[,;\n]/)
      .map((one) => one.trim())
      .filter((one) => one !== ""),
    packs,
    note: orNull(model.note),
  };
}

/** Writes down a fluid as it is bought: what it claims, its packs and prices. */
export function ProductForm({
  product,
  onClose,
}: {
  readonly product: Product | null;
  readonly onClose: () => void;
}): ReactElement {
  const { model, field } = useModel(() => modelOf(product));
  return (
    <RecordDialog
      noun="product"
      name={product?.name ?? null}
      section="products"
      before={product}
      problem={problemOf(model)}
      after={() => productOf(model, product)}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField label="Called" autoFocus {...field("name")} />
        <SelectField label="Kind" choices={choicesOfWords(FLUID_KINDS)} {...field("kind")} />
        <TextField label="Grade" isMono {...field("grade")} />
        <SelectField
          label="Made from"
          choices={choicesOrNone(OIL_BASES, "not recorded")}
          {...field("base")}
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
      <TextField
        label="Codes and approvals its label claims, apart by commas"
        isMono
        {...field("claims")}
      />
      <Packs {...field("packs")} />
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}

function Packs({ value: rows, onChange }: Field<readonly PackRow[]>): ReactElement {
  return (
    <fieldset>
      <legend className="font-semibold">Packs</legend>
      {rows.map((row, index) => {
        const field = fieldsOf(row, (patch) =>
          onChange(rows.map((one, at) => (at === index ? { ...one, ...patch } : one))),
        );
        return (
          <div
            key={index}
            className="border-t border-hairline py-2"
            role="group"
            aria-label={`Pack ${index + 1}`}
          >
            <QuantityField label="Holds" wanted={PACK} {...field("amount")} />
            <PriceFields {...field("prices")} />
          </div>
        );
      })}
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-2`}
        onClick={() => onChange([...rows, { amount: "", prices: [] }])}
      >
        <Plus size={18} aria-hidden="true" />
        {rows.length === 0 ? "Add a pack" : "Another pack"}
      </button>
    </fieldset>
  );
}
