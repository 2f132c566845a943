import { FolderSync } from "lucide-react";
import { useState, type ReactElement } from "react";
import { canExportToFolder, exportToFolder } from "../../session/autoExport.js";
import { useBook } from "../../session/openBook.js";
import { useOneAtATime } from "../../session/useOneAtATime.js";
import { amend, forgetFolder } from "../../data/registry.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { exportWords, type ExportState } from "../../words/bookWords.js";
import { errorWords } from "../../words/errorWords.js";

/** Whether the person closed the browser's own dialog without choosing. */
const isDismissed = (error: unknown): boolean =>
  error instanceof DOMException && error.name === "AbortError";

/** Has the open book exported to a folder by itself, where the browser can. */
export function AutoExport({
  state,
}: {
  /** How it stands against its last export; undefined until read. */
  readonly state: ExportState | undefined;
}): ReactElement {
  const { entry, storage } = useBook();
  const { folder } = entry;
  const once = useOneAtATime();
  const [failure, setFailure] = useState("");
  const choose = async (): Promise<void> => {
    try {
      const chosen = await window.showDirectoryPicker({ mode: "readwrite" });
      await exportToFolder(entry, chosen, storage, new Date());
      await amend(entry.id, { folder: chosen });
      setFailure("");
    } catch (error) {
      if (!isDismissed(error)) setFailure(errorWords(error));
    }
  };
  if (!canExportToFolder()) {
    return (
      <p className="max-w-[60ch] text-quiet">
        This browser cannot write to a folder by itself: export the book now and then, and keep the
        file on another device.
      </p>
    );
  }
  return (
    <div className="space-y-2">
      <p className="max-w-[60ch]">
        {folder === undefined
          ? "The book can be exported by itself: one file a day in a folder you choose, best one that is copied elsewhere."
          : `Exported by itself to the folder ${folder.name}, one file a day, shortly after changes.`}
        {state !== undefined && <span className="text-quiet"> {exportWords(state)}.</span>}
      </p>
      <div className="flex flex-wrap gap-3">
        <button type="button" className={QUIET_BUTTON} onClick={() => void once(choose)}>
          <FolderSync size={18} aria-hidden="true" />
          {folder === undefined ? "Choose a folder" : "Choose another folder"}
        </button>
        {folder !== undefined && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => void forgetFolder(entry.id)}
          >
            Stop exporting by itself
          </button>
        )}
      </div>
      {failure !== "" && (
        <p role="alert" className="text-overdue">
          The folder cannot be used: {failure}.
        </p>
      )}
    </div>
  );
}
