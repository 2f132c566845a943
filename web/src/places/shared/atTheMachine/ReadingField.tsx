import { useState, type ReactElement } from "react";
import { CHOICE_BUTTON, FIELD } from "../../../ui/buttons.js";
import { typedNumber } from "../../../words/writing.js";

/** A figure as it is read, and the press that tells it; the field is empty again for the next. */
export function ReadingField({
  label,
  onReading,
}: {
  readonly label: string;
  readonly onReading: (value: number) => Promise<boolean>;
}): ReactElement {
  const [text, setText] = useState("");
  const value = typedNumber(text);
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (value === null) return;
        void onReading(value).then((isTaken) => {
          if (isTaken) setText("");
        });
      }}
    >
      <label className="flex-1">
        <span className="sr-only">{label}</span>
        <input
          className={`${FIELD} min-h-14 max-sm:min-h-14 font-mono text-large`}
          inputMode="decimal"
          autoComplete="off"
          placeholder={label}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <button type="submit" className={`${CHOICE_BUTTON} flex-none px-5`} disabled={value === null}>
        Read
      </button>
    </form>
  );
}
