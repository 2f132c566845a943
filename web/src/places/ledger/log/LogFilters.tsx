import type { BoardMachine, MachineId, Person } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { CheckField, SelectField, TextField } from "../../../ui/fields.js";
import { SpanChoice } from "../../shared/costs/SpanChoice.js";
import { LOG_COLUMNS, type AskedLog, type LogColumn } from "./useLogAsked.js";

const COLUMN_WORDS = {
  amounts: "what went in",
  who: "who",
  dials: "dials",
  minutes: "minutes",
  cost: "cost",
} as const satisfies Record<LogColumn, string>;

function usePeople(): readonly Person[] {
  const { storage } = useBook();
  return useLiveQuery(() => storage.list("people"), [storage]) ?? [];
}

/** By what the log is narrowed, and which columns it shows. */
export function LogFilters({
  log,
  machines,
}: {
  readonly log: AskedLog;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  const { asked, span, set } = log;
  const [cleared, setCleared] = useState(0);
  const machine = asked?.machine ?? "";
  const tasks = machines
    .filter((one) => machine === "" || one.machine.id === machine)
    .flatMap((one) => one.tasks.map(({ task }) => task.name));
  return (
    <div className="space-y-2 print:hidden">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <MachineField log={log} machines={machines} />
        <TypedFilter
          key={`task ${cleared}`}
          label="Task"
          first={asked?.task ?? ""}
          offered={[...new Set(tasks)].toSorted()}
          onType={(value) => set({ task: value })}
        />
        <TypedFilter
          key={`used ${cleared}`}
          label="Part, product or system"
          first={asked?.used ?? ""}
          offered={[]}
          onType={(value) => set({ used: value })}
        />
        <WhoField log={log} />
        <SpanChoice asked={span} label="Work of" />
        {log.isNarrowed && (
          <button
            type="button"
            className={QUIET_BUTTON}
            onClick={() => {
              log.clear();
              setCleared(cleared + 1);
            }}
          >
            Show all
          </button>
        )}
      </div>
      <Columns log={log} />
    </div>
  );
}

/** Which columns the log shows. */
function Columns({ log }: { readonly log: AskedLog }): ReactElement {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-5">
      <legend className="sr-only">Columns</legend>
      {LOG_COLUMNS.map((column) => (
        <CheckField
          key={column}
          label={COLUMN_WORDS[column]}
          value={log.columns.has(column)}
          onChange={() => log.turnColumn(column)}
        />
      ))}
    </fieldset>
  );
}

/** Which machine's work the log shows. */
function MachineField({
  log: { asked, set },
  machines,
}: {
  readonly log: AskedLog;
  readonly machines: readonly BoardMachine[];
}): ReactElement {
  return (
    <div className="w-56">
      <SelectField<MachineId | "">
        label="Machine"
        value={asked?.machine ?? ""}
        choices={[
          ["", "all machines"],
          ...machines.map(
            (one) => [one.machine.id, `${one.machine.tag} ${one.machine.name}`] as const,
          ),
        ]}
        onChange={(value) => set({ machine: value })}
      />
    </div>
  );
}

/** Whose work the log shows. */
function WhoField({ log: { asked, set } }: { readonly log: AskedLog }): ReactElement {
  const people = usePeople();
  return (
    <div className="w-44">
      <SelectField
        label="Person"
        value={asked?.person ?? ""}
        choices={[["", "everybody"], ...people.map(({ id, name }) => [id, name] as const)]}
        onChange={(value) => set({ person: value })}
      />
    </div>
  );
}

/** Words that narrow the log. The field keeps what is typed by itself: the address is a moment behind. */
function TypedFilter({
  label,
  first,
  offered,
  onType,
}: {
  readonly label: string;
  readonly first: string;
  readonly offered: readonly string[];
  readonly onType: (words: string) => void;
}): ReactElement {
  const [typed, setTyped] = useState(first);
  return (
    <div className="w-52">
      <TextField
        label={label}
        value={typed}
        offered={offered}
        onChange={(words) => {
          setTyped(words);
          onType(words);
        }}
      />
    </div>
  );
}
