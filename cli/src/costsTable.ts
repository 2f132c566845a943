import type { Book, BookCosts } from "@yonderfell/core";
import { textTable } from "./textTable.js";

const TITLES = ["machine", "parts", "fluids", "work", "other", "total", "missing", "warranty"];

const money = (amount: number): string => amount.toFixed(2);

/** What machines cost, as a table for people: a row a machine, with what it ran and what a unit of that cost. */
export function costsTable({ from, to, machines }: BookCosts, book: Book): string {
  const known = new Map((book.machines ?? []).map((machine) => [machine.id, machine]));
  const rows = machines.map((one) => {
    const machine = known.get(one.id);
    const runs = one.meters.flatMap(({ id, run, perUnit }) => {
      const unit = (machine?.meters ?? []).find((meter) => meter.id === id)?.unit ?? "";
      if (run === null) return [];
      const each = perUnit === null ? "" : `, ${perUnit.toFixed(3)} a ${unit}`;
      return [`${Math.round(run * 10) / 10} ${unit}${each}`];
    });
    return [
      `${machine?.tag ?? ""} ${machine?.name ?? ""}`,
      ...[one.parts, one.fluids, one.work, one.other, one.total].map(money),
      ...[String(one.missing), money(one.warranty), runs.join("; ")],
    ];
  });
  const currency = book.settings?.currency ?? null;
  const heading = `Costs from ${from} to ${to}${currency === null ? "" : `, in ${currency}`}`;
  return [heading, "", ...textTable([...TITLES, "ran"], rows)].join("\n");
}
