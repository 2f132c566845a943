import { LOG_ORDERS, type LogAsked, type LogOrder, type MachineId } from "@yonderfell/core";
import { useMemo } from "react";
import { useSearchParams } from "react-router";
import { useSpan, type AskedSpan } from "../../shared/costs/useSpan.js";

/** The columns of the log that can be left out. */
export const LOG_COLUMNS = ["amounts", "who", "dials", "minutes", "cost"] as const;
export type LogColumn = (typeof LOG_COLUMNS)[number];

/** What is asked of the log, which stands in the address, and the ways to ask for something else. */
export interface AskedLog {
  /** Null where the days typed are no span. */
  readonly asked: LogAsked | null;
  readonly span: AskedSpan;
  readonly columns: ReadonlySet<LogColumn>;
  readonly set: (values: Readonly<Record<string, string>>) => void;
  readonly orderBy: (order: LogOrder) => void;
  readonly turnColumn: (column: LogColumn) => void;
  /** Whether anything is left out of the log. */
  readonly isNarrowed: boolean;
  readonly clear: () => void;
}

const FILTERS = ["machine", "task", "person", "used", "span", "from", "to"] as const;

function columnsIn(text: string | null): ReadonlySet<LogColumn> {
  if (text === null) return new Set(LOG_COLUMNS);
  const named = text.split(",");
  return new Set(LOG_COLUMNS.filter((column) => named.includes(column)));
}

/** What the address asks of the log: all of it, the latest first, where it says nothing. */
export function useLogAsked(): AskedLog {
  const [search, setSearch] = useSearchParams();
  const span = useSpan("all");
  const text = (name: string): string => search.get(name) ?? "";
  const order = LOG_ORDERS.find((one) => one === search.get("order")) ?? "date";
  const isDescending = search.get("up") !== "1";
  const [machine, task, person, used] = [
    text("machine"),
    text("task"),
    text("person"),
    text("used"),
  ];
  const [from, to] = [span.span?.from ?? null, span.span?.to ?? null];
  const asked = useMemo(
    (): LogAsked | null =>
      to === null
        ? null
        : {
            ...{ from, to, task, person, used, order, isDescending },
            machine: machine === "" ? null : (machine as MachineId),
          },
    [from, to, machine, task, person, used, order, isDescending],
  );
  const set = (values: Readonly<Record<string, string>>): void => {
    // The address as it is now: what is drawn may be a letter behind what is typed.
    const next = new URLSearchParams(window.location.search);
    for (const [name, value] of Object.entries(values)) {
      if (value === "") next.delete(name);
      else next.set(name, value);
    }
    setSearch(next, { replace: true });
  };
  const columns = columnsIn(search.get("columns"));
  return {
    ...{ asked, span, columns, set },
    // The same one again turns it round.
    orderBy: (chosen) => set({ order: chosen, up: chosen === order && isDescending ? "1" : "" }),
    turnColumn: (column) => {
      const next = LOG_COLUMNS.filter((one) => columns.has(one) !== (one === column));
      set({ columns: next.length === LOG_COLUMNS.length ? "" : next.join(",") || "none" });
    },
    isNarrowed: FILTERS.some((name) => search.has(name)),
    clear: () => set(Object.fromEntries(FILTERS.map((name) => [name, ""]))),
  };
}
