import { formatDay, type Book, type DayNumber, type WasteStanding } from "@yonderfell/core";
import { textTable } from "./textTable.js";

const rounded = (value: number): string => String(Math.round(value * 100) / 100);

/** An amount of waste: `12.6 L, 3 pieces`. */
function amountWords({ pieces, litres, kilograms }: WasteStanding["drained"]): string {
  const parts = [
    ...(litres === 0 ? [] : [`${rounded(litres)} L`]),
    ...(kilograms === 0 ? [] : [`${rounded(kilograms)} kg`]),
    ...(pieces === 0 ? [] : [`${rounded(pieces)} pieces`]),
  ];
  return parts.length === 0 ? "0" : parts.join(", ");
}

/** The waste there is, as a table for people. */
export function wasteTable(
  waste: readonly WasteStanding[],
  on: DayNumber,
  { containers }: Book,
): string {
  const names = new Map((containers ?? []).map(({ id, name }) => [id, name]));
  const rows = waste.map(({ kind, drained, standing, container }) => [
    ...[kind, amountWords(drained), amountWords(standing)],
    container === null ? "no container in use" : (names.get(container) ?? ""),
  ]);
  const titles = ["waste", "drained", "there now", "goes into"];
  return [`Waste on ${formatDay(on)}`, "", ...textTable(titles, rows)].join("\n");
}
