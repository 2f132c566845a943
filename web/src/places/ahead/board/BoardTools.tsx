import type { BoardMachine, BoardOf } from "@yonderfell/core";
import { Bookmark, ChartNoAxesGantt, Printer, SlidersHorizontal, Table2 } from "lucide-react";
import { useId, useState, type ReactElement } from "react";
import { boardLookedAt } from "../../../session/boardLook.js";
import { preferred } from "../../../session/preferences.js";
import { useAppDispatch, useAppSelector } from "../../../session/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { REACHES } from "../../../session/reaches.js";
import { sentence } from "../../../words/format.js";
import { GROUPING_WORDS, SHOWN_WORDS } from "./boardWords.js";
import { PrintedBoard } from "./PrintedBoard.js";
import { PrintedTable } from "./PrintedTable.js";
import { usePrinting } from "./usePrinting.js";
import { NO_NAMES, useBoardNames } from "./useBoardNames.js";
import { ViewsDialog } from "./ViewsDialog.js";

/** How the board is looked at: as a drawing or a table, how far ahead, what of it and put together by what; views and paper. */
export default function BoardTools({
  machines,
}: {
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const aheadAs = useAppSelector((state) => state.preferences.aheadAs);
  const [isOpen, setIsOpen] = useState(false);
  const [hasViews, setHasViews] = useState(false);
  const isPrinting = usePrinting();
  const Printed = aheadAs === "reach" ? PrintedBoard : PrintedTable;
  return (
    <div className="flex flex-wrap items-center gap-x-3.5 gap-y-2 print:block">
      <ViewChoice />
      <button
        type="button"
        aria-expanded={isOpen}
        className={`${QUIET_BUTTON} sm:hidden print:hidden`}
        onClick={() => setIsOpen(!isOpen)}
      >
        <SlidersHorizontal size={18} aria-hidden="true" />
        Choose
      </button>
      <div
        className={`flex flex-wrap items-center gap-x-3.5 gap-y-2 sm:contents ${isOpen ? "" : "max-sm:hidden"}`}
      >
        <Choices machines={machines} />
        <span className="flex flex-wrap gap-2 sm:ml-auto print:hidden">
          <button type="button" className={QUIET_BUTTON} onClick={() => setHasViews(true)}>
            <Bookmark size={18} aria-hidden="true" />
            Views
          </button>
          <button type="button" className={QUIET_BUTTON} onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" />
            Print
          </button>
        </span>
      </div>
      {hasViews && <ViewsDialog onClose={() => setHasViews(false)} />}
      {isPrinting && <Printed machines={machines} />}
    </div>
  );
}

/** How far ahead it looks, what it shows of which machines, and put together by what. */
function Choices({ machines }: { readonly machines: readonly BoardMachine[] }): ReactElement {
  const dispatch = useAppDispatch();
  const { aheadAs, reach } = useAppSelector((state) => state.preferences);
  const look = useAppSelector((state) => state.boardLook);
  return (
    <>
      {aheadAs === "reach" && (
        <>
          <Choice
            label="Looks ahead"
            value={String(reach)}
            choices={REACHES.map(([days, words]) => [String(days), words])}
            onChange={(days) => {
              const chosen = REACHES.find(([one]) => String(one) === days);
              if (chosen !== undefined) dispatch(preferred({ reach: chosen[0] }));
            }}
          />
          <Choice
            label="Grouped by"
            value={look.group}
            choices={GROUPING_WORDS}
            onChange={(group) => dispatch(boardLookedAt({ group }))}
          />
        </>
      )}
      <Choice
        label="Shows"
        value={look.show}
        choices={SHOWN_WORDS}
        onChange={(show) => dispatch(boardLookedAt({ show }))}
      />
      <OfChoice machines={machines} />
    </>
  );
}

function Choice<Value extends string>({
  label,
  value,
  choices,
  onChange,
}: {
  readonly label: string;
  readonly value: Value;
  readonly choices: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
}): ReactElement {
  const id = useId();
  return (
    <span className="flex items-center gap-1.5 text-quiet print:hidden">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="min-h-10 max-w-40 rounded-[3px] border border-rule bg-ground px-2 text-ink max-sm:min-h-12"
        value={value}
        onChange={(event) => {
          const chosen = choices.find(([one]) => one === event.target.value);
          if (chosen !== undefined) onChange(chosen[0]);
        }}
      >
        {choices.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </select>
    </span>
  );
}

const ALL = "";
const keyOf = ({ by, value }: BoardOf): string => `${by} ${value}`;

/** Which machines: all, or those at a place, of a kind, or that a person looks after. */
function OfChoice({ machines }: { readonly machines: readonly BoardMachine[] }): ReactElement {
  const dispatch = useAppDispatch();
  const { of } = useAppSelector((state) => state.boardLook);
  const { places, people } = useBoardNames() ?? NO_NAMES;
  const kinds = [...new Set(machines.map(({ machine }) => machine.kind))].sort();
  const all: readonly (readonly [BoardOf, string])[] = [
    ...[...places].map(([value, name]) => [{ by: "place", value }, `at ${name}`] as const),
    ...[...people].map(([value, name]) => [{ by: "person", value }, name] as const),
    ...kinds.map((value) => [{ by: "kind", value }, sentence(value)] as const),
  ];
  return (
    <Choice
      label="of"
      value={of === null ? ALL : keyOf(of)}
      choices={[[ALL, "all machines"], ...all.map(([one, words]) => [keyOf(one), words] as const)]}
      onChange={(key) =>
        dispatch(boardLookedAt({ of: all.find(([one]) => keyOf(one) === key)?.[0] ?? null }))
      }
    />
  );
}

const CHOICE =
  "inline-flex min-h-10 items-center gap-1.5 px-3 text-quiet aria-pressed:bg-wash aria-pressed:text-ink aria-pressed:font-semibold max-sm:min-h-12";

const VIEWS = [
  { view: "reach", words: "Reach", icon: ChartNoAxesGantt },
  { view: "table", words: "Table", icon: Table2 },
] as const;

function ViewChoice(): ReactElement {
  const dispatch = useAppDispatch();
  const shown = useAppSelector((state) => state.preferences.aheadAs);
  return (
    <div
      role="group"
      aria-label="Show as"
      className="flex rounded-[3px] border border-rule print:hidden"
    >
      {VIEWS.map(({ view, words, icon: Icon }) => (
        <button
          key={view}
          type="button"
          aria-pressed={view === shown}
          className={CHOICE}
          onClick={() => dispatch(preferred({ aheadAs: view }))}
        >
          <Icon size={18} aria-hidden="true" />
          {words}
        </button>
      ))}
    </div>
  );
}
