import { Download } from "lucide-react";
import { useState, type ReactElement } from "react";
import { QUIET_BUTTON } from "../ui/buttons.js";
import { exportWords } from "../words/bookWords.js";
import { askLeave } from "../session/autoExport.js";
import { notifyFailure } from "../session/notify.js";
import { useBook } from "../session/openBook.js";
import { useAutoExport } from "../session/useAutoExport.js";
import { useExport, useExportState } from "../session/useExport.js";

/** From so many changes on a word about an export is due. */
const MANY_CHANGES = 25;
const LATER_KEY = "yonderfell-export-later";

/** A word, once a sitting, when much has changed since the last export; and the leave the browser wants for exports by themselves. */
export default function ExportReminder(): ReactElement | null {
  const { entry, storage } = useBook();
  const state = useExportState(storage);
  const needsLeave = useAutoExport();
  const save = useExport(entry, storage);
  const [isPutOff, setIsPutOff] = useState(() => sessionStorage.getItem(LATER_KEY) !== null);
  const later = (): void => {
    sessionStorage.setItem(LATER_KEY, "yes");
    setIsPutOff(true);
  };
  const { folder } = entry;
  if (state === undefined || isPutOff || entry.isDemonstration) return null;
  if (folder !== undefined && !needsLeave) return null;
  if (folder === undefined && state.changes < MANY_CHANGES) return null;
  const allow = async (): Promise<void> => {
    if (folder === undefined) return;
    if (await askLeave(folder)) window.location.reload();
    else
      notifyFailure(`Without leave to write to ${folder.name} the book is not exported by itself.`);
  };
  return (
    <div
      role="status"
      className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-hairline bg-raised px-7 py-1.5 max-sm:px-4"
    >
      <p className="flex-1">
        {folder === undefined
          ? `${exportWords(state)}. A file elsewhere keeps them if this device is lost.`
          : `The browser wants to be asked again before the book is exported to ${folder.name} by itself.`}
      </p>
      {folder === undefined ? (
        <button type="button" className={QUIET_BUTTON} onClick={() => void save().then(later)}>
          <Download size={18} aria-hidden="true" />
          Export the book
        </button>
      ) : (
        <button type="button" className={QUIET_BUTTON} onClick={() => void allow()}>
          Allow it
        </button>
      )}
      <button type="button" className={QUIET_BUTTON} onClick={later}>
        Later
      </button>
    </div>
  );
}
