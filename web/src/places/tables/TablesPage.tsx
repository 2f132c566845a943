import { useState, type ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { DoneNote } from "../../ui/DoneNote.js";
import { FileButton } from "../../ui/FileButton.js";
import { Page } from "../../ui/Page.js";
import { FileRefused } from "../shared/bookFile/FileRefused.js";
import { FromFeed } from "./FromFeed.js";
import { TakenFor } from "./TakenFor.js";
import { TableReview } from "./TableReview.js";
import { useTable } from "./useTable.js";
import { WriteOut } from "./WriteOut.js";

/** Tables of a spreadsheet in and out: machines, readings, tasks, parts and entries. */
export default function TablesPage(): ReactElement {
  const { state, choose, chooseFeed, setKind, setColumn, setFormat, guessAnew, forget } =
    useTable();
  const [done, setDone] = useState("");
  const take = (file: File): void => {
    setDone("");
    void choose(file);
  };
  const finish = (words: string): void => {
    setDone(words);
    forget();
  };
  const isOpen = state.code === "open";
  return (
    <Page title="Tables in and out">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <FileButton
          label={isOpen ? "Choose another table" : "Choose a table to bring in"}
          look={isOpen ? QUIET_BUTTON : PRIMARY_BUTTON}
          accept=".csv,.txt,.tsv,text/csv,text/tab-separated-values,text/plain"
          isDisabled={state.code === "opening"}
          onFile={take}
        />
        {isOpen ? (
          <p className="font-semibold">{state.table.file}</p>
        ) : (
          <p className="max-w-[64ch]">
            A CSV file, as any spreadsheet saves one. You see what it would do, row by row, before
            anything is written; it is one change, and can be undone.
          </p>
        )}
      </div>
      <div aria-live="polite" className="mt-4">
        {state.code === "opening" && <p className="text-quiet">Opening {state.file}…</p>}
        {state.code === "refused" && <FileRefused file={state.file} reasons={state.reasons} />}
        <DoneNote words={done} />
      </div>
      {isOpen ? (
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[25rem_minmax(0,1fr)]">
          <TakenFor
            table={state.table}
            onKind={(kind) => void setKind(kind)}
            onColumn={(index, key) => void setColumn(index, key)}
            onFormat={setFormat}
            onGuess={guessAnew}
          />
          <TableReview key={state.table.file} table={state.table} onDone={finish} />
        </div>
      ) : (
        <>
          <FromFeed onFiles={(files) => void chooseFeed(files)} />
          <WriteOut />
        </>
      )}
    </Page>
  );
}
