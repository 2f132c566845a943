import type { ReactElement, ReactNode } from "react";

/** A column of a table: its heading, and whether it holds figures. */
interface FigureColumn {
  readonly label: string;
  readonly isFigure?: boolean;
}

/** Rows under headings, words to the left and figures to the right; scrolls by itself where it is wide. */
export function FigureTable({
  label,
  columns,
  rows,
}: {
  /** What the table is, for those who hear it. */
  readonly label: string;
  readonly columns: readonly FigureColumn[];
  readonly rows: readonly { readonly key: string; readonly cells: readonly ReactNode[] }[];
}): ReactElement {
  const look = (at: number): string =>
    `py-1 pr-6 ${columns[at]?.isFigure === true ? "text-right whitespace-nowrap" : "text-left"}`;
  return (
    <div
      className="relative max-w-full overflow-x-auto"
      role="group"
      tabIndex={0}
      aria-label={label}
    >
      <table className="tabular-nums">
        <thead>
          <tr className="text-fine text-quiet">
            {columns.map((column, at) => (
              <th key={column.label} scope="col" className={`${look(at)} font-medium`}>
                {column.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, cells: [first, ...others] }) => (
            <tr
              key={key}
              className="border-t border-hairline align-baseline print:break-inside-avoid"
            >
              <th scope="row" className={`${look(0)} font-medium`}>
                {first}
              </th>
              {others.map((cell, at) => (
                <td key={columns[at + 1]?.label ?? at} className={look(at + 1)}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
