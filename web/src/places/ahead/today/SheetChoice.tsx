import { formatDay, parseDay, type DayNumber, type Person } from "@yonderfell/core";
import { useId, type ReactElement } from "react";
import { FIELD, QUIET_BUTTON } from "../../../ui/buttons.js";
import { SelectField } from "../../../ui/fields.js";
import { NOBODY, type Sheet } from "./useSheet.js";

/** Which day's sheet it is, and whose. */
export function SheetChoice({
  sheet: { day, who, setDay, setWho },
  today,
  people,
}: {
  readonly sheet: Sheet;
  readonly today: DayNumber;
  readonly people: readonly Person[];
}): ReactElement {
  const id = useId();
  const there = people.filter((person) => person.hasLeft !== true || person.id === who);
  return (
    <div className="mb-4 flex flex-wrap items-end gap-x-5 gap-y-2 max-sm:grid max-sm:grid-cols-2 print:hidden">
      <div className="sm:w-44">
        <label htmlFor={id} className="block text-fine text-quiet">
          Sheet of
        </label>
        <input
          id={id}
          type="date"
          className={`${FIELD} text-field text-ink`}
          value={formatDay(day)}
          onChange={(event) => {
            const chosen = parseDay(event.target.value);
            if (chosen !== null) setDay(chosen);
          }}
        />
      </div>
      {people.length > 0 && (
        <div className="sm:w-56">
          <SelectField
            label="Whose machines"
            value={who}
            choices={[
              ["", "Everybody’s"],
              ...there.map((person) => [person.id as string, person.name] as const),
              [NOBODY, "Nobody’s"],
            ]}
            onChange={setWho}
          />
        </div>
      )}
      {day !== today && (
        <button type="button" className={QUIET_BUTTON} onClick={() => setDay(today)}>
          Back to today
        </button>
      )}
    </div>
  );
}
