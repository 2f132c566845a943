import { ArrowDown, ArrowUp, ChevronRight, Copy, Plus, X, type LucideIcon } from "lucide-react";
import { useState, type ReactElement } from "react";
import { newId } from "../../../data/newId.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { fieldsOf, type Field } from "../../../ui/field.js";
import { wayWords } from "../roundWords.js";
import { CheckFields } from "./CheckFields.js";
import { emptyCheck, type CheckModel } from "./checklistModel.js";

const ICON_BUTTON =
  "grid size-11 shrink-0 place-items-center rounded-[3px] text-quiet hover:bg-wash hover:text-ink disabled:opacity-30 max-sm:size-12";

type Checks = Field<readonly CheckModel[]>;

/** The checks of a list in the order of the walk: each is opened, moved, doubled or left out, and others put in. */
export function ChecksField(
  props: Checks & {
    /** Checks in which something is to be put right: they stand open. */
    readonly wrong: ReadonlySet<number>;
  },
): ReactElement {
  const { value: checks, onChange, wrong } = props;
  const [opened, setOpened] = useState<string | null>(null);
  const putIn = (check: CheckModel, at: number): void => {
    onChange(checks.toSpliced(at, 0, check));
    setOpened(check.id);
  };
  return (
    <div>
      <ol>
        {checks.map((check, at) => (
          <li key={check.id} className="border-t border-hairline">
            <CheckRow
              {...{ ...props, check, at }}
              isOpen={opened === check.id || wrong.has(at)}
              onOpen={() => setOpened(opened === check.id ? null : check.id)}
              onDouble={() => putIn({ ...check, id: newId() }, at + 1)}
            />
          </li>
        ))}
      </ol>
      <button
        type="button"
        className={`${QUIET_BUTTON} mt-2`}
        onClick={() => putIn(emptyCheck(), checks.length)}
      >
        <Plus size={18} aria-hidden="true" />
        {checks.length === 0 ? "Add a check" : "Another check"}
      </button>
    </div>
  );
}

function CheckRow({
  check,
  at,
  value: checks,
  onChange,
  problemAt = () => "",
  isOpen,
  onOpen,
  onDouble,
}: Checks & {
  readonly check: CheckModel;
  readonly at: number;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
  readonly onDouble: () => void;
}): ReactElement {
  const name = check.name.trim() === "" ? "not named yet" : check.name;
  const words = `check ${at + 1}, ${name}`;
  const move = (to: number): void => onChange(checks.toSpliced(at, 1).toSpliced(to, 0, check));
  const set = (patch: Partial<CheckModel>): void =>
    onChange(checks.map((one) => (one.id === check.id ? { ...one, ...patch } : one)));
  return (
    <>
      <div className="flex items-center justify-end gap-1 max-sm:flex-wrap">
        <Opener {...{ check, at, name, isOpen, onOpen }} />
        <Act
          words={`Move ${words} up`}
          icon={ArrowUp}
          isOff={at === 0}
          onAct={() => move(at - 1)}
        />
        <Act
          words={`Move ${words} down`}
          icon={ArrowDown}
          isOff={at === checks.length - 1}
          onAct={() => move(at + 1)}
        />
        <Act words={`Double ${words}`} icon={Copy} onAct={onDouble} />
        <Act
          words={`Leave out ${words}`}
          icon={X}
          onAct={() => onChange(checks.toSpliced(at, 1))}
        />
      </div>
      {isOpen && (
        <div className="pl-4 sm:pl-11">
          <CheckFields
            check={check}
            field={fieldsOf(check, set, (path) => problemAt(`${at}.${path}`))}
          />
        </div>
      )}
    </>
  );
}

/** What a check is, and the press that opens it. */
function Opener({
  check,
  at,
  name,
  isOpen,
  onOpen,
}: {
  readonly check: CheckModel;
  readonly at: number;
  readonly name: string;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      className="flex min-h-12 min-w-0 flex-1 items-center gap-2 max-sm:basis-full rounded-[3px] text-left hover:bg-wash"
      onClick={onOpen}
    >
      <ChevronRight
        size={18}
        aria-hidden="true"
        className={`shrink-0 transition-transform ${isOpen ? "rotate-90" : ""}`}
      />
      <span className="w-7 shrink-0 text-right font-mono text-quiet">{at + 1}</span>
      <span className="min-w-0">
        <strong className="font-semibold">{name}</strong>{" "}
        <span className="text-quiet">
          {[wayWords(check.how), check.where].filter(Boolean).join(": ")}
        </span>
      </span>
    </button>
  );
}

/** Something done to a check: its picture, and what it is in words. */
function Act({
  words,
  icon: Icon,
  isOff = false,
  onAct,
}: {
  readonly words: string;
  readonly icon: LucideIcon;
  readonly isOff?: boolean;
  readonly onAct: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={words}
      className={ICON_BUTTON}
      disabled={isOff}
      onClick={onAct}
    >
      <Icon size={18} aria-hidden="true" />
    </button>
  );
}
