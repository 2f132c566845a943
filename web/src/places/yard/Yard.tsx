import { useLiveQuery } from "dexie-react-hooks";
import { Gauge, ListChecks, Plus, SlidersHorizontal, Users } from "lucide-react";
import { useDeferredValue, useMemo, useState, type ReactElement } from "react";
import { Link, useSearchParams } from "react-router";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { choicesOfWords, SelectField, TextField } from "../../ui/fields.js";
import { LongList } from "../../ui/LongList.js";
import { Page } from "../../ui/Page.js";
import { counted, sentence } from "../../words/format.js";
import { AssignBar } from "./assign/AssignBar.js";
import { YARD_GROUPS, YARD_ORDERS, yardLines, type YardLine, type YardView } from "./yardModel.js";
import { YardRow } from "./YardRow.js";
import { Terms } from "../../ui/Term.js";

const ROW_HEIGHT = 53;
const GROUP_HEIGHT = 48;
const NONE: never[] = [];

const keyOf = (line: YardLine): string =>
  line.code === "group" ? `group ${line.name}` : line.machine.machine.id;
const heightOf = (line: YardLine): number => (line.code === "group" ? GROUP_HEIGHT : ROW_HEIGHT);

const oneOf = <Value extends string>(values: readonly Value[], text: string | null): Value =>
  values.find((value) => value === text) ?? (values[0] as Value);

const toggled = (chosen: ReadonlySet<string>, id: string): ReadonlySet<string> =>
  chosen.has(id) ? new Set([...chosen].filter((one) => one !== id)) : new Set([...chosen, id]);

/** The machines that are chosen to be given something in common; null where none are being chosen. */
function useChosen() {
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const [hasChosen, setHasChosen] = useState(false);
  const end = (): void => {
    setChosen(null);
    setHasChosen(true);
  };
  const toggle = (id: string): void => setChosen((now) => now && toggled(now, id));
  return { chosen, setChosen, hasChosen, end, toggle };
}

/** How the Yard is looked at, kept in the address so that one comes back to the same. */
function useYardView(): readonly [YardView, (patch: Partial<YardView>) => void] {
  const [search, setSearch] = useSearchParams();
  // Held here as well: the address follows too late for what is being typed.
  const [view, setView] = useState<YardView>(() => ({
    words: search.get("find") ?? "",
    order: oneOf(YARD_ORDERS, search.get("order")),
    group: oneOf(YARD_GROUPS, search.get("by")),
  }));
  const change = (patch: Partial<YardView>): void => {
    const next = { ...view, ...patch };
    setView(next);
    const named = { find: next.words, order: next.order, by: next.group };
    const said = Object.entries(named).filter(
      ([, value]) => value !== "" && value !== YARD_ORDERS[0] && value !== YARD_GROUPS[0],
    );
    setSearch(Object.fromEntries(said), { replace: true });
  };
  return [view, change];
}

/** The machines of the book: found, put in order and together, and added to. */
export default function Yard(): ReactElement {
  const { storage } = useBook();
  const machines = useAppSelector((state) => state.board.machines);
  const places = useLiveQuery(() => storage.list("places"), [storage]) ?? NONE;
  const [view, change] = useYardView();
  const words = useDeferredValue(view.words);
  const { order, group } = view;
  const lines = useMemo(
    () => yardLines(machines, places, { words, order, group }),
    [machines, places, words, order, group],
  );
  const shown = lines.flatMap((line) => (line.code === "machine" ? [line.machine] : []));
  const { chosen, setChosen, hasChosen, end, toggle } = useChosen();
  return (
    <Page title="Yard" aside={<Actions />}>
      <Filter
        {...{ view, change, shown: shown.length, all: machines.length }}
        hasChosen={hasChosen}
        onSeveral={machines.length > 1 && chosen === null ? () => setChosen(new Set()) : null}
      />
      {chosen !== null && (
        <AssignBar {...{ shown, chosen, places }} onChosen={setChosen} onEnd={end} />
      )}
      <div role="list">
        <LongList
          items={lines}
          keyOf={keyOf}
          heightOf={heightOf}
          draw={(line) =>
            line.code === "group" ? (
              <h2 className="flex h-12 items-end gap-3 pb-1 font-bold">
                {sentence(line.name)}
                <span className="font-normal text-quiet tabular-nums">{line.count}</span>
              </h2>
            ) : (
              <YardRow
                machine={line.machine}
                places={group === "place" ? NONE : places}
                isChosen={chosen?.has(line.machine.machine.id) ?? null}
                onChoose={() => toggle(line.machine.machine.id)}
              />
            )
          }
        />
      </div>
      {machines.length > 0 && <Terms words={["grace", "stale", "laid up", "reminder"]} />}
      {machines.length === 0 && (
        <p className="border-t border-hairline py-6 text-quiet">
          No machines yet. Add the first one.
        </p>
      )}
      {machines.length > 0 && lines.length === 0 && (
        <p className="border-t border-hairline py-6 text-quiet">No machine fits these words.</p>
      )}
    </Page>
  );
}

function Filter({
  view,
  change,
  shown,
  all,
  hasChosen,
  onSeveral,
}: {
  readonly view: YardView;
  readonly change: (patch: Partial<YardView>) => void;
  readonly shown: number;
  readonly all: number;
  /** Whether several were chosen before: the way to it then comes back with the focus. */
  readonly hasChosen: boolean;
  /** Begins choosing several; null where there is nothing to choose. */
  readonly onSeveral: (() => void) | null;
}): ReactElement {
  const { words, order, group } = view;
  // On a phone they stand folded away, so that the machines do.
  const [isOpen, setIsOpen] = useState(words !== "");
  return (
    <>
      <button
        type="button"
        className={`${QUIET_BUTTON} mb-2 sm:hidden`}
        aria-expanded={isOpen}
        aria-controls="yard-tools"
        onClick={() => setIsOpen(!isOpen)}
      >
        <SlidersHorizontal size={18} aria-hidden="true" />
        Find and order
      </button>
      <div
        id="yard-tools"
        className={`mb-3 grid items-end gap-x-6 gap-y-2 lg:grid-cols-[minmax(14rem,1fr)_11rem_11rem_auto] ${isOpen ? "" : "max-sm:hidden"}`}
      >
        <TextField
          label="Number, name, kind or place"
          value={words}
          onChange={(next) => change({ words: next })}
        />
        <SelectField
          label="In order of"
          value={order}
          choices={choicesOfWords(YARD_ORDERS)}
          onChange={(next) => change({ order: next })}
        />
        <SelectField
          label="Together by"
          value={group}
          choices={choicesOfWords(YARD_GROUPS)}
          onChange={(next) => change({ group: next })}
        />
        <Shown {...{ shown, all, hasChosen, onSeveral }} />
      </div>
    </>
  );
}

/** How many machines are shown, and the way to choose several of them. */
function Shown({
  shown,
  all,
  hasChosen,
  onSeveral,
}: {
  readonly shown: number;
  readonly all: number;
  readonly hasChosen: boolean;
  readonly onSeveral: (() => void) | null;
}): ReactElement {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
      <p role="status" className="text-fine text-quiet tabular-nums">
        {shown === all ? counted(shown, "machine") : `${shown} of ${counted(all, "machine")}`}
      </p>
      {onSeveral !== null && (
        <button type="button" className={QUIET_BUTTON} autoFocus={hasChosen} onClick={onSeveral}>
          <ListChecks size={18} aria-hidden="true" />
          Choose several
        </button>
      )}
    </div>
  );
}

function Actions(): ReactElement {
  return (
    <div className="flex flex-wrap gap-3">
      <Link to="/workshop" className={QUIET_BUTTON}>
        <Users size={18} aria-hidden="true" />
        People and places
      </Link>
      <Link to="/yard/readings" className={QUIET_BUTTON}>
        <Gauge size={18} aria-hidden="true" />
        Reading sheet
      </Link>
      <Link to="/yard/new" className={PRIMARY_BUTTON}>
        <Plus size={18} aria-hidden="true" />
        Add a machine
      </Link>
    </div>
  );
}
