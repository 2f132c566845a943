import { PROGRAM } from "@yonderfell/core";
import { RadioGroup } from "radix-ui";
import { useId, type ReactElement } from "react";
import { Link } from "react-router";
import { preferred, type Preferences as AllPreferences } from "../../session/preferences.js";
import { useAppDispatch, useAppSelector } from "../../session/store.js";
import { Page } from "../../ui/Page.js";
import { FIGURE_STYLES } from "../../words/writing.js";
import { BookSettings } from "./BookSettings.js";

type Choice<K extends keyof AllPreferences> = readonly (readonly [AllPreferences[K], string])[];

const THEMES: Choice<"theme"> = [
  ["system", "as the device has it"],
  ["day", "day"],
  ["night", "night"],
];
const FIGURES = Object.entries(FIGURE_STYLES).map(
  ([name, { thousands, decimal }]) => [name, `41${thousands}286${decimal}5`] as const,
) as unknown as Choice<"figures">;
const DISTANCES: Choice<"distance"> = [
  ["dial", "as each dial counts"],
  ["km", "kilometres"],
  ["mi", "miles"],
];
const MEASURES: Choice<"measures"> = [
  ["typed", "as they were typed"],
  ["metric", "metric"],
  ["us", "US customary"],
  ["imperial", "imperial"],
];
const KEYS = [
  ["on", "on"],
  ["off", "off"],
] as const;

/** How this browser likes to see things, and what is set for the book. */
export default function Preferences(): ReactElement {
  const dispatch = useAppDispatch();
  const preferences = useAppSelector((state) => state.preferences);
  return (
    <Page title="Preferences">
      <div className="grid gap-x-14 gap-y-8 lg:grid-cols-2">
        <section aria-labelledby="own" className="space-y-6">
          <h2 id="own" className="text-large font-bold">
            This browser
          </h2>
          <Choices
            label="Theme"
            choices={THEMES}
            value={preferences.theme}
            onChoose={(theme) => dispatch(preferred({ theme }))}
          />
          <Choices
            label="Figures, written and typed"
            choices={FIGURES}
            value={preferences.figures}
            onChoose={(figures) => dispatch(preferred({ figures }))}
          />
          <Choices
            label="Distances left to run"
            note="Dials always show their own unit."
            choices={DISTANCES}
            value={preferences.distance}
            onChoose={(distance) => dispatch(preferred({ distance }))}
          />
          <Choices
            label="Capacities, torques, pressures, temperatures"
            note="What was typed stays as it is in the book and stands beside it."
            choices={MEASURES}
            value={preferences.measures}
            onChoose={(measures) => dispatch(preferred({ measures }))}
          />
          <Choices
            label="Single keys, such as R and 1"
            note="They never act while one writes in a field. Ctrl+K finds either way."
            choices={KEYS}
            value={preferences.hasSingleKeys ? "on" : "off"}
            onChoose={(value) => dispatch(preferred({ hasSingleKeys: value === "on" }))}
          />
        </section>
        <BookSettings />
      </div>
      <p className="mt-10 border-t border-hairline pt-4">
        {`This is ${PROGRAM.name} ${PROGRAM.version}. `}
        <Link to="/preferences/new" className="text-clear underline">
          What is new
        </Link>
      </p>
    </Page>
  );
}

function Choices<Value extends string>({
  label,
  note,
  choices,
  value,
  onChoose,
}: {
  readonly label: string;
  readonly note?: string;
  readonly choices: readonly (readonly [Value, string])[];
  readonly value: Value;
  readonly onChoose: (value: Value) => void;
}): ReactElement {
  const id = useId();
  return (
    <div>
      <p id={id} className="font-semibold">
        {label}
      </p>
      {note !== undefined && <p className="text-fine text-quiet">{note}</p>}
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(chosen) => onChoose(chosen as Value)}
        className="mt-1.5 flex flex-wrap gap-2"
      >
        {choices.map(([name, words]) => (
          <RadioGroup.Item
            key={name}
            value={name}
            className="flex min-h-10 items-center gap-2 rounded-[3px] border border-rule px-3 tabular-nums data-[state=checked]:border-clear data-[state=checked]:bg-wash data-[state=checked]:font-semibold max-sm:min-h-12"
          >
            <span
              aria-hidden="true"
              className="grid size-4 place-items-center rounded-full border-2 border-rule"
            >
              <RadioGroup.Indicator className="size-2 rounded-full bg-clear" />
            </span>
            {words}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
