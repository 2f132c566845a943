import type {
  Book,
  Checklist,
  Machine,
  MachineBook,
  MachinePlate,
  Part,
  Task,
} from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useMemo, useState, type ReactElement } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { useBook } from "../../../session/openBook.js";
import { useKeep } from "../../../session/useKeep.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { TextField } from "../../../ui/fields.js";
import { findingTitle } from "../../../words/findingWords.js";
import { figure } from "../../../words/format.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { Preview } from "./Preview.js";
import { RuleFields } from "./RuleFields.js";
import { TASK_LABELS, taskProblemWords } from "./taskFormWords.js";
import { measuresFor, modelOfNew, newTaskOf, type Measure, type NewTask } from "./measures.js";
import { modelOf, taskOf, type TaskModel } from "./taskModel.js";
import { WorkFields } from "./WorkFields.js";
import { machinePath } from "../../shared/paths.js";

/** Writes down a task: when it is due, what it takes; its rule read back with its next turns. */
export default function TaskPage(): ReactElement {
  const machine = useMachineOfAddress();
  const wanted = useParams()["taskId"] ?? "";
  const { storage } = useBook();
  const id = machine?.machine.id;
  const found = useLiveQuery(async () => {
    if (id === undefined) return null;
    const [book, plate, parts, checklists, settings] = await Promise.all([
      storage.machineBook(id),
      storage.plate(id),
      storage.list("parts"),
      storage.list("checklists"),
      storage.ownSettings(),
    ]);
    return book === null ? null : { book, plate, parts, checklists, settings };
  }, [storage, id]);
  return (
    <MachineFrame machine={machine}>
      {found !== undefined && found !== null && <Loaded key={wanted} wanted={wanted} {...found} />}
    </MachineFrame>
  );
}

interface LoadedProps {
  readonly wanted: string;
  readonly book: MachineBook;
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
  readonly checklists: readonly Checklist[];
  readonly settings: Book["settings"];
}

function Loaded({ wanted, book, ...rest }: LoadedProps): ReactElement {
  const task = book.tasks.find((one) => one.id === wanted) ?? null;
  const [opened] = useState(task);
  // One that was taken out elsewhere stays in hand with what is typed.
  const inHand = task ?? opened;
  if (inHand === null && wanted !== "new") {
    return (
      <p>
        The machine has no such task.{" "}
        <Link to={machinePath(book.machines[0].id, "/plan")} className="text-clear underline">
          Its plan
        </Link>
      </p>
    );
  }
  return <TaskForm task={inHand} book={book} {...rest} />;
}

function useTaskForm(
  task: Task | null,
  machine: Machine,
  begun: NewTask,
): FormInHand<TaskModel, Task | null> {
  const from = [begun.finding?.id, begun.measure?.key, begun.point].filter(Boolean).join(" ");
  return useForm({
    form: "task",
    of: task?.id ?? `new ${machine.id} ${from}`.trim(),
    source: task,
    modelOf: (source) => (source === null ? modelOfNew(begun, machine) : modelOf(source, machine)),
    labels: TASK_LABELS,
    problemsOf: (typed) => taskOf(typed, task, machine).problems,
    problemWords: taskProblemWords,
  });
}

/** What rounds measure on the machine, and its book with the checklists that say so: not worked out anew at each key. */
function useMeasures(
  book: MachineBook,
  plate: MachinePlate,
  checklists: readonly Checklist[],
): { readonly measures: readonly Measure[]; readonly whole: MachineBook } {
  const [machine] = book.machines;
  return useMemo(
    () => ({
      measures: measuresFor(machine, checklists, plate.specifications, book.rounds),
      whole: { ...book, checklists },
    }),
    [machine, checklists, plate, book],
  );
}

function TaskForm({
  task,
  book,
  plate,
  parts,
  checklists,
  settings,
}: Omit<LoadedProps, "wanted"> & { readonly task: Task | null }): ReactElement {
  const [machine] = book.machines;
  const [search] = useSearchParams();
  const { measures, whole } = useMeasures(book, plate, checklists);
  const begun = newTaskOf(search, measures, book);
  const form = useTaskForm(task, machine, begun);
  const { model, field } = form;
  const { keep, failure } = useKeep();
  const navigate = useNavigate();
  const read = useMemo(() => taskOf(model, task, machine), [model, task, machine]);
  const [first] = read.problems;
  const plan = machinePath(machine.id, "/plan");
  const others = book.tasks.filter(({ id }) => id !== task?.id);
  const nameOf = (id: string): string => others.find((one) => one.id === id)?.name ?? "nothing";
  const store = async (before: Task | null, after: Task | null): Promise<boolean> => {
    const isSaved = await keep("tasks", before, after);
    if (isSaved) await navigate(plan);
    return isSaved;
  };
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_22rem]">
      <FormBody
        form={form}
        onSave={(typed, before) => store(before, taskOf(typed, before, machine).task)}
        {...{ failure, said: { nthOf: nameOf, followsTask: nameOf } }}
        className="space-y-6"
        foot={
          <FormFoot>
            <button type="submit" className={PRIMARY_BUTTON}>
              Save the task
            </button>
            <Link to={plan} className={QUIET_BUTTON} onClick={form.startAfresh}>
              Leave it as it was
            </Link>
            {task !== null && <TakeOut onTakeOut={() => void store(form.source, null)} />}
          </FormFoot>
        }
      >
        <TextField autoFocus={task === null} {...field("name")} />
        <FromFinding begun={begun} />
        <RuleFields form={form} machine={machine} others={others} measures={measures} />
        <WorkFields form={form} fluids={plate.fluids} others={others} />
        {task !== null && <PartsNeeded task={task} plate={plate} parts={parts} />}
      </FormBody>
      <Preview
        task={read.task}
        problem={first === undefined ? "" : taskProblemWords(first)}
        book={whole}
        settings={settings}
      />
    </div>
  );
}

/** Which finding a new task comes from; nothing where from none. */
function FromFinding({ begun: { finding } }: { readonly begun: NewTask }): ReactElement | null {
  if (finding === null) return null;
  return (
    <p className="text-quiet">
      From the finding {findingTitle(finding)}. It stays open until work that names it is logged.
    </p>
  );
}

/** The parts that are needed for the task, as the machine's parts say. */
function PartsNeeded({
  task,
  plate,
  parts,
}: {
  readonly task: Task;
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
}): ReactElement {
  const needed = plate.fitments.filter(({ tasks }) => (tasks ?? []).includes(task.id));
  return (
    <section aria-labelledby="needed">
      <h3 id="needed" className="font-semibold">
        Parts it needs
      </h3>
      <ul>
        {needed.map(({ id, part, perService, position }) => {
          const found = parts.find((one) => one.id === part);
          const words = [found?.name ?? part, found?.number ?? "", position ?? ""];
          return (
            <li key={id} className="tabular-nums">
              {figure(perService ?? 1)} × {words.filter((word) => word !== "").join(", ")}
            </li>
          );
        })}
      </ul>
      <p className="text-quiet">
        {needed.length === 0 && "None recorded. "}
        <Link to={machinePath(task.machine, "/parts")} className="text-clear underline">
          Say on the machine’s parts what each is needed for
        </Link>
      </p>
    </section>
  );
}

function TakeOut({ onTakeOut }: { readonly onTakeOut: () => void }): ReactElement {
  return (
    <button type="button" className={`${QUIET_BUTTON} ml-auto`} onClick={onTakeOut}>
      Take it out
    </button>
  );
}
