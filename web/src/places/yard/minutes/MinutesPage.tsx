import { timeTasks, untimedTasks, type TimeIssue, type UntimedTasks } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useRef, useState, type FormEvent, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { FIELD, PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { Page } from "../../../ui/Page.js";
import { counted } from "../../../words/format.js";
import { machinesWords, minutesProblem, minutesTyped } from "./minutesModel.js";

/** So many names stand at once; the next follow when these are said. */
const AT_ONCE = 100;

/** How long tasks take of which nobody has said it: by name, for all machines or for one. */
export default function MinutesPage(): ReactElement {
  const { storage } = useBook();
  const [search] = useSearchParams();
  const own = search.get("machine");
  // The field that was filled in is gone once its minutes are kept.
  const list = useRef<HTMLElement>(null);
  const tasks = useLiveQuery(() => storage.list("tasks"), [storage]);
  const of = tasks?.filter(({ machine }) => own === null || machine === own);
  const machine = useAppSelector((state) =>
    state.board.machines.find((one) => one.machine.id === own),
  );
  const on = machine === undefined ? "" : ` on ${machine.machine.tag} ${machine.machine.name}`;
  return (
    <Page title="Minutes of work">
      {of !== undefined && (
        <section ref={list} tabIndex={-1} aria-label="By name" className="outline-none">
          <p className="mb-4 max-w-[68ch]">
            {`Without minutes, visits and weeks hold 0 h of work, and own time costs nothing. What you say of a name goes to all tasks${on} of that name that say nothing; what a task says already stays.`}
          </p>
          <MinutesForm
            groups={untimedTasks(of)}
            onSaved={() => list.current?.focus({ preventScroll: true })}
          />
        </section>
      )}
    </Page>
  );
}

/** The minutes as they are typed, and what keeps them. */
function useMinutes(groups: readonly UntimedTasks[], onSaved: () => void) {
  const { run, failure, fail } = useCommands<TimeIssue>(() => "Say how long one of them takes.");
  const [typed, setTyped] = useState<ReadonlyMap<string, string>>(new Map());
  const shown = groups.slice(0, AT_ONCE);
  const textOf = ({ key }: UntimedTasks): string => typed.get(key) ?? "";
  const said = shown.flatMap((group) => {
    const minutes = minutesTyped(textOf(group));
    return minutes === null ? [] : [{ group, minutes }];
  });
  const count = said.reduce((sum, { group }) => sum + group.tasks.length, 0);
  const save = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const wrong = shown.find((group) => minutesProblem(textOf(group)) !== "");
    if (wrong !== undefined) return fail(`Put right how long ${wrong.name} takes first.`);
    const ids = new Set<string>(said.flatMap(({ group }) => group.tasks.map(({ id }) => id)));
    const minutesByKey = new Map(said.map(({ group, minutes }) => [group.key, minutes]));
    await run(
      (storage, around) =>
        storage.performShared(
          ["tasks"],
          ({ tasks }) =>
            timeTasks(
              tasks.filter(({ id }) => ids.has(id)),
              minutesByKey,
            ),
          around,
        ),
      ({ change }) => `Saved: minutes of ${counted(change.records.length, "task")}.`,
      () => {
        setTyped(new Map());
        onSaved();
      },
    );
  };
  const type = (key: string, text: string): void => setTyped(new Map(typed).set(key, text));
  return { shown, textOf, type, count, save, failure };
}

function MinutesForm({
  groups,
  onSaved,
}: {
  readonly groups: readonly UntimedTasks[];
  readonly onSaved: () => void;
}): ReactElement {
  const { shown, textOf, type, count, save, failure } = useMinutes(groups, onSaved);
  if (groups.length === 0) return <p className="text-quiet">Every task says how long it takes.</p>;
  return (
    <form onSubmit={(event) => void save(event)} className="max-w-[60rem]" noValidate>
      <ul>
        {shown.map((group) => (
          <UntimedRow
            key={group.key}
            group={group}
            value={textOf(group)}
            onChange={(text) => type(group.key, text)}
          />
        ))}
      </ul>
      {groups.length > shown.length && (
        <p className="text-quiet">
          {counted(groups.length - shown.length, "more name")} when these are said.
        </p>
      )}
      <p role="alert" className="font-semibold text-due">
        {failure}
      </p>
      <FormFoot>
        <button type="submit" className={PRIMARY_BUTTON} disabled={count === 0}>
          Save the minutes of {counted(count, "task")}
        </button>
      </FormFoot>
    </form>
  );
}

function UntimedRow({
  group,
  value,
  onChange,
}: {
  readonly group: UntimedTasks;
  readonly value: string;
  readonly onChange: (text: string) => void;
}): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const problem = minutesProblem(value);
  return (
    <li className="grid items-center gap-x-6 gap-y-1 border-t border-hairline py-1.5 sm:grid-cols-[minmax(12rem,22rem)_1fr_9rem]">
      <span className="font-semibold">{group.name}</span>
      <span className="text-quiet">
        {group.tasks.length > 1 && `${counted(group.tasks.length, "machine")}: `}
        {machinesWords(group, machines)}
      </span>
      <span>
        <input
          className={`${FIELD} font-mono text-field`}
          inputMode="decimal"
          autoComplete="off"
          placeholder="minutes"
          aria-label={`Minutes of ${group.name}`}
          aria-invalid={problem !== "" || undefined}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
        {problem !== "" && (
          <span className="block text-fine font-semibold text-due">{problem}</span>
        )}
      </span>
    </li>
  );
}
