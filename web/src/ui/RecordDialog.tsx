import type { EditedSection, RecordOf } from "@yonderfell/core";
import { useState, type FormEvent, type ReactElement, type ReactNode } from "react";
import { useKeep } from "../app/useKeep.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "./buttons.js";
import { DialogFrame } from "./DialogFrame.js";

interface RecordDialogProps<S extends EditedSection> {
  /** What kind of thing it is: `fluid`, `service point`. */
  readonly noun: string;
  /** What this one is called; null for a new one. */
  readonly name: string | null;
  readonly section: S;
  readonly before: RecordOf[S] | null;
  /** What is still wrong, empty where it can be saved. */
  readonly problem: string;
  /** The record as it stands in the form, once it has no problem. */
  readonly after: () => RecordOf[S];
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A dialog in which a record is written down: Enter saves it, and it is taken out after a second word. */
export function RecordDialog<S extends EditedSection>(props: RecordDialogProps<S>): ReactElement {
  const { noun, name, section, before, problem, after, onClose, children } = props;
  const { keep, failure } = useKeep();
  const [wasTried, setWasTried] = useState(false);
  const change = async (record: RecordOf[S] | null): Promise<void> => {
    if (await keep(section, before, record)) onClose();
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    setWasTried(true);
    if (problem === "") void change(after());
  };
  const words = [wasTried ? problem : "", failure].filter((line) => line !== "");
  const title =
    name === null ? `Add a ${noun}` : `${noun.charAt(0).toUpperCase()}${noun.slice(1)}: ${name}`;
  return (
    <DialogFrame title={title} onClose={onClose}>
      <form onSubmit={save} className="space-y-4 pt-1 pb-2" noValidate>
        {children}
        <div role="alert">
          {words.map((line) => (
            <p key={line} className="font-semibold text-due">
              {line}
            </p>
          ))}
        </div>
        <div className="sticky -bottom-3 -mb-3 flex flex-wrap items-center gap-3 bg-ground pt-2 pb-5">
          <button type="submit" className={PRIMARY_BUTTON}>
            Save
          </button>
          {before !== null && <TakeOut onTakeOut={() => void change(null)} />}
        </div>
      </form>
    </DialogFrame>
  );
}

/** Takes a record out, asked for twice. */
function TakeOut({ onTakeOut }: { readonly onTakeOut: () => void }): ReactElement {
  const [isAsking, setIsAsking] = useState(false);
  if (!isAsking) {
    return (
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(true)}>
        Take it out
      </button>
    );
  }
  return (
    <>
      <span>It can be undone.</span>
      <button type="button" className={QUIET_BUTTON} onClick={onTakeOut}>
        Yes, take it out
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(false)}>
        No
      </button>
    </>
  );
}
