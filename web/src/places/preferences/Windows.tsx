import { settingsOf, type Book, type Settings } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { FIELD, PRIMARY_BUTTON } from "../../ui/buttons.js";
import { NotSaved } from "./NotSaved.js";
import { useSettingsChange } from "../../app/useSettingsChange.js";
import { Terms } from "../../ui/Term.js";

type OwnSettings = Book["settings"];

const FIELDS: readonly (readonly [keyof Settings, string, string])[] = [
  [
    "dueWithinDays",
    "Due when likely within",
    "A task counts as due this many days before its likely date, or a tenth of its interval where that is less.",
  ],
  [
    "leadDays",
    "Soon when likely within",
    "A task counts as soon this many days before, or a quarter of its interval where that is less.",
  ],
  [
    "staleAfterDays",
    "A meter is stale after",
    "Without a reading for so long, its dates are doubtful.",
  ],
];

/** The windows that make a task due or soon and a meter stale: kept with the book, for everyone who uses it. */
export function Windows({ own }: { readonly own: OwnSettings }): ReactElement {
  const settings = settingsOf({ settings: own });
  return (
    <section aria-labelledby="windows" className="space-y-4">
      <h3 id="windows" className="font-bold">
        What makes a task due
      </h3>
      <Terms words={["window", "stale", "doubtful", "estimated"]} />
      <WindowsForm key={JSON.stringify(settings)} settings={settings} />
    </section>
  );
}

function WindowsForm({ settings }: { readonly settings: Settings }): ReactElement {
  const { save, failure } = useSettingsChange();
  const [texts, setTexts] = useState<Readonly<Record<keyof Settings, string>>>({
    dueWithinDays: String(settings.dueWithinDays),
    leadDays: String(settings.leadDays),
    staleAfterDays: String(settings.staleAfterDays),
  });
  const wanted: Settings = {
    dueWithinDays: daysOf(texts.dueWithinDays),
    leadDays: daysOf(texts.leadDays),
    staleAfterDays: daysOf(texts.staleAfterDays),
  };
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save(wanted, "Saved. The board is reckoned anew.");
      }}
    >
      {FIELDS.map(([name, label, explained]) => (
        <label key={name} className="block">
          <span className="font-semibold">{label}</span>
          <span className="flex items-baseline gap-2">
            <span className="w-16">
              <input
                inputMode="numeric"
                className={`${FIELD} text-right tabular-nums`}
                value={texts[name]}
                onChange={(event) => setTexts({ ...texts, [name]: event.target.value })}
              />
            </span>
            days
          </span>
          <span className="block max-w-[52ch] text-fine text-quiet">{explained}</span>
        </label>
      ))}
      <NotSaved failure={failure} />
      <button
        type="submit"
        className={PRIMARY_BUTTON}
        disabled={FIELDS.every(([name]) => wanted[name] === settings[name])}
      >
        Save the windows
      </button>
    </form>
  );
}

const daysOf = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : Number.NaN);
