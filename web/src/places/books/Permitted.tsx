import type { ReactElement } from "react";
import { useAwaited } from "../../app/useAwaited.js";
import { errorWords } from "../../words/errorWords.js";
import { permittedWords, type StorageLine } from "../../words/traceWords.js";
import type { Permitted as WhatIs } from "../../work/tracer.js";
import { tracer } from "../../work/traceClient.js";

async function look(): Promise<WhatIs & { readonly isPersisted: boolean }> {
  const isPersisted = (await navigator.storage?.persisted?.()) ?? false;
  return { ...(await tracer().permitted()), isPersisted };
}

/** How a browser keeps books, line by line; what is not well stands out. */
export function StorageLines({ lines }: { readonly lines: readonly StorageLine[] }): ReactElement {
  return (
    <>
      {lines.map(({ words, isWell }) => (
        <li key={words} className={isWell ? "" : "text-overdue"}>
          {words}
        </li>
      ))}
    </>
  );
}

/** What this browser permits, tried before anything is typed: what is typed where nothing is kept would be lost. */
export function Permitted(): ReactElement {
  const found = useAwaited(look);
  return (
    <ul className="space-y-1 text-quiet" aria-label="What this browser keeps">
      {found.code === "waiting" && <li>Trying what this browser keeps …</li>}
      {found.code === "failed" && (
        <li className="text-overdue">
          What this browser keeps could not be tried: {errorWords(found.error)}.
        </li>
      )}
      {found.code === "here" && <StorageLines lines={permittedWords(found.value)} />}
    </ul>
  );
}
