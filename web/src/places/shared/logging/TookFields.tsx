import type { Gallons } from "@yonderfell/core";
import type { ReactElement } from "react";
import type { WorkSource } from "../../../session/useWorkSource.js";
import { fieldsOf, type FieldsOf } from "../../../ui/field.js";
import { CheckField, SelectField, TextField } from "../../../ui/fields.js";
import { QuantityField } from "../../../ui/QuantityField.js";
import { productWords } from "../../../words/plateWords.js";
import {
  FLUID_AMOUNT,
  refilled,
  reparted,
  repersoned,
  type From,
  type FormCost,
  type FormFluid,
  type FormMinutes,
  type FormPart,
} from "./tookModel.js";

const FROM: readonly (readonly [From, string])[] = [
  ["bought", "bought for it"],
  ["stock", "from stock"],
  ["supplied", "supplied, costs nothing"],
];

const KINDS = [
  ["", "not said"],
  ["shop", "a shop's bill"],
  ["consumables", "consumables"],
  ["fee", "fee"],
  ["other", "other"],
] as const;

interface RowProps<Row> {
  readonly row: Row;
  readonly source: WorkSource;
  readonly currency: string;
  /** Whether it was opened to be given its price, which then takes the focus. */
  readonly isPriced: boolean;
  readonly onChange: (row: Row) => void;
}

function fieldsFor<Row>(row: Row, onChange: (row: Row) => void): FieldsOf<Row> {
  return fieldsOf(row, (patch) => onChange({ ...row, ...patch }));
}

const GRID = "grid gap-x-4 gap-y-2 sm:grid-cols-2";

/** The fields of a fluid that went in or came out. */
export function FluidFields({
  row,
  source,
  currency,
  isPriced,
  onChange,
  gallons,
}: RowProps<FormFluid> & { readonly gallons: Gallons | null }): ReactElement {
  const field = fieldsFor(row, onChange);
  const system = source.plate.fluids.find(({ id }) => id === row.fluid);
  const product = source.products.find(({ id }) => id === row.product);
  const alike = source.products.filter(({ kind }) => kind === system?.kind);
  const systems = source.plate.fluids.map(({ id, system: name }) => [id, name] as const);
  const products = alike.map((one) => [one.id, productWords(one)] as const);
  const wanted = { ...FLUID_AMOUNT, gallons };
  return (
    <div className={GRID}>
      <SelectField
        label="System"
        value={row.fluid}
        choices={[...(system === undefined ? [["", "choose"] as const] : []), ...systems]}
        onChange={(fluid) => onChange(refilled({ ...row, fluid, product: "" }, source))}
      />
      <SelectField
        label="Product"
        value={row.product}
        choices={[["", "not recorded"] as const, ...products]}
        onChange={(product) => onChange(refilled({ ...row, product }, source))}
      />
      <QuantityField
        label="Went in"
        wanted={wanted}
        reckon={system?.kind === "coolant" ? "coolant-correct" : "fill-step"}
        {...field("in")}
      />
      <QuantityField label="Came out" wanted={wanted} {...field("out")} />
      <TextField
        label={priceLabel(product?.unit === "kg" ? "kilogram" : "litre", currency)}
        isMono
        autoFocus={isPriced}
        {...field("price")}
      />
      <SelectField label="Where it came from" choices={FROM} {...field("from")} />
      <CheckField label="The level ended on the mark" {...field("onMark")} />
    </div>
  );
}

const priceLabel = (what: string, currency: string): string =>
  currency === "" ? `Price a ${what}` : `Price a ${what}, ${currency}`;

/** The fields of a part that was used. */
export function PartFields({
  row,
  source,
  currency,
  isPriced,
  onChange,
}: RowProps<FormPart>): ReactElement {
  const field = fieldsFor(row, onChange);
  const parts = source.parts.map(({ id, number, name }) => [id, `${number} ${name}`] as const);
  return (
    <div className={GRID}>
      <SelectField
        label="Part"
        value={row.part}
        choices={[...(row.part === "" ? [["", "choose"] as const] : []), ...parts]}
        onChange={(part) => onChange(reparted({ ...row, part }, source))}
      />
      <TextField label="How many" isMono {...field("count")} />
      <TextField
        label={priceLabel("piece", currency)}
        isMono
        autoFocus={isPriced}
        {...field("price")}
      />
      <SelectField label="Where it came from" choices={FROM} {...field("from")} />
    </div>
  );
}

/** The fields of somebody's minutes. */
export function MinutesFields({
  row,
  source,
  currency,
  isPriced,
  onChange,
}: RowProps<FormMinutes>): ReactElement {
  const field = fieldsFor(row, onChange);
  const there = source.people.filter(({ id, hasLeft }) => hasLeft !== true || id === row.person);
  const people = there.map(({ id, name }) => [id, name] as const);
  const isKnown = there.some(({ id }) => id === row.person);
  const own = isKnown ? [] : [[row.person, row.person === "" ? "choose" : row.person] as const];
  return (
    <div className={GRID}>
      <SelectField
        label="Who"
        value={row.person}
        choices={[...own, ...people]}
        onChange={(person) => onChange(repersoned({ ...row, person }, source))}
      />
      <TextField label="Minutes" isMono {...field("minutes")} />
      <TextField
        label={currency === "" ? "Rate an hour" : `Rate an hour, ${currency}`}
        isMono
        autoFocus={isPriced}
        {...field("rate")}
      />
    </div>
  );
}

/** The fields of another cost. */
export function CostFields({
  row,
  currency,
  isPriced,
  onChange,
}: Omit<RowProps<FormCost>, "source">): ReactElement {
  const field = fieldsFor(row, onChange);
  return (
    <div className={GRID}>
      <TextField label="What for" {...field("what")} />
      <TextField
        label={currency === "" ? "Amount" : `Amount, ${currency}`}
        isMono
        autoFocus={isPriced}
        {...field("amount")}
      />
      <SelectField label="Kind" choices={KINDS} {...field("kind")} />
    </div>
  );
}
