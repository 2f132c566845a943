import type { ReactElement } from "react";
import { QUIET_BUTTON } from "../ui/buttons.js";
import type { KeyOf, Model } from "./rebase.js";
import type { FormInHand } from "./useForm.js";

/** Says a value of a form in words; the ids of other records by their names. */
export type Said<M> = Partial<Readonly<Record<KeyOf<M>, (value: never) => string>>>;

/** What of a row is left out of its words. */
const SAYS_NOTHING: ReadonlySet<unknown> = new Set(["", null, false]);

/** A value of a form in words, where nothing else says how. */
export function valueWords(value: unknown): string {
  if (value === "" || value === null || value === undefined) return "nothing";
  if (value === true) return "yes";
  if (value === false) return "no";
  if (Array.isArray(value)) {
    return value.length === 0 ? "nothing" : value.map(valueWords).join("; ");
  }
  if (typeof value === "object") {
    const parts = Object.entries(value)
      .filter(([name, one]) => !["key", "id", "hash"].includes(name) && !SAYS_NOTHING.has(one))
      .map(([, one]) => valueWords(one));
    return parts.join(" · ");
  }
  return typeof value === "string" ? value : JSON.stringify(value);
}

/** What was typed here and changed elsewhere as well, side by side, each asked for. */
export function MineAndTheirs<M extends Model, Source>({
  form,
  said = {},
}: {
  readonly form: FormInHand<M, Source>;
  readonly said?: Said<M>;
}): ReactElement | null {
  if (form.clashes.length === 0) return null;
  return (
    <section
      data-asks
      aria-label="Changed elsewhere"
      className="border-l-4 border-soon bg-raised px-4 py-3"
    >
      <p role="status" className="font-semibold">
        Changed elsewhere while you typed. Which is to stand?
      </p>
      <ul>
        {form.clashes.map((key) => {
          const words = (said[key] ?? valueWords) as (value: unknown) => string;
          return (
            <li
              key={key}
              className="grid items-center gap-x-6 gap-y-1 border-t border-hairline py-2 sm:grid-cols-[10rem_1fr_1fr]"
            >
              <span className="font-semibold">{form.labels[key]}</span>
              <Choice
                words={words(form.model[key])}
                whose="Yours"
                press={`Keep yours: ${form.labels[key]}`}
                onPress={() => form.settle(key, true)}
              />
              <Choice
                words={words(form.base[key])}
                whose="Theirs"
                press={`Take theirs: ${form.labels[key]}`}
                onPress={() => form.settle(key, false)}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Choice({
  words,
  whose,
  press,
  onPress,
}: {
  readonly words: string;
  readonly whose: string;
  readonly press: string;
  readonly onPress: () => void;
}): ReactElement {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
      <span className="min-w-0">
        <span className="block text-fine text-quiet">{whose}</span>
        <span className="break-words">{words}</span>
      </span>
      <button type="button" className={QUIET_BUTTON} aria-label={press} onClick={onPress}>
        {whose === "Yours" ? "Keep yours" : "Take theirs"}
      </button>
    </div>
  );
}
