import {
  libraryMethods,
  methodsFile,
  readMethodsFile,
  takeInMethods,
  type Method,
} from "@yonderfell/core";
import { Download } from "lucide-react";
import { useState, type ReactElement } from "react";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";
import { downloadFile } from "../../session/downloadFile.js";
import { nothingRefused, useCommands } from "../../session/useCommands.js";
import { useKeep } from "../../session/useKeep.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { FileButton } from "../../ui/FileButton.js";
import { Page } from "../../ui/Page.js";
import { counted } from "../../words/format.js";

/** The ways to work that the book keeps for kinds of machines: seen, given to others as a file, taken in. */
export default function WaysPage(): ReactElement | null {
  const { storage, entry } = useBook();
  const methods = useLiveOf("methods", () => storage.list("methods"), [storage]);
  const { keep, failure } = useKeep();
  if (methods === undefined) return null;
  const write = (kept: readonly Method[], name: string): void => {
    const text = JSON.stringify(methodsFile(kept), null, 2);
    downloadFile(new Blob([text], { type: "application/json" }), name);
  };
  return (
    <Page title="Ways of working">
      <p className="mb-4 max-w-[46rem] text-quiet">
        A way is kept from a card, for every machine of a kind. It comes before the program’s own,
        and is filled in from the plate of each machine.
      </p>
      <ul className="max-w-[60rem]">
        {methods.map((method) => (
          <WayLine
            key={method.id}
            method={method}
            onTakeOut={() => void keep("methods", method, null)}
          />
        ))}
      </ul>
      {methods.length === 0 && (
        <p className="py-3">None is kept yet: open a card, change it, and keep it for its kind.</p>
      )}
      <div className="mt-5 flex flex-wrap gap-3">
        <button
          type="button"
          className={QUIET_BUTTON}
          disabled={methods.length === 0}
          onClick={() => write(methods, `${entry.name} ways.json`)}
        >
          <Download size={18} aria-hidden="true" />
          Write them to a file
        </button>
        <button
          type="button"
          className={QUIET_BUTTON}
          onClick={() => write(libraryMethods(), "ways of the library.json")}
        >
          <Download size={18} aria-hidden="true" />
          Write the program’s own to a file
        </button>
        <TakeIn />
      </div>
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
    </Page>
  );
}

function WayLine({
  method: { name, kinds, steps },
  onTakeOut,
}: {
  readonly method: Method;
  readonly onTakeOut: () => void;
}): ReactElement {
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-hairline py-2">
      <strong className="min-w-40 flex-1 font-semibold">{name}</strong>
      <span className="text-quiet">{(kinds ?? []).join(", ") || "any kind"}</span>
      <span className="text-quiet">{counted((steps ?? []).length, "step")}</span>
      <button type="button" className={QUIET_BUTTON} onClick={onTakeOut}>
        Take it out<span className="sr-only">: {name}</span>
      </button>
    </li>
  );
}

/** Takes ways in from a file; what is wrong with it is said, and nothing is taken. */
function TakeIn(): ReactElement {
  const { run, failure } = useCommands(nothingRefused);
  const [wrong, setWrong] = useState("");
  const take = async (file: File): Promise<void> => {
    const read = readMethodsFile(parsed(await file.text()));
    if ("issue" in read) {
      const { path, expected } = read.issue;
      const where = path.length === 0 ? "it" : path.join(" ");
      setWrong(`${file.name} was not taken in: ${where} should be ${expected}.`);
      return;
    }
    setWrong("");
    await run(
      (storage, around) =>
        storage.performShared(
          ["methods"],
          ({ methods }, { newId }) => ({
            ok: true,
            value: takeInMethods(methods, read.methods, newId),
          }),
          around,
        ),
      ({ change }) => `${counted(change.records.length, "way")} taken in.`,
    );
  };
  return (
    <>
      <FileButton
        label="Take in a file of ways"
        accept=".json,application/json"
        onFile={(file) => void take(file)}
      />
      <p role="status" className="w-full font-semibold text-due empty:hidden">
        {wrong}
        {failure}
      </p>
    </>
  );
}

/** A text as JSON; one that is none stands for nothing. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}
