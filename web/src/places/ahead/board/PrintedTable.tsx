import type { BoardMachine } from "@yonderfell/core";
import { useMemo, type ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { AheadCells } from "../AheadRow.js";
import { FoundList } from "../FoundList.js";
import { shownOf } from "./boardGroups.js";
import { COLUMN_WORDS } from "./boardWords.js";
import { PAPER_WIDTH, PaperHead } from "./PaperHead.js";
import { tableRows } from "./tableOrder.js";

const WIDTHS = ["10%", "16%", "16%", "11%", "12%", "35%"] as const;

/** The whole table as it goes on paper: every row in the order chosen, the titles on each page. */
export function PrintedTable({
  machines,
}: {
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { show, of, order } = useAppSelector((state) => state.boardLook);
  const shown = useMemo(() => shownOf(machines, { show, of }), [machines, show, of]);
  const rows = useMemo(() => tableRows(shown, order), [shown, order]);
  return (
    <div className="board-print hidden print:block" style={{ width: PAPER_WIDTH }}>
      <PaperHead />
      <table className="w-full table-fixed border-collapse text-left align-top">
        <colgroup>
          {WIDTHS.map((width, column) => (
            <col key={column} style={{ width }} />
          ))}
        </colgroup>
        <thead>
          <tr className="border-b border-rule text-fine text-quiet">
            {COLUMN_WORDS.map(([column, title]) => (
              <th
                key={column}
                scope="col"
                className={`py-2 pr-4 font-medium ${column === "left" ? "text-right" : ""}`}
              >
                {title}
              </th>
            ))}
            <th scope="col" className="py-2 pr-4 font-medium">
              Because
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.task.task.id} className="border-b border-hairline align-top">
              <AheadCells row={row} today={today} />
            </tr>
          ))}
        </tbody>
      </table>
      <FoundList machines={shown} today={today} />
    </div>
  );
}
