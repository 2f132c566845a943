import type { Quantity } from "@yonderfell/core";
import { asTyped } from "../words/quantityWords.js";
import { typedFigure, typedNumber } from "../words/writing.js";

/** Whether nothing stands in a field. */
export const isEmpty = (text: string): boolean => text.trim() === "";

/** What is typed, without the spaces around it; null where nothing is. */
export const orNull = (text: string): string | null => (isEmpty(text) ? null : text.trim());

/** A figure as it stands in a field, empty where there is none. */
export const figureTyped = (value: number | null | undefined): string =>
  value === null || value === undefined ? "" : typedFigure(value);

/** A quantity as it stands in a field, empty where there is none. */
export const quantityTyped = (quantity: Quantity | null | undefined): string =>
  quantity === null || quantity === undefined ? "" : asTyped(quantity);

/** Words as they stand in a field, empty where there are none. */
export const textTyped = (text: string | null | undefined): string => text ?? "";

/** What is typed apart by commas, semicolons or new lines. */
export const listTyped = (text: string): string[] =>
  text
    .split(/[,;\n]/)
    .map((one) => one.trim())
    .filter((one) => one !== "");

/** A list of words as it stands in a field, with commas between them. */
export const wordsTyped = (words: readonly string[] | undefined): string =>
  (words ?? []).join(", ");

/** A list of words of a record under its name, as it is typed; nothing where none stood or stands there. */
export function wordsUnder<K extends string>(
  key: K,
  typed: string,
  before: Readonly<Record<string, unknown>> | null,
): Partial<Record<K, string[]>> {
  const words = listTyped(typed);
  if (words.length === 0 && before?.[key] === undefined) return {};
  return { [key]: words } as Partial<Record<K, string[]>>;
}

/** Whether nothing stands in a field, or a figure of at least 0. */
export const isAmountOrEmpty = (text: string): boolean =>
  isEmpty(text) || (typedNumber(text) ?? -1) >= 0;

/** Whether a whole number from `least` on stands in a field. */
export function isWhole(text: string, least: number): boolean {
  const value = typedNumber(text);
  return value !== null && Number.isInteger(value) && value >= least;
}

/** The record of a list as it stands now, for a form of it: as it last stood where it is gone; null for a new one. */
export function asItStands<R extends { readonly id: string }>(
  records: readonly R[],
  record: R | null,
): R | null {
  return records.find(({ id }) => id === record?.id) ?? record;
}
