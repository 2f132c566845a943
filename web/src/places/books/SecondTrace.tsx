import { useCallback, type ReactElement } from "react";
import { useBook } from "../../session/openBook.js";
import { useAwaited } from "../../session/useAwaited.js";
import { errorWords } from "../../words/errorWords.js";
import { storageWords } from "../../words/traceWords.js";
import { StorageLines } from "../shared/bookFile/Permitted.js";
import { tracer } from "../../work/traceClient.js";

/** How safely this browser keeps the open book: twice or once, for good or as long as it likes, and with how much room. */
export function SecondTrace(): ReactElement {
  const { entry } = useBook();
  const { id, name, isDemonstration, database } = entry;
  const look = useCallback(async () => {
    const state = await tracer().keep({ id, name, isDemonstration, database });
    const [bytes, room] = [await tracer().size(id), await tracer().room()];
    const isPersisted = (await navigator.storage?.persisted?.()) ?? false;
    return { state, bytes, room, isPersisted };
  }, [id, name, isDemonstration, database]);
  const found = useAwaited(look);
  return (
    <ul className="max-w-[60ch] space-y-1" aria-label="How this browser keeps it">
      {found.code === "waiting" && (
        <li className="text-quiet">Looking at how this browser keeps it …</li>
      )}
      {found.code === "failed" && (
        <li className="text-overdue">
          How this browser keeps it could not be found out: {errorWords(found.error)}.
        </li>
      )}
      {found.code === "here" && <StorageLines lines={storageWords(found.value)} />}
    </ul>
  );
}
