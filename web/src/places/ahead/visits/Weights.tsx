import { planningOf, type Planning } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { useSettingsChange } from "../../../app/useSettingsChange.js";
import { useBook } from "../../../app/openBook.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";
import { useCurrency } from "../../stores/useCurrency.js";
import { Terms } from "../../../ui/Term.js";

type Amount = Exclude<keyof Planning, "workdays">;

const AMOUNTS: readonly (readonly [Amount, string, string])[] = [
  ["visitCost", "A visit", "fetching, setting up, the machine standing still"],
  ["accessCost", "An access", "opened once a visit, however much is done through it"],
  ["leastTurnValue", "A turn is worth at least", "where its parts and labour have no figures"],
  ["lateADay", "A day late within the grace", ""],
  ["pastGraceADay", "A day past the grace", "a hard limit is never passed"],
  ["weeks", "Weeks ahead", ""],
  ["leastDays", "Left to rounds", "what comes more often than every so many days"],
];

const WEEKDAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

/** What visits are weighed by, in the book's money, and the days on which work is done. */
export function Weights(): ReactElement | null {
  const { storage } = useBook();
  const own = useLiveQuery(async () => ({ settings: await storage.ownSettings() }), [storage]);
  if (own === undefined) return null;
  const planning = planningOf(own);
  return (
    <details className="mt-8">
      <summary className="min-h-10 cursor-pointer font-semibold">
        What visits are weighed by
      </summary>
      <WeightsForm key={JSON.stringify(planning)} planning={planning} />
    </details>
  );
}

/** What stands in the form, and the way to save it. */
function useWeights(planning: Planning): {
  readonly words: ReadonlyMap<Amount, string>;
  readonly setWords: (words: ReadonlyMap<Amount, string>) => void;
  readonly workdays: readonly number[];
  readonly setWorkdays: (days: readonly number[]) => void;
  readonly save: () => Promise<void>;
  readonly failure: string;
} {
  const { save: change, failure, fail } = useSettingsChange();
  const [words, setWords] = useState<ReadonlyMap<Amount, string>>(
    () => new Map(AMOUNTS.map(([key]) => [key, typedFigure(planning[key])])),
  );
  const [workdays, setWorkdays] = useState<readonly number[]>(planning.workdays);
  const save = async (): Promise<void> => {
    const amounts = AMOUNTS.map(([key, label]) => {
      const value = typedNumber(words.get(key) ?? "");
      return { key, label, value, isSound: isSound(key, value) };
    });
    const wrong = amounts.find((one) => !one.isSound);
    if (wrong !== undefined) {
      const wanted = isWhole(wrong.key) ? "a whole number" : "a number of at least 0";
      return fail(`Not saved: ${wrong.label.toLowerCase()} must be ${wanted}.`);
    }
    const values = Object.fromEntries(amounts.map(({ key, value }) => [key, value]));
    const weighed = { ...values, workdays: [...workdays] };
    await change({ planning: weighed }, "Saved: the visits are weighed anew.");
  };
  return { words, setWords, workdays, setWorkdays, save, failure };
}

function WeightsForm({ planning }: { readonly planning: Planning }): ReactElement {
  const currency = useCurrency();
  const { words, setWords, workdays, setWorkdays, save, failure } = useWeights(planning);
  return (
    <form
      className="max-w-3xl space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <p className="max-w-[68ch] text-quiet">
        {`A visit is put where its cost, the life thrown away by doing work early and the cost of being late come to the least. Amounts are ${currency === "" ? "in the book's money" : `in ${currency}`}.`}
      </p>
      <Terms words={["visit", "turn", "life unused", "grace", "hard"]} />
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2">
        {AMOUNTS.map(([key, label, note]) => (
          <TextField
            key={key}
            label={label}
            value={words.get(key) ?? ""}
            {...(note === "" ? {} : { note })}
            onChange={(value) => setWords(new Map(words).set(key, value))}
          />
        ))}
      </div>
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="text-fine text-quiet">Work is done on</legend>
        {WEEKDAYS.map((name, index) => (
          <CheckField
            key={name}
            label={name}
            value={workdays.includes(index + 1)}
            onChange={(isOn) =>
              setWorkdays(
                isOn
                  ? [...workdays, index + 1].sort((one, other) => one - other)
                  : workdays.filter((day) => day !== index + 1),
              )
            }
          />
        ))}
      </fieldset>
      <button type="submit" className={QUIET_BUTTON}>
        Save the weights
      </button>
      <p role="alert" className="text-overdue empty:hidden">
        {failure}
      </p>
    </form>
  );
}

const isWhole = (key: Amount): boolean => key === "weeks" || key === "leastDays";

function isSound(key: Amount, value: number | null): boolean {
  if (value === null || value < 0) return false;
  return !isWhole(key) || (Number.isInteger(value) && (key !== "weeks" || value > 0));
}
