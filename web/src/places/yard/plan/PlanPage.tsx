import {
  baselineTasks,
  laddersOf,
  limitsInForce,
  SCHOOLS,
  type BoardMachine,
  type LadderStep,
  type Machine,
  type MachineBook,
  type Task,
  type TaskReckoning,
} from "@yonderfell/core";
import { ListPlus, Plus, Scale } from "lucide-react";
import type { ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useKeep } from "../../../session/useKeep.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { Cairn } from "../../../ui/board/Cairn.js";
import { SelectField } from "../../../ui/fields.js";
import { counted, figure } from "../../../words/format.js";
import { STATUS_WORD } from "../../../words/statusWords.js";
import { taskSentence } from "../../../words/taskWords.js";
import { useMachineBook } from "../../../session/useMachineBook.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { Untimed } from "./Untimed.js";
import { WithoutStart } from "./WithoutStart.js";
import { TakeTasks } from "./TakePlan.js";
import { Reminders } from "./Reminders.js";
import { Term, Terms } from "../../../ui/Term.js";
import { machinePath } from "../../shared/paths.js";

/** What a machine should get and when: its tasks, the regime it follows, and its own reminders. */
export default function PlanPage(): ReactElement {
  const machine = useMachineOfAddress();
  const book = useMachineBook(machine?.machine.id ?? null)?.book;
  return (
    <MachineFrame machine={machine}>
      {machine !== undefined && book !== undefined && <Plan machine={machine} book={book} />}
    </MachineFrame>
  );
}

function Plan({
  machine,
  book,
}: {
  readonly machine: BoardMachine;
  readonly book: MachineBook;
}): ReactElement {
  const { id } = book.machines[0];
  return (
    <>
      <TakingOn book={book} />
      <Untimed book={book} />
      <section aria-labelledby="tasks" className="mb-9">
        <div className="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2">
          <h2 id="tasks" className="text-large font-bold">
            Tasks <span className="font-normal text-quiet tabular-nums">{book.tasks.length}</span>
          </h2>
          <div className="mr-auto">
            <RegimeChoice machine={book.machines[0]} tasks={book.tasks} />
          </div>
          <Link to={machinePath(id, "/plan/schools")} className={QUIET_BUTTON}>
            <Scale size={18} aria-hidden="true" />
            Schools side by side
          </Link>
          <Link to={machinePath(id, "/plan/take")} className={QUIET_BUTTON}>
            <ListPlus size={18} aria-hidden="true" />
            Take from a plan
          </Link>
          <Link to={machinePath(id, "/plan/task/new")} className={QUIET_BUTTON}>
            <Plus size={18} aria-hidden="true" />
            Add a task
          </Link>
        </div>
        <Terms words={["school", "grace", "hard", "turn"]} />
        {book.tasks.length === 0 && (
          <p className="border-t border-hairline py-3 text-quiet">
            Nothing is planned for it yet. Take the tasks of a plan for its kind, or of a sister,
            and mend them by the handbook; or add them one by one.
          </p>
        )}
        {book.tasks.length === 0 && <TakeTasks book={book} />}
        <ul>
          {book.tasks.map((task) => (
            <TaskRow
              key={task.id}
              task={task}
              book={book}
              reckoning={machine.tasks.find((one) => one.task.id === task.id)}
            />
          ))}
        </ul>
      </section>
      <Ladders book={book} />
      <Reminders book={book} />
    </>
  );
}

/** The ladders of stacked services, step by step. */
function Ladders({ book }: { readonly book: MachineBook }): ReactElement {
  const [machine] = book.machines;
  const path = (name: string): string =>
    machinePath(machine.id, `/plan/ladder${name === "" ? "" : `/${encodeURIComponent(name)}`}`);
  return (
    <section aria-labelledby="ladders" className="mb-9">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id="ladders" className="mr-auto text-large font-bold">
          <Term word="ladder">Ladders</Term>
        </h2>
        <Link to={path("")} className={QUIET_BUTTON}>
          <Plus size={18} aria-hidden="true" />
          Add a ladder
        </Link>
      </div>
      {[...laddersOf(book.tasks)].map(([name, steps]) => (
        <div key={name} className="border-t border-hairline py-2">
          <div className="flex items-baseline gap-4">
            <h3 className="font-semibold">{name}</h3>
            <Link
              to={path(name)}
              aria-label={`Edit ladder ${name}`}
              className="text-clear hover:underline max-sm:min-h-12"
            >
              Edit
            </Link>
          </div>
          <LadderSteps steps={steps} />
        </div>
      ))}
      {laddersOf(book.tasks).size === 0 && (
        <p className="border-t border-hairline py-3 text-quiet">
          Stacked services, such as every 250, 500, 1000 and 2000 h, each larger one with the
          smaller.
        </p>
      )}
    </section>
  );
}

function LadderSteps({ steps }: { readonly steps: readonly LadderStep[] }): ReactElement {
  const largest = steps.at(-1)?.multiple ?? 1;
  const turns = Array.from({ length: Math.min(largest, 12) }, (_, index) => index + 1);
  return (
    <table className="mt-1 border-collapse">
      <caption className="sr-only">Which step comes at which turn</caption>
      <thead>
        <tr>
          <th scope="col" className="py-1 pr-6 text-left text-fine font-normal text-quiet">
            turn
          </th>
          {turns.map((turn) => (
            <th key={turn} scope="col" className="w-9 text-center font-mono text-fine text-quiet">
              {turn}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {steps.map(({ task, multiple }) => (
          <tr key={task.id}>
            <th scope="row" className="py-0.5 pr-6 text-left font-normal">
              {task.name}
            </th>
            {turns.map((turn) => (
              <td key={turn} className="text-center">
                {turn % multiple === 0 && (
                  <span className="inline-block size-3 bg-clear">
                    <span className="sr-only">yes</span>
                  </span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The way to the baseline of a machine that came without records. */
function TakingOn({ book }: { readonly book: MachineBook }): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  const [machine] = book.machines;
  const { baseline } = machine;
  if (machine.history !== "unknown") return <WithoutStart book={book} />;
  if ((baseline?.finished ?? null) !== null) return null;
  const open = baselineTasks(book, today).filter(({ answer }) => answer.code === "open").length;
  return (
    <p className="mb-5 flex flex-wrap items-center gap-x-5 gap-y-2 border-y border-rule py-2">
      <span>
        It came without records.{" "}
        {open === 0 ? "All its tasks are decided." : `${counted(open, "task")} still to decide.`}
      </span>
      <Link to={machinePath(machine.id, "/plan/baseline")} className={`${QUIET_BUTTON} ml-auto`}>
        {baseline ? "Go on taking it on" : "Take it on, task by task"}
      </Link>
    </p>
  );
}

/** The school of intervals the machine follows; each task may follow another, with a reason. */
function RegimeChoice({
  machine,
  tasks,
}: {
  readonly machine: Machine;
  readonly tasks: readonly Task[];
}): ReactElement {
  const { keep, failure } = useKeep();
  const named = tasks.flatMap((task) => Object.keys(task.regimes ?? {}));
  const current = machine.regime ?? "handbook";
  const all = [...new Set([...SCHOOLS, ...named, current])];
  return (
    <div className="w-48">
      <SelectField
        label="School"
        value={current}
        choices={all.map((name) => [name, name] as const)}
        onChange={(regime) => void keep("machines", machine, { ...machine, regime })}
      />
      <p role="alert" className="text-due">
        {failure}
      </p>
    </div>
  );
}

function TaskRow({
  task,
  book,
  reckoning,
}: {
  readonly task: Task;
  readonly book: MachineBook;
  readonly reckoning: TaskReckoning | undefined;
}): ReactElement {
  const [machine] = book.machines;
  const names = new Map<string, string>(book.tasks.map(({ id, name }) => [id, name]));
  const nameOf = (id: string): string => names.get(id) ?? id;
  const place = { machine, nameOf, checklists: book.checklists };
  const override = task.regime ? `${task.regime} school: ${task.regimeReason ?? ""}` : "";
  const facts = [
    task.minutes ? counted(Math.round(task.minutes), "minute") : "",
    task.access ? `with ${task.access} open` : "",
    task.ladder ? `ladder ${task.ladder}` : "",
    task.outside ? `for others: ${task.outside.because}` : "",
    override,
  ];
  return (
    <li className="relative border-t border-hairline">
      <Link
        to={machinePath(machine.id, `/plan/task/${encodeURIComponent(task.id)}`)}
        className="grid items-start gap-x-6 gap-y-0.5 py-2 hover:bg-wash sm:grid-cols-[7rem_minmax(12rem,20rem)_1fr]"
      >
        <span className="flex items-center gap-2">
          {reckoning !== undefined && (
            <>
              <Cairn status={reckoning.status} />
              {STATUS_WORD[reckoning.status]}
            </>
          )}
        </span>
        <span className="font-semibold">{task.name}</span>
        <span>
          {taskSentence(task, place)}
          <span className="block text-fine text-quiet">
            {facts.filter((fact) => fact !== "").join(" · ")}
          </span>
          <Schools task={task} machine={machine} />
        </span>
      </Link>
    </li>
  );
}

/** How many other schools the task speaks of. */
function Schools({
  task,
  machine,
}: {
  readonly task: Task;
  readonly machine: Machine;
}): ReactElement | null {
  const current = limitsInForce(task, machine).regime;
  const others = Object.keys(task.regimes ?? {}).filter((name) => name !== current);
  if (others.length === 0) return null;
  return (
    <span className="block text-fine text-quiet">
      {figure(others.length)} other {others.length === 1 ? "school" : "schools"}:{" "}
      {others.join(", ")}
    </span>
  );
}
