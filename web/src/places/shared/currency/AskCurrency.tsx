import { useLiveQuery } from "dexie-react-hooks";
import { useId, useState, type ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { FIELD, QUIET_BUTTON } from "../../../ui/buttons.js";
import { useSettingsChange } from "../../../session/useSettingsChange.js";

/** So long may what stands behind an amount be. */
const LENGTH = 12;

/** Asks what stands behind an amount of money, where the book does not say yet: once, at the first amount met; it stands in Preferences after. */
export function AskCurrency(): ReactElement | null {
  const { storage } = useBook();
  const settings = useLiveQuery(
    async () => ({ currency: (await storage.ownSettings())?.currency ?? "" }),
    [storage],
  );
  const [words, setWords] = useState("");
  const { save, failure } = useSettingsChange();
  const id = useId();
  // Nothing is asked before it is known that it has to be.
  if (settings === undefined || settings.currency !== "") return null;
  const currency = words.trim();
  const keep = (): void => {
    if (currency !== "") void save({ currency }, "Saved.");
  };
  return (
    <div
      className="my-2 flex flex-wrap items-center gap-x-3 gap-y-1 print:hidden"
      data-ask-currency=""
    >
      <label htmlFor={id}>Amounts of money are in</label>
      <span className="w-24">
        <input
          id={id}
          className={`${FIELD} text-field text-ink`}
          autoComplete="off"
          maxLength={LENGTH}
          placeholder="EUR"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== "Enter") return;
            // It may stand in a form of something else.
            event.preventDefault();
            keep();
          }}
        />
      </span>
      <button type="button" className={QUIET_BUTTON} disabled={currency === ""} onClick={keep}>
        Keep it
      </button>
      <span className="text-fine text-quiet">asked once; it stands in Preferences</span>
      <span role="alert" className="text-due">
        {failure}
      </span>
    </div>
  );
}
