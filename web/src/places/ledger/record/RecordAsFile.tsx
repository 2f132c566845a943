import type { ServiceRecord } from "@yonderfell/core";
import { proxy } from "comlink";
import { Download } from "lucide-react";
import { useEffect, useRef, useState, type ReactElement } from "react";
import { downloadFile } from "../../../session/downloadFile.js";
import { notifySuccess } from "../../../session/notify.js";
import { useBook } from "../../../session/openBook.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { Progress } from "../../../ui/Progress.js";
import { errorWords } from "../../../words/errorWords.js";
import { counted } from "../../../words/format.js";
import { endRecords, records } from "../../../work/recordClient.js";

/** Saves a record as one zip: itself as JSON, as a table, and its pictures. Can be stopped. */
export function RecordAsFile({ record }: { readonly record: ServiceRecord }): ReactElement {
  const { entry } = useBook();
  const [share, setShare] = useState<number | null>(null);
  const [failure, setFailure] = useState("");
  const asked = useRef(0);
  const stop = (): void => {
    asked.current += 1;
    endRecords();
    setShare(null);
  };
  useEffect(
    () => () => {
      asked.current += 1;
    },
    [],
  );
  const save = async (): Promise<void> => {
    asked.current += 1;
    const mine = asked.current;
    const isWanted = (): boolean => asked.current === mine;
    setShare(0);
    setFailure("");
    try {
      const tell = proxy((done: number) => {
        if (isWanted()) setShare(done);
      });
      const { file, missing } = await records().zipped(entry.database, record, tell);
      if (!isWanted()) return;
      const name = `${record.machine.tag}-service-record-${record.issued}.zip`;
      downloadFile(file, name.replaceAll(/[^\w.-]+/g, "-"));
      const without =
        missing === 0
          ? ""
          : ` ${counted(missing, "picture")} of it are not in this copy of the book, and not in the file.`;
      notifySuccess(`${name} is in the folder of your downloads.${without}`);
    } catch (error) {
      if (isWanted()) setFailure(errorWords(error));
    } finally {
      if (isWanted()) setShare(null);
    }
  };
  return (
    <div>
      <button
        type="button"
        className={QUIET_BUTTON}
        disabled={share !== null}
        onClick={() => void save()}
      >
        <Download size={18} aria-hidden="true" />
        As a file
      </button>
      {share !== null && <Progress label="Packing" share={share} onStop={stop} />}
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
    </div>
  );
}
