import {
  baselineEvidence,
  baselineTasks,
  finishBaseline,
  presses,
  settingsOf,
  taskNeeds,
  usualRate,
  type BaselineFound,
  type BaselineSources,
  type BoardMachine,
  type DayNumber,
  type MachineBook,
  type MachineId,
  type NeedsSource,
  type TaskId,
} from "@yonderfell/core";
import { useMemo, useState, type ReactElement } from "react";
import { Link, useNavigate } from "react-router";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { nothingRefused, useCommands } from "../../../session/useCommands.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { counted, figure } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { useWorkSource, type WorkSource } from "../../../session/useWorkSource.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { BaselineTogether } from "./BaselineTogether.js";
import { BaselineRow } from "./BaselineRow.js";
import { beginRoundPath } from "../../../words/beginRoundPath.js";
import { RecheckLevels } from "./RecheckLevels.js";
import { Terms } from "../../../ui/Term.js";
import { machinePath } from "../../shared/paths.js";

/** Takes on a machine without records: what each of its tasks starts from, decided one by one. */
export default function BaselinePage(): ReactElement {
  const machine = useMachineOfAddress();
  const source = useWorkSource(machine?.machine.id);
  const seen = useSeen(machine?.machine.id);
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && source && seen !== undefined && (
        <Baseline machine={machine} source={source} seen={seen} />
      )}
    </MachineFrame>
  );
}

type Seen = Omit<BaselineSources, "fluids">;

/** What a machine was looked at by; undefined until read. */
function useSeen(id: MachineId | undefined): Seen | undefined {
  const { storage } = useBook();
  const read = async (): Promise<Seen> => {
    const [checklists, own] = await Promise.all([
      storage.list("checklists"),
      id === undefined ? { samples: [] } : storage.ofMachine(id, ["samples"]),
    ]);
    return { checklists, samples: own.samples };
  };
  return useLiveOf(id ?? null, read, [storage]);
}

/** What was seen of each task, by its id. */
function useEvidence(
  { book, plate }: WorkSource,
  seen: Seen,
  today: DayNumber,
): ReadonlyMap<TaskId, BaselineFound | null> {
  return useMemo(() => {
    const sources = { ...seen, fluids: plate.fluids };
    return new Map(
      book.tasks.map((task) => [task.id, baselineEvidence(task, book, sources, today)]),
    );
  }, [book, plate, seen, today]);
}

function Baseline({
  machine,
  source,
  seen,
}: {
  readonly machine: BoardMachine;
  readonly source: WorkSource;
  readonly seen: Seen;
}): ReactElement {
  const { book, plate, parts, products, people, settings } = source;
  const needs = { plate, parts, products, rate: usualRate(people) };
  const today = useAppSelector((state) => state.session.today);
  const tasks = baselineTasks(book, today);
  const open = tasks.filter(({ answer }) => answer.code === "open");
  const undecided = tasks
    .filter(({ answer }) => answer.code === "open" || answer.code === "left-unknown")
    .map(({ task }) => task.id);
  const found = useEvidence(source, seen, today);
  const [chosen, setChosen] = useState<readonly TaskId[]>([]);
  const ticked = chosen.filter((task) => undecided.includes(task));
  const own = { book, settings: settingsOf({ settings }), machine };
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section aria-labelledby="baseline">
        <h2 id="baseline" className="text-large font-bold">
          What each task starts from
        </h2>
        <HowJudged book={book} />
        <Terms words={["assumed", "grace"]} />
        <p role="status" className="font-semibold">
          {open.length === 0
            ? "All are decided."
            : `${counted(tasks.length - open.length, "task")} of ${figure(tasks.length)} decided.`}
        </p>
        <BaselineTogether {...own} ticked={ticked} open={undecided} onTick={setChosen} />
        <ul>
          {tasks.map((one) => (
            <BaselineRow
              key={one.task.id}
              {...own}
              one={one}
              found={found.get(one.task.id) ?? null}
              isTicked={undecided.includes(one.task.id) ? ticked.includes(one.task.id) : null}
              onTick={(isTicked) => {
                const others = ticked.filter((task) => task !== one.task.id);
                setChosen(isTicked ? [...others, one.task.id] : others);
              }}
            />
          ))}
        </ul>
      </section>
      <div className="space-y-5 lg:sticky lg:top-4 lg:self-start">
        <MakesDue machine={machine} needs={needs} currency={settings?.currency ?? ""} />
        <Finish book={book} isDecided={open.length === 0} />
      </div>
    </div>
  );
}

/** How a machine without records is judged: by going round it, and its levels once more after a night. */
function HowJudged({ book }: { readonly book: MachineBook }): ReactElement {
  const { id } = book.machines[0];
  return (
    <>
      <p className="mb-2 max-w-[64ch] text-quiet">
        Judge each by level, colour, smell, particles or a test. What is decided stays; it can be
        put down and gone on with. Nothing counts as overdue for want of a record.
      </p>
      <p className="mb-2 flex flex-wrap gap-3">
        <Link to={beginRoundPath(id)} className={QUIET_BUTTON}>
          Go round it: taking on
        </Link>
        <RecheckLevels machine={id} findings={book.findings} />
      </p>
    </>
  );
}

/** What the decisions so far make due, and what that costs. */
function MakesDue({
  machine,
  needs,
  currency,
}: {
  readonly machine: BoardMachine;
  readonly needs: NeedsSource;
  readonly currency: string;
}): ReactElement {
  const due = machine.tasks.filter(({ status }) => presses(status));
  const each = due.map(({ task }) => taskNeeds(task, needs));
  const sum = each.reduce((total, one) => total + one.parts + one.fluids + one.labour, 0);
  const missing = each.reduce((count, one) => count + one.missing.length, 0);
  const unknown = machine.tasks.filter(({ status }) => status === "unknown").length;
  return (
    <section aria-labelledby="makes-due" aria-live="polite">
      <h2 id="makes-due" className="text-large font-bold">
        That makes due now
      </h2>
      {due.length === 0 && <p className="text-quiet">Nothing yet.</p>}
      <ul>
        {due.map(({ task }) => (
          <li key={task.id} className="border-t border-hairline py-1">
            {task.name}
          </li>
        ))}
      </ul>
      {due.length > 0 && (
        <p className="mt-2 text-large font-bold tabular-nums">{money(sum, currency)}</p>
      )}
      {missing > 0 && (
        <p className="text-fine text-soon-text">
          {counted(missing, "figure is", "figures are")} not recorded and left out of it.
        </p>
      )}
      {unknown > 0 && (
        <p className="text-quiet">{counted(unknown, "task has", "tasks have")} no date yet.</p>
      )}
    </section>
  );
}

function Finish({
  book,
  isDecided,
}: {
  readonly book: MachineBook;
  readonly isDecided: boolean;
}): ReactElement | null {
  const { run, failure } = useCommands(nothingRefused);
  const navigate = useNavigate();
  const [machine] = book.machines;
  if ((machine.baseline?.finished ?? null) !== null) return null;
  const finish = (): void =>
    void run(
      (storage, around) => storage.perform(machine.id, [], finishBaseline, around),
      "",
      () => navigate(machinePath(machine.id, "/plan")),
    );
  return (
    <>
      <button type="button" className={isDecided ? PRIMARY_BUTTON : QUIET_BUTTON} onClick={finish}>
        {isDecided ? "It is taken on" : "Leave the rest unknown: it is taken on"}
      </button>
      <span role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </span>
    </>
  );
}
