import type { LogSums } from "@yonderfell/core";
import { Download } from "lucide-react";
import type { ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useExport, useExportState } from "../../../session/useExport.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { exportWords } from "../../../words/bookWords.js";
import { counted, figure, NBSP } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useCurrency } from "../../shared/currency/useCurrency.js";
import { TableButton } from "../../shared/TakeAwayButtons.js";
import { useTableFile } from "../../shared/useTableFile.js";
import { LedgerPage } from "../LedgerPage.js";
import { LogFilters } from "./LogFilters.js";
import { LogTable } from "./LogTable.js";
import { useLogAsked } from "./useLogAsked.js";
import { useLogPages, type LogPages } from "./useLogPages.js";

const MINUTES_AN_HOUR = 60;

/** What some of the log comes to: `187 entries, 96.5 h, 5 107.63 cr`. */
function sumWords(
  { entries, minutes, cost, warranty, missing }: LogSums,
  currency: string,
): string {
  return [
    counted(entries, "entry", "entries"),
    `${figure(minutes / MINUTES_AN_HOUR, 1)}${NBSP}h`,
    money(cost, currency),
    warranty === 0 ? "" : `${money(warranty, currency)} more under warranty`,
    missing === 0 ? "" : `${counted(missing, "line")} without a price`,
  ]
    .filter((words) => words !== "")
    .join(" · ");
}

/** The log over all machines: narrowed, sorted, summed; and the way out into a file. */
export default function LogPage(): ReactElement {
  const log = useLogAsked();
  const pages = useLogPages(log.asked);
  const machines = useAppSelector((state) => state.board.machines);
  const currency = useCurrency();
  const { sums, failure } = pages;
  return (
    <LedgerPage title="The log" aside={<ExportButton />}>
      <LogFilters log={log} machines={machines} />
      {failure !== "" && <p role="alert">The log could not be read: {failure}</p>}
      {sums === null && failure === "" && <p className="py-6 text-quiet">Reading the log.</p>}
      {sums !== null && (
        <>
          <div className="mt-3 mb-2 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
            <p className="text-large font-bold tabular-nums" aria-live="polite">
              {sumWords(sums, currency)}
            </p>
            <AsTable pages={pages} />
          </div>
          {sums.entries === 0 ? (
            <p className="py-6 text-quiet">
              {log.isNarrowed
                ? "No entry of the log is of this kind."
                : "Nothing has been logged yet. Log work from Ahead."}
            </p>
          ) : (
            <LogTable {...{ log, pages, machines }} />
          )}
        </>
      )}
    </LedgerPage>
  );
}

/** Hands over all that is asked for, as a table for a spreadsheet. */
function AsTable({ pages }: { readonly pages: LogPages }): ReactElement {
  const hand = useTableFile();
  return <TableButton onPress={() => void pages.table().then((rows) => hand("log", rows))} />;
}

function ExportButton(): ReactElement {
  const { storage, entry } = useBook();
  const state = useExportState(storage);
  const save = useExport(entry, storage);
  return (
    <div className="flex flex-wrap items-center gap-4">
      {state !== undefined && <span className="text-fine text-quiet">{exportWords(state)}</span>}
      <button type="button" className={QUIET_BUTTON} onClick={() => void save()}>
        <Download size={18} aria-hidden="true" />
        Export the book
      </button>
    </div>
  );
}
