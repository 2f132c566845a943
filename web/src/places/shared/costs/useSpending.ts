import { formatDay, type MachineId, type Span, type Spending } from "@yonderfell/core";
import { useEffect, useState } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { errorWords } from "../../../words/errorWords.js";
import { costsReckoned } from "../../../work/costsClient.js";

/** What was spent, as far as it is reckoned. */
export interface SpendingSoFar {
  /** That of the span before while another is reckoned, null before the first. */
  readonly spending: Spending | null;
  readonly isReckoning: boolean;
  /** Why it could not be reckoned, empty where it could. */
  readonly failure: string;
}

interface Reckoned {
  readonly of: string;
  readonly machine: MachineId | null;
  readonly spending: Spending | null;
  readonly failure: string;
}

/** What was spent on a machine, or on all, in a span; reckoned beside the page, anew after each change. */
export function useSpending(span: Span | null, machine: MachineId | null): SpendingSoFar {
  const { entry } = useBook();
  const seq = useAppSelector((state) => state.board.seq);
  const [reckoned, setReckoned] = useState<Reckoned | null>(null);
  const { database } = entry;
  const [from, to] = span === null ? ["", ""] : [formatDay(span.from), formatDay(span.to)];
  const of = `${database} ${seq} ${from} ${to} ${machine ?? ""}`;
  useEffect(() => {
    if (from === "" || seq < 0) return undefined;
    let isWanted = true;
    const say = (spending: Spending | null, failure: string): void => {
      if (isWanted) setReckoned({ of, machine, spending, failure });
    };
    costsReckoned()
      .spent(database, seq, { from, to, machine })
      .then(
        (spending) => say(spending, ""),
        (error: unknown) => say(null, errorWords(error)),
      );
    return () => {
      isWanted = false;
    };
  }, [of, database, seq, from, to, machine]);
  const known = reckoned?.machine === machine ? reckoned : null;
  return {
    spending: known?.spending ?? null,
    isReckoning: span !== null && known?.of !== of,
    failure: known?.failure ?? "",
  };
}
