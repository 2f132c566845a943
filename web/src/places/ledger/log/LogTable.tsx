import type { BoardMachine, LogOrder } from "@yonderfell/core";
import { ArrowDown, ArrowUp } from "lucide-react";
import { useEffect, useMemo, type ReactElement } from "react";
import { useWindowed } from "../../../ui/useWindowed.js";
import { LogRow } from "./LogRow.js";
import type { AskedLog, LogColumn } from "./useLogAsked.js";
import type { LogPages } from "./useLogPages.js";

/** The widths of the columns in the order in which they stand; on a narrow screen they stand one under the other. */
const WIDTHS: readonly (readonly [LogColumn | "date" | "machine" | "what", string])[] = [
  ["date", "7rem"],
  ["machine", "10.5rem"],
  ["what", "minmax(0,2fr)"],
  ["amounts", "minmax(0,2fr)"],
  ["who", "7.5rem"],
  ["dials", "6.5rem"],
  ["minutes", "4rem"],
  ["cost", "5.5rem"],
];

const HEADS: Readonly<Record<string, string>> = {
  date: "Day",
  machine: "Machine",
  what: "What was done",
  amounts: "What went in",
  who: "Who",
  dials: "Dials",
  minutes: "Minutes",
  cost: "Cost",
};

const SORTED: ReadonlySet<string> = new Set<LogOrder>(["date", "machine", "minutes", "cost"]);
const ROW_HEIGHT = 46;
const heightOf = (): number => ROW_HEIGHT;
const keyOf = (index: number): string => String(index);

/** The log as a table of which only what is in sight is read and drawn. */
export function LogTable({
  log,
  pages,
  machines,
}: {
  readonly log: AskedLog;
  readonly pages: LogPages;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const count = pages.sums?.entries ?? 0;
  const places = useMemo(() => Array.from({ length: count }, (_, index) => index), [count]);
  const { list, shown, height, before, measure } = useWindowed<number, HTMLDivElement>(
    places,
    keyOf,
    heightOf,
  );
  const [first, last] = [shown[0]?.index ?? 0, shown.at(-1)?.index ?? 0];
  const { want } = pages;
  useEffect(() => want(first, last), [want, first, last]);
  const isShown = (name: string): boolean =>
    !SHOWN_OR_NOT.has(name) || log.columns.has(name as LogColumn);
  const columns = WIDTHS.filter(([name]) => isShown(name));
  const template = columns.map(([, width]) => width).join(" ");
  return (
    <div role="table" aria-label="The log" aria-rowcount={count} aria-busy={pages.isReading}>
      <Head log={log} columns={columns.map(([name]) => name)} template={template} />
      <div ref={list} role="rowgroup" style={{ height }}>
        <div style={{ transform: `translateY(${before}px)` }}>
          {shown.map(({ index, key }) => (
            <div key={key as string} data-index={index} ref={measure}>
              <LogRow row={pages.rowAt(index)} {...{ machines, template, columns: log.columns }} />
            </div>
          ))}
        </div>
      </div>
    </div>
  );
}

const SHOWN_OR_NOT: ReadonlySet<string> = new Set(["amounts", "who", "dials", "minutes", "cost"]);

function Head({
  log,
  columns,
  template,
}: {
  readonly log: AskedLog;
  readonly columns: readonly string[];
  readonly template: string;
}): ReactElement {
  const { order = "date", isDescending = true } = log.asked ?? {};
  return (
    <div
      role="row"
      className="grid items-end gap-x-4 border-b border-ink py-1 text-fine text-quiet max-md:hidden"
      style={{ gridTemplateColumns: template }}
    >
      {columns.map((name) => {
        const isBy = name === order;
        const Arrow = isDescending ? ArrowDown : ArrowUp;
        const isRight = name === "minutes" || name === "cost";
        return (
          <span
            key={name}
            role="columnheader"
            aria-sort={isBy ? (isDescending ? "descending" : "ascending") : "none"}
            className={isRight ? "text-right" : ""}
          >
            {SORTED.has(name) ? (
              <button
                type="button"
                className="inline-flex items-center gap-1 hover:underline"
                onClick={() => log.orderBy(name as LogOrder)}
              >
                {HEADS[name]}
                {isBy && <Arrow size={14} aria-hidden="true" />}
              </button>
            ) : (
              HEADS[name]
            )}
          </span>
        );
      })}
    </div>
  );
}
