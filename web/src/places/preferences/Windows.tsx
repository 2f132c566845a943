import { changeSettings, settingsOf, type Settings } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { notifyChange } from "../../app/notify.js";
import { useBook } from "../../app/openBook.js";
import { noteChange } from "../../app/usePerform.js";
import { useOneAtATime } from "../../app/useOneAtATime.js";
import { stampedFields } from "../../data/stamped.js";
import { FIELD, PRIMARY_BUTTON } from "../../ui/buttons.js";
import { errorWords } from "../../words/errorWords.js";
import { refusalWords } from "../../words/refusalWords.js";

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
export function Windows(): ReactElement | null {
  const { storage, entry } = useBook();
  const own = useLiveQuery(async () => ({ settings: await storage.ownSettings() }), [storage]);
  if (own === undefined) return null;
  const settings = settingsOf({ settings: own.settings });
  return (
    <section aria-labelledby="windows" className="space-y-4">
      <h2 id="windows" className="text-large font-bold">
        Windows of {entry.name}
      </h2>
      <WindowsForm key={JSON.stringify(settings)} settings={settings} />
    </section>
  );
}

interface WindowsState {
  readonly texts: Readonly<Record<keyof Settings, string>>;
  readonly type: (name: keyof Settings, text: string) => void;
  readonly isSame: boolean;
  readonly failure: string;
  readonly save: () => Promise<void>;
}

function useWindows(settings: Settings): WindowsState {
  const { storage } = useBook();
  const once = useOneAtATime();
  const [texts, setTexts] = useState<WindowsState["texts"]>({
    dueWithinDays: String(settings.dueWithinDays),
    leadDays: String(settings.leadDays),
    staleAfterDays: String(settings.staleAfterDays),
  });
  const [failure, setFailure] = useState("");
  const wanted: Settings = {
    dueWithinDays: daysOf(texts.dueWithinDays),
    leadDays: daysOf(texts.leadDays),
    staleAfterDays: daysOf(texts.staleAfterDays),
  };
  const saveNow = async (): Promise<void> => {
    const change = changeSettings(await storage.ownSettings(), wanted);
    if (!change.ok) return setFailure("Each is a whole number of days, from 0 on.");
    const counted = stampedFields(change.value, await storage.copy());
    const saved = await storage.apply(counted, new Date().toISOString());
    const [refusal] = saved.ok ? [] : saved.issues;
    if (refusal !== undefined) return setFailure(refusalWords(refusal));
    if (saved.ok) noteChange(saved.value);
    notifyChange("Saved. The board is reckoned anew.");
  };
  return {
    texts,
    type: (name, text) => setTexts({ ...texts, [name]: text }),
    isSame: FIELDS.every(([name]) => wanted[name] === settings[name]),
    failure,
    save: () => once(() => saveNow().catch((error: unknown) => setFailure(errorWords(error)))),
  };
}

function WindowsForm({ settings }: { readonly settings: Settings }): ReactElement {
  const { texts, type, isSame, failure, save } = useWindows(settings);
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
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
                onChange={(event) => type(name, event.target.value)}
              />
            </span>
            days
          </span>
          <span className="block max-w-[52ch] text-fine text-quiet">{explained}</span>
        </label>
      ))}
      {failure !== "" && (
        <p role="alert" className="text-overdue">
          Not saved: {failure}
        </p>
      )}
      <button type="submit" className={PRIMARY_BUTTON} disabled={isSame}>
        Save the windows
      </button>
    </form>
  );
}

const daysOf = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : Number.NaN);
