import type { PartModel, PartProblem } from "./partModel.js";
import type { ProductModel, ProductProblem } from "./productModel.js";

/** Kinds of part that are offered while typing. */
export const PART_KINDS: readonly string[] = [
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
  "kit",
];

/** What is said of a part. */
export const PART_LABELS: Readonly<Record<keyof PartModel, string>> = {
  name: "What it is",
  kind: "Kind",
  number: "Number",
  equivalents: "Equivalent numbers, apart by commas",
  supersededBy: "Superseded by",
  pack: "How many come in a pack",
  least: "Keep at least",
  contains: "What is in the kit",
  note: "Note",
  prices: "Prices",
};

const A_PRICE = "A price needs a source and an amount of 0 or more.";

/** What is wrong with a part, and what to do. */
export function partProblemWords({ code }: PartProblem): string {
  switch (code) {
    case "name-missing":
      return "Say what it is, such as oil filter.";
    case "number-missing":
      return "Give the number it is ordered by.";
    case "pack-not-whole":
      return "How many come in a pack must be a whole number from 1 on.";
    case "not-a-price":
      return A_PRICE;
    case "not-an-amount":
      return "A figure, or nothing.";
    case "inside-missing":
      return "Choose the part, or leave the line out.";
  }
}

/** What is said of a fluid as it is bought. */
export const PRODUCT_LABELS: Readonly<Record<keyof ProductModel, string>> = {
  name: "Called",
  kind: "Kind",
  grade: "Grade",
  base: "Made from",
  coolantFamily: "Family",
  brakeType: "Type",
  claims: "Codes and approvals its label claims, apart by commas",
  packs: "Packs",
  least: "Keep at least",
  opened: "Open containers",
  note: "Note",
};

/** What is wrong with a product, and what to do. */
export function productProblemWords({ code }: ProductProblem): string {
  switch (code) {
    case "called-missing":
      return "Say what it is called on the can.";
    case "not-a-pack":
      return "That is not the size of a pack; mend it or leave it empty.";
    case "not-an-amount":
      return "An amount of it, or nothing.";
    case "not-opened":
      return "Say on which day it was opened.";
    case "not-a-price":
      return A_PRICE;
  }
}
