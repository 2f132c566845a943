import { keyOfField, type Conflict, type Side } from "@yonderfell/core";
import { RadioGroup } from "radix-ui";
import { useId, type ReactElement } from "react";
import { conflictWords, fieldWords, valueWords } from "../../words/handOverWords.js";

type Names = ReadonlyMap<string, string>;

interface ChoiceProps {
  readonly conflict: Conflict;
  readonly names: Names;
  readonly choices: ReadonlyMap<string, Side>;
  readonly onChoose: (key: string, side: Side) => void;
}

/** One thing that both copies changed: the two versions side by side, and which is to stand. */
export function ConflictChoice({ conflict, names, choices, onChoose }: ChoiceProps): ReactElement {
  const rows =
    conflict.code === "changed-apart"
      ? conflict.fields.map((field) => ({
          key: keyOfField(conflict, field),
          label: fieldWords(field.name),
          ours: valueWords(field.ours, names),
          theirs: valueWords(field.theirs, names),
        }))
      : [
          {
            key: conflict.key,
            label: "which stands",
            ours: conflict.ours === null ? "deleted" : versionWords(conflict.ours, names),
            theirs: conflict.theirs === null ? "deleted" : versionWords(conflict.theirs, names),
          },
        ];
  return (
    <div className="border-t border-hairline py-3" data-conflict={conflict.code}>
      <p className="font-semibold">{conflictWords(conflict, names)}</p>
      {rows.map((row) => (
        <SideBySide
          key={row.key}
          label={row.label}
          ours={row.ours}
          theirs={row.theirs}
          chosen={choices.get(row.key) ?? null}
          onChoose={(side) => onChoose(row.key, side)}
        />
      ))}
    </div>
  );
}

/** What of a record is not shown: what only the program needs. */
const NOT_SHOWN: ReadonlySet<string> = new Set([
  ...["id", "seq", "machine", "revision", "replaces", "confirmed", "meter"],
]);

function versionWords(version: unknown, names: Names): string {
  if (typeof version !== "object" || version === null) return valueWords(version, names);
  const shown = Object.entries(version).filter(([key]) => !NOT_SHOWN.has(key));
  return valueWords(Object.fromEntries(shown), names);
}

const OPTION =
  "flex min-h-12 items-start gap-2.5 rounded-[3px] border border-rule px-3 py-2.5 text-left data-[state=checked]:border-clear data-[state=checked]:bg-wash";

function SideBySide({
  label,
  ours,
  theirs,
  chosen,
  onChoose,
}: {
  readonly label: string;
  readonly ours: string;
  readonly theirs: string;
  readonly chosen: Side | null;
  readonly onChoose: (side: Side) => void;
}): ReactElement {
  const id = useId();
  return (
    <div className="mt-2 grid items-start gap-x-4 gap-y-1 sm:grid-cols-[9rem_1fr]">
      <span id={id} className="pt-3 text-quiet">
        {label}
      </span>
      <RadioGroup.Root
        aria-labelledby={id}
        value={chosen ?? ""}
        onValueChange={(side) => onChoose(side as Side)}
        className="grid gap-2 sm:grid-cols-2"
      >
        {(
          [
            ["ours", "Here", ours],
            ["theirs", "In the file", theirs],
          ] as const
        ).map(([side, title, words]) => (
          <RadioGroup.Item key={side} value={side} className={OPTION}>
            <span
              aria-hidden="true"
              className="mt-0.5 grid size-5 shrink-0 place-items-center rounded-full border-2 border-rule"
            >
              <RadioGroup.Indicator className="size-2.5 rounded-full bg-clear" />
            </span>
            <span className="min-w-0 break-words">
              <span className="block text-fine text-quiet">{title}</span>
              {words}
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
