import type { Part, PartId } from "@yonderfell/core";
import type { ReactElement } from "react";
import { newId } from "../../data/newId.js";
import { NoteField, TextField } from "../../ui/fields.js";
import { RecordDialog } from "../../ui/RecordDialog.js";
import { useModel } from "../../ui/useModel.js";
import { PriceFields, priceProblem, priceRows, pricesOf, type PriceRow } from "./PriceFields.js";

const KINDS = [
  "filter",
  "belt",
  "seal",
  "plug",
  "brake pads",
  "bulb",
  "wiper",
  "battery",
  "tyre",
  "wear part",
];

interface PartModel {
  readonly name: string;
  readonly kind: string;
  readonly number: string;
  readonly equivalents: string;
  readonly supersededBy: string;
  readonly pack: string;
  readonly note: string;
  readonly prices: readonly PriceRow[];
}

function modelOf(part: Part | null): PartModel {
  return {
    name: part?.name ?? "",
    kind: part?.kind ?? "",
    number: part?.number ?? "",
    equivalents: (part?.equivalents ?? []).join(", "),
    supersededBy: part?.supersededBy ?? "",
    pack: String(part?.pack ?? 1),
    note: part?.note ?? "",
    prices: priceRows(part?.prices),
  };
}

function problemOf(model: PartModel): string {
  if (model.name.trim() === "") return "Say what it is, such as oil filter.";
  if (model.number.trim() === "") return "Give the number it is ordered by.";
  if (!/^[1-9]\d{0,5}$/.test(model.pack.trim()))
    return "How many come in a pack must be a whole number from 1 on.";
  return priceProblem(model.prices);
}

const orNull = (text: string): string | null => (text.trim() === "" ? null : text.trim());

function partOf(model: PartModel, before: Part | null): Part {
  return {
    ...before,
    id: before?.id ?? (newId() as PartId),
    name: model.name.trim(),
    kind: orNull(model.kind),
    number: model.number.trim(),
    equivalents: model.equivalents
      .split(",")
      .map((one) => one.trim())
      .filter((one) => one !== ""),
    supersededBy: orNull(model.supersededBy),
    pack: Number(model.pack),
    prices: pricesOf(model.prices, before?.prices),
    note: orNull(model.note),
  };
}

/** Writes down a part: its numbers, its pack, its prices. */
export function PartForm({
  part,
  onClose,
}: {
  readonly part: Part | null;
  readonly onClose: () => void;
}): ReactElement {
  const { model, field } = useModel(() => modelOf(part));
  return (
    <RecordDialog
      noun="part"
      name={part?.name ?? null}
      section="parts"
      before={part}
      problem={problemOf(model)}
      after={() => partOf(model, part)}
      onClose={onClose}
    >
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        <TextField label="What it is" autoFocus {...field("name")} />
        <TextField label="Kind" offered={KINDS} {...field("kind")} />
        <TextField label="Number" isMono {...field("number")} />
        <TextField label="Superseded by" isMono {...field("supersededBy")} />
        <TextField label="Equivalent numbers, apart by commas" isMono {...field("equivalents")} />
        <TextField label="How many come in a pack" isMono {...field("pack")} />
      </div>
      <PriceFields {...field("prices")} />
      <NoteField label="Note" {...field("note")} />
    </RecordDialog>
  );
}
