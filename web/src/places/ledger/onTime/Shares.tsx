import type { OnTime, OnTimeShare } from "@yonderfell/core";
import type { ReactElement } from "react";
import { counted, figure } from "../../../words/format.js";
import { MonthBars } from "../../shared/MonthBars.js";
import { monthWords } from "../../shared/costs/costWords.js";
import { shareWords } from "./onTimeWords.js";

/** What turns are told apart by, in its word and its paint. */
const PARTS = [
  ["inTime", "in time", "--clear"],
  ["withinGrace", "within grace", "--soon"],
  ["late", "late", "--due"],
] as const;

/** Turns month by month, drawn; the table says the same. */
export function MonthChart({ onTime: { months } }: { readonly onTime: OnTime }): ReactElement {
  const said = months.map(({ month, share }) => `${monthWords(month)} ${shareWords(share)}`);
  return (
    <div className="min-w-0 [grid-area:chart] print:[&_canvas]:h-auto! print:[&_canvas]:max-w-full">
      {months.length > 0 && (
        <MonthBars
          {...{ months }}
          parts={PARTS}
          currency=""
          words={`Within the limit by month: ${said.join(", ")}`}
        />
      )}
    </div>
  );
}

/** Turns month by month. */
export function ByMonth({ onTime: { months } }: { readonly onTime: OnTime }): ReactElement {
  return (
    <section aria-labelledby="months" className="min-w-0 [grid-area:months]">
      {months.length > 0 && (
        <>
          <h2 id="months" className="mb-1 text-large font-bold">
            By month
          </h2>
          <div
            className="max-h-[28rem] max-w-full overflow-auto print:max-h-none"
            role="group"
            aria-label="Months as a table"
            tabIndex={0}
          >
            <ShareTable
              of="Month"
              rows={months.map((one) => ({ name: monthWords(one.month), note: "", one }))}
            />
          </div>
        </>
      )}
    </section>
  );
}

/** Turns kind by kind. */
export function ByKind({ onTime: { kinds } }: { readonly onTime: OnTime }): ReactElement | null {
  if (kinds.length === 0) return null;
  return (
    <section
      aria-labelledby="kinds"
      className="max-w-full min-w-0 overflow-x-auto [grid-area:kinds]"
    >
      <h2 id="kinds" className="mb-1 text-large font-bold">
        By kind
      </h2>
      <ShareTable
        of="Kind"
        rows={kinds.map((one) => ({ name: one.kind, note: counted(one.machines, "machine"), one }))}
      />
    </section>
  );
}

interface ShareLine {
  readonly name: string;
  readonly note: string;
  readonly one: OnTimeShare;
}

function ShareTable({
  of,
  rows,
}: {
  readonly of: string;
  readonly rows: readonly ShareLine[];
}): ReactElement {
  const headings = [...PARTS.map(([, label]) => label), "within limit", "with grace"];
  return (
    <table className="w-full text-right tabular-nums">
      <thead>
        <tr className="text-fine text-quiet">
          <th scope="col" className="py-1 pr-5 text-left font-medium">
            {of}
          </th>
          {headings.map((heading) => (
            <th key={heading} scope="col" className="pr-4 font-medium print:pr-2">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, note, one }) => (
          <tr key={name} className="border-t border-hairline">
            <th
              scope="row"
              className="py-1 pr-5 text-left font-medium whitespace-nowrap print:py-0"
            >
              {name} {note !== "" && <span className="text-fine text-quiet">{note}</span>}
            </th>
            {PARTS.map(([part]) => (
              <td key={part} className="pr-4 print:pr-2">
                {one[part] === 0 ? "–" : figure(one[part])}
              </td>
            ))}
            <td className="pr-4 font-semibold print:pr-2">{shareWords(one.share)}</td>
            <td className="pr-4 print:pr-2">{shareWords(one.withGrace)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
