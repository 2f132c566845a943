import { proxy } from "comlink";
import { useState } from "react";
import { keepTrace } from "../../session/secondTrace.js";
import { notifyChange } from "../../session/notify.js";
import { useBook } from "../../session/openBook.js";
import { useAppDispatch } from "../../session/store.js";
import { changeMade } from "../../session/undo.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { errorWords } from "../../words/errorWords.js";
import { tableRefusalWords, writtenWords } from "../../words/tableWords.js";
import { IN_DOUBT } from "../../words/traceWords.js";
import type { TableChoices } from "@yonderfell/core";
import { tables } from "../../work/tablesClient.js";
import { rememberReading } from "./rememberedReadings.js";
import type { OpenTable } from "./useTable.js";

/** What has become of bringing a table in. */
export type KeepState =
  | { readonly code: "none" }
  | { readonly code: "keeping"; readonly share: number }
  | { readonly code: "refused"; readonly words: string };

/** Brings the table in that was looked at, as one change; says how far it is, and why it could not. */
export function useKeepTable(
  table: OpenTable,
  choices: TableChoices,
  onDone: (words: string) => void,
): {
  readonly state: KeepState;
  readonly keep: () => Promise<void>;
  readonly stop: () => void;
} {
  const { entry } = useBook();
  const dispatch = useAppDispatch();
  const once = useOneAtATime();
  const [state, setState] = useState<KeepState>({ code: "none" });
  const keepNow = async (): Promise<void> => {
    setState({ code: "keeping", share: 0 });
    const onProgress = (share: number): void =>
      setState((now) => (now.code === "keeping" ? { code: "keeping", share } : now));
    const now = new Date().toISOString();
    const result = await tables().keep(entry.database, choices, now, proxy(onProgress));
    if (!result.ok) {
      const [refusal] = result.issues;
      const words = refusal === undefined ? "" : tableRefusalWords(refusal);
      return setState({ code: "refused", words });
    }
    const { seq, written } = result.value;
    const words = `${writtenWords(written)} from ${table.file}`;
    rememberReading(table.opened.headings, table.reading);
    dispatch(changeMade({ seq, words }));
    const isCertain = await keepTrace(entry);
    if (isCertain) notifyChange(`Saved: ${words}.`);
    onDone(`${isCertain ? "Brought in" : IN_DOUBT}: ${words}.`);
  };
  const keep = (): Promise<void> =>
    once(() =>
      keepNow().catch((error: unknown) => setState({ code: "refused", words: errorWords(error) })),
    );
  return { state, keep, stop: () => void tables().cancel() };
}
