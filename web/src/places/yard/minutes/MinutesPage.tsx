import { timeTasks, untimedTasks, type TimeIssue, type UntimedTasks } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useId, useRef, type ReactElement } from "react";
import { useSearchParams } from "react-router";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { FIELD, PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { FieldProblem } from "../../../ui/fields.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { Page } from "../../../ui/Page.js";
import { counted } from "../../../words/format.js";
import {
  machinesWords,
  minutesProblems,
  minutesTyped,
  modelOfMinutes,
  type MinutesModel,
} from "./minutesModel.js";
import { MINUTES_LABELS, minutesProblemWords, minutesPurpose } from "./minutesWords.js";

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
          <p className="mb-4 max-w-[68ch]">{minutesPurpose(on)}</p>
          <MinutesForm
            key={own ?? ""}
            of={own ?? ""}
            groups={untimedTasks(of)}
            onSaved={() => list.current?.focus({ preventScroll: true })}
          />
        </section>
      )}
    </Page>
  );
}

/** Keeps the minutes of names; answers whether they are kept. */
function useKeepMinutes(shown: readonly UntimedTasks[], onSaved: () => void) {
  const { run, failure } = useCommands<TimeIssue>(() =>
    minutesProblemWords({ field: "", code: "nothing-said" }),
  );
  const saidIn = ({ minutes }: MinutesModel) =>
    shown.flatMap((group) => {
      const typed = minutesTyped(minutes[group.key] ?? "");
      return typed === null ? [] : [{ group, minutes: typed }];
    });
  const countIn = (model: MinutesModel): number =>
    saidIn(model).reduce((sum, { group }) => sum + group.tasks.length, 0);
  const keep = async (model: MinutesModel): Promise<boolean> => {
    const said = saidIn(model);
    const ids = new Set<string>(said.flatMap(({ group }) => group.tasks.map(({ id }) => id)));
    const minutesByKey = new Map(said.map(({ group, minutes }) => [group.key, minutes]));
    const saved = await run(
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
      onSaved,
    );
    return saved !== null;
  };
  return { keep, failure, countIn };
}

function MinutesForm({
  of,
  groups,
  onSaved,
}: {
  /** The machine it is about, empty for all. */
  readonly of: string;
  readonly groups: readonly UntimedTasks[];
  readonly onSaved: () => void;
}): ReactElement {
  const shown = groups.slice(0, AT_ONCE);
  const form = useForm({
    form: "minutes",
    of,
    source: null,
    modelOf: modelOfMinutes,
    labels: MINUTES_LABELS,
    problemsOf: (model) => minutesProblems(model, shown),
    problemWords: minutesProblemWords,
    isForNext: true,
  });
  const { keep, failure, countIn } = useKeepMinutes(shown, onSaved);
  const { value: minutes, onChange, problemAt } = form.field("minutes");
  if (groups.length === 0) return <p className="text-quiet">Every task says how long it takes.</p>;
  return (
    <FormBody
      form={form}
      onSave={keep}
      failure={failure}
      className="max-w-[60rem]"
      foot={
        <FormFoot>
          <button type="submit" className={PRIMARY_BUTTON}>
            Save the minutes of {counted(countIn(form.model), "task")}
          </button>
        </FormFoot>
      }
    >
      <ul>
        {shown.map((group) => (
          <UntimedRow
            key={group.key}
            group={group}
            value={minutes[group.key] ?? ""}
            problem={problemAt?.(group.key) ?? ""}
            onChange={(text) => onChange({ ...minutes, [group.key]: text })}
          />
        ))}
      </ul>
      {groups.length > shown.length && (
        <p className="text-quiet">
          {counted(groups.length - shown.length, "more name")} when these are said.
        </p>
      )}
    </FormBody>
  );
}

function UntimedRow({
  group,
  value,
  problem,
  onChange,
}: {
  readonly group: UntimedTasks;
  readonly value: string;
  /** What is wrong with it, empty where nothing is. */
  readonly problem: string;
  readonly onChange: (text: string) => void;
}): ReactElement {
  const machines = useAppSelector((state) => state.board.machines);
  const own = useId();
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
          aria-describedby={problem === "" ? undefined : own}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
        <FieldProblem id={own} words={problem} />
      </span>
    </li>
  );
}
