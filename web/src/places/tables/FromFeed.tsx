import type { MachineId } from "@yonderfell/core";
import { Radio } from "lucide-react";
import { useId, useState, type ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { FIELD, QUIET_BUTTON } from "../../ui/buttons.js";
import { CheckField } from "../../ui/fields.js";
import { FolderButton } from "../../ui/FolderButton.js";
import { useFeed } from "./useFeed.js";

const FIRST = 4;
const FILES = [".csv", ".jsonl", ".ndjson", ".json", ".txt"];

/** Daily figures of a meter feed: asked of it, from a folder of its files, or pasted. */
export function FromFeed({
  onFiles,
}: {
  readonly onFiles: (files: readonly File[]) => void;
}): ReactElement {
  return (
    <section aria-labelledby="from-feed" className="mt-8 border-t border-rule pt-5">
      <h2 id="from-feed" className="text-large font-bold">
        Take in a meter feed
      </h2>
      <p className="mt-1 max-w-[68ch]">
        A figure a day, as boxes in machines send them: CSV, or JSON lines. What is in doubt is
        asked about once, and what was read by hand is never written over.
      </p>
      <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <AskFeed onFile={(file) => onFiles([file])} />
        <div className="space-y-4">
          <FolderButton label="A folder of its files" endings={FILES} onFiles={onFiles} />
          <Pasted onFile={(file) => onFiles([file])} />
        </div>
      </div>
    </section>
  );
}

/** The machines that have a box, and the press that asks for their figures. */
function AskFeed({ onFile }: { readonly onFile: (file: File) => void }): ReactElement {
  const machines = useAppSelector((state) => state.board.machines).filter(({ meters }) =>
    meters.some(({ dial, stoppedOn }) => dial !== null && stoppedOn === null),
  );
  const { ask, failure } = useFeed(onFile);
  const [chosen, setChosen] = useState<ReadonlySet<MachineId> | null>(null);
  // Until a person chooses, the first few.
  const boxed = chosen ?? new Set(machines.slice(0, FIRST).map(({ machine }) => machine.id));
  const choose = (id: MachineId, isOn: boolean): void =>
    setChosen(new Set(isOn ? [...boxed, id] : [...boxed].filter((one) => one !== id)));
  return (
    <fieldset>
      <legend className="font-semibold">Machines with a box (simulated)</legend>
      <ul
        className="grid max-h-72 gap-x-6 overflow-y-auto sm:grid-cols-2"
        tabIndex={0}
        aria-label="Machines with a box"
      >
        {machines.map(({ machine }) => (
          <li key={machine.id}>
            <CheckField
              label={`${machine.tag} ${machine.name}`}
              value={boxed.has(machine.id)}
              onChange={(isOn) => choose(machine.id, isOn)}
            />
          </li>
        ))}
      </ul>
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-2`}
        disabled={boxed.size === 0}
        onClick={() => void ask([...boxed])}
      >
        <Radio size={18} aria-hidden="true" />
        Ask the feed
      </button>
      <p role="alert" className="mt-1 font-semibold text-due empty:hidden">
        {failure}
      </p>
    </fieldset>
  );
}

/** Lines of a feed that are pasted. */
function Pasted({ onFile }: { readonly onFile: (file: File) => void }): ReactElement {
  const id = useId();
  const [text, setText] = useState("");
  return (
    <div>
      <label htmlFor={id} className="font-semibold">
        Lines of it, pasted
      </label>
      <textarea
        id={id}
        className={`${FIELD} mt-1 font-mono text-field`}
        rows={4}
        value={text}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
      />
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-2`}
        disabled={text.trim() === ""}
        onClick={() => onFile(new File([text], "what was pasted"))}
      >
        Look at what is pasted
      </button>
    </div>
  );
}
