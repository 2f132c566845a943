import type { CsvDoubt } from "@yonderfell/core";
import { useState } from "react";
import type { TableChoices, TablePlan } from "../../work/tables.js";

/** Doubts that take nothing from the book and can be seen in it afterwards: put up with until a person says otherwise. */
const HARMLESS: readonly CsvDoubt["code"][] = [
  "tag-alike",
  "work-unknown",
  "place-unknown",
  "references-missing",
];

/** What a person says of the rows in doubt, and of those that cannot be read. */
export function useTableChoices(plan: TablePlan): {
  readonly choices: TableChoices;
  readonly setCode: (code: CsvDoubt["code"], isTaken: boolean) => void;
  readonly setRow: (row: number, isTaken: boolean) => void;
  readonly setLeavesRefused: (value: boolean) => void;
} {
  const [choices, setChoices] = useState<TableChoices>({
    codes: HARMLESS,
    rows: new Map(),
    leavesRefused: false,
  });
  return {
    choices,
    setCode: (code, isTaken) => {
      // What was said of all rows of a reason takes the place of what was said of each.
      const groups = plan.groups.filter((group) => group.code === code);
      const own = new Set(groups.flatMap(({ items }) => items.map(({ row }) => row)));
      const others = choices.codes.filter((one) => one !== code);
      setChoices({
        ...choices,
        codes: isTaken ? [...others, code] : others,
        rows: new Map([...choices.rows].filter(([row]) => !own.has(row))),
      });
    },
    setRow: (row, isTaken) =>
      setChoices({ ...choices, rows: new Map([...choices.rows, [row, isTaken]]) }),
    setLeavesRefused: (leavesRefused) => setChoices({ ...choices, leavesRefused }),
  };
}
