import type { ReactElement } from "react";
import { useAwaited } from "../../../session/useAwaited.js";
import { errorWords } from "../../../words/errorWords.js";
import { permittedWords, type StorageLine } from "../../../words/traceWords.js";
import type { Permitted as WhatIs } from "../../../data/trace/traceState.js";
import { tracer } from "../../../work/traceClient.js";

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

/** What this browser permits, tried before anything is typed; empty until that is known. */
export function usePermitted(): readonly StorageLine[] {
  const found = useAwaited(look);
  if (found.code === "waiting") return [];
  if (found.code === "here") return permittedWords(found.value);
  const words = `What this browser keeps could not be tried: ${errorWords(found.error)}.`;
  return [{ words, isWell: false }];
}
