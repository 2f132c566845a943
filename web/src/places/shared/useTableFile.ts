import { formatDay } from "@yonderfell/core";
import { downloadFile } from "../../session/downloadFile.js";
import { notifySuccess } from "../../session/notify.js";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { fileName } from "../../words/exportFileName.js";
import { textOfGuarded } from "../../work/csvText.js";

/** Hands rows over as a table for a spreadsheet, as a download named by the book, what it is and the day. */
export function useTableFile(): (what: string, rows: readonly (readonly string[])[]) => void {
  const { entry } = useBook();
  const today = useAppSelector((state) => state.session.today);
  return (what, rows) => {
    const name = fileName(entry.name, what, formatDay(today), "csv");
    downloadFile(new Blob([textOfGuarded(rows)], { type: "text/csv" }), name);
    notifySuccess(`${name} is in the folder of your downloads.`);
  };
}
