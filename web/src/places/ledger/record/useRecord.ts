import { parseDay, type DayNumber, type MachineId, type ServiceRecord } from "@yonderfell/core";
import { useCallback } from "react";
import { useSearchParams } from "react-router";
import { useBeside } from "../../../session/useBeside.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { records } from "../../../work/recordClient.js";

/** The days that a record is asked for, as they stand in the address; null where they are no span. */
export interface RecordDays {
  readonly from: string;
  readonly to: string;
  readonly span: { readonly from: DayNumber | null; readonly to: DayNumber } | null;
  readonly set: (name: string, value: string) => void;
}

/** The days asked for: all there is up to today where none are. */
export function useRecordDays(): RecordDays {
  const [search, setSearch] = useSearchParams();
  const today = useAppSelector((state) => state.session.today);
  const from = search.get("from") ?? "";
  const to = search.get("to") ?? "";
  const first = parseDay(from);
  const last = to === "" ? today : parseDay(to);
  const isSpan = last !== null && (from === "" || (first !== null && first <= last));
  const span = isSpan ? { from: first, to: last } : null;
  const set = (name: string, value: string): void => {
    const next = new URLSearchParams(search);
    if (value === "") next.delete(name);
    else next.set(name, value);
    setSearch(next, { replace: true });
  };
  return { from, to, span, set };
}

/** A record as far as it is made: undefined until it is, null where there is no such machine. */
export interface RecordSoFar {
  readonly record: ServiceRecord | null | undefined;
  /** Why it could not be made, empty where it could. */
  readonly failure: string;
}

/** The service record of a machine over some days, made in its worker, anew after each change of the book. */
export function useRecord(machine: MachineId, span: RecordDays["span"]): RecordSoFar {
  const { name } = useBook().entry;
  const current = useAppSelector((state) => state.board.seq);
  const [from, to] = [span?.from ?? null, span?.to ?? null];
  const of = JSON.stringify([machine, from, to]);
  const ask = useCallback(
    async (database: string, issued: DayNumber) => {
      if (to === null) return null;
      const asked = { machine, from, to, issued, book: name };
      return { of, record: await records().issued(database, asked) };
    },
    [machine, from, to, name, of],
  );
  const { answer, seq, failure } = useBeside(ask);
  // What was made for other days, or before the last change, is not what would be issued now.
  const isCurrent = answer !== null && answer.of === of && seq === current;
  return { record: isCurrent ? answer.record : undefined, failure };
}
