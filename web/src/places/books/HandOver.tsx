import { useState, type ReactElement } from "react";
import { useBook } from "../../session/openBook.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { DoneNote } from "../../ui/DoneNote.js";
import { FileButton } from "../../ui/FileButton.js";
import { Page } from "../../ui/Page.js";
import { errorWords } from "../../words/errorWords.js";
import type { Comparison } from "../../work/exchange.js";
import { fileIn } from "../../work/exchangeClient.js";
import { FileRefused } from "../shared/bookFile/FileRefused.js";
import { HandOverReview } from "./HandOverReview.js";
import { Progress } from "../../ui/Progress.js";
import { useFileLook } from "../shared/bookFile/useFileLook.js";
import { Term } from "../../ui/Term.js";

/** Takes a book file of another device or person into the open book. */
export default function HandOver(): ReactElement {
  const { entry } = useBook();
  const { look, choose, forget, stop, chooser } = useFileLook();
  const [comparison, setComparison] = useState<Comparison | null>(null);
  const [failure, setFailure] = useState("");
  const [done, setDone] = useState("");
  const take = async (file: File): Promise<void> => {
    setComparison(null);
    setFailure("");
    setDone("");
    try {
      const found = await choose(file);
      if (found.code === "sound") setComparison(await fileIn().compare(entry.database));
    } catch (error) {
      setFailure(errorWords(error));
    }
  };
  const finish = (words: string): void => {
    setDone(words);
    setComparison(null);
    forget();
  };
  return (
    <Page title="Hand-over">
      <WhatItIs book={entry.name} />
      <FileButton
        label="Choose the other book's file"
        look={comparison === null ? PRIMARY_BUTTON : QUIET_BUTTON}
        isDisabled={look.code === "looking"}
        buttonRef={chooser}
        onFile={(file) => void take(file)}
      />
      <div aria-live="polite" className="mt-4">
        {look.code === "looking" && (
          <Progress label={`Looking through ${look.file}`} share={look.share} onStop={stop} />
        )}
        {look.code === "sound" && comparison === null && failure === "" && (
          <p className="text-quiet">Comparing the two books…</p>
        )}
        {look.code === "refused" && <FileRefused file={look.file} reasons={look.reasons} />}
        {failure !== "" && (
          <p role="alert" className="text-overdue">
            It could not be compared: {failure}.
          </p>
        )}
        <DoneNote words={done} />
      </div>
      {comparison !== null && look.code === "sound" && (
        <HandOverReview
          key={look.file}
          file={look.file}
          changed={look.summary.changed}
          comparison={comparison}
          onDone={finish}
        />
      )}
    </Page>
  );
}

function WhatItIs({ book }: { readonly book: string }): ReactElement {
  return (
    <p className="mb-4 max-w-[68ch]">
      A <Term word="hand-over" /> takes what another copy of this book holds into{" "}
      <strong>{book}</strong>: what only that one has is added, what only that one changed is
      changed here, and where the two differ they are put side by side. It is one change, and can be
      undone.
    </p>
  );
}
