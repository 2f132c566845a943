import type { TableChoices, TablePlan } from "../../work/tables.js";

/** How many records would be written with what a person has said of those in doubt. */
export function takenCount(plan: TablePlan, { codes, rows }: TableChoices): number {
  return plan.groups.reduce((sum, { code, count, items }) => {
    const isTaken = codes.includes(code);
    const otherwise = items.filter(({ row }) => (rows.get(row) ?? isTaken) !== isTaken).length;
    return sum + (isTaken ? count - otherwise : otherwise);
  }, plan.sure);
}
