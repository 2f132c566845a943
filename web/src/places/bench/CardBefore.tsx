import {
  cardIssuesOf,
  openJob,
  waysToChoose,
  type JobId,
  type JobStep,
  type MachineId,
  type OpenJobIssue,
  type Task,
  type TaskId,
  type VisitId,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { useBook } from "../../session/openBook.js";
import { useCommands } from "../../session/useCommands.js";
import { PRIMARY_BUTTON } from "../../ui/buttons.js";
import { CheckField, SelectField, TextField } from "../../ui/fields.js";
import { FormFoot } from "../../ui/FormFoot.js";
import { CardSteps } from "./CardSteps.js";
import { openIssueWords } from "./benchWords.js";
import { jobPath } from "../shared/paths.js";
import { LaidOut } from "./LaidOut.js";
import { ForOthersList } from "./ForOthersList.js";
import { useMadeCard, type FoundCard } from "./useMadeCard.js";
import { useWhoIsHere } from "../shared/atTheMachine/whoIsHere.js";
import { WhoField } from "../shared/atTheMachine/WhoField.js";

const NEEDS = ["tasks", "jobs"] as const;

/** What a job is to be begun for. */
export interface ToBegin {
  readonly machine: MachineId;
  readonly tasks: readonly string[];
  readonly findings: readonly string[];
  /** Names of ways that were chosen for tasks, by task. */
  readonly ways: ReadonlyMap<string, string>;
  readonly visit: string | null;
  readonly onTasks: (tasks: readonly string[]) => void;
  /** Chooses a way for a task; the usual one where it is empty. */
  readonly onWay: (task: string, way: string) => void;
}

/** The card of a job that is looked through before it begins: what is missing, which tools, how long, what it costs; its steps. */
export function CardBefore(props: ToBegin): ReactElement | null {
  const found = useMadeCard(props.machine, props.tasks, props.findings, props.ways);
  if (found === undefined) return null;
  if (found === null) return <p className="py-6">The book has no such machine.</p>;
  // Of other tasks, or by another way, another card is made: what was changed on the one before goes with it.
  const key = JSON.stringify([props.tasks, props.findings, [...props.ways]]);
  return <MadeBefore key={key} {...props} found={found} />;
}

function MadeBefore({ found, ...props }: ToBegin & { readonly found: FoundCard }): ReactElement {
  const { card, source } = found;
  const { tasks, findings, onTasks } = props;
  const [changed, setChanged] = useState<readonly JobStep[] | null>(null);
  const [name, setName] = useState("");
  const [who, setWho] = useWhoIsHere();
  const steps = changed ?? card.steps;
  const all = source.book.tasks;
  const { begin, failure } = useBegin(props, found, { name, who, steps });
  return (
    <div className="space-y-8">
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_25rem]">
        <div className="space-y-6">
          <WhatIsDone all={all} tasks={tasks} onTasks={onTasks} />
          <ByWhichWay {...props} found={found} />
          {tasks.length === 0 && findings.length === 0 && (
            <TextField label="Or something else, in a few words" value={name} onChange={setName} />
          )}
          <CardSteps
            steps={steps}
            hasIssues={cardIssuesOf(steps).length > 0}
            tasks={all.filter(({ id }) => tasks.includes(id))}
            onSteps={setChanged}
            {...(changed === null ? {} : { onAsMade: () => setChanged(null) })}
          />
        </div>
        <div className="space-y-6">
          <LaidOut card={card} source={source} />
          <ForOthersList card={card} source={source} />
          <WhoField label="Who begins it" people={source.people} who={who} onWho={setWho} />
        </div>
      </div>
      <FormFoot>
        <button
          type="button"
          className={`${PRIMARY_BUTTON} min-h-14 text-large max-sm:w-full max-sm:justify-center`}
          onClick={() => void begin()}
        >
          Begin the job
        </button>
        <p role="alert" className="font-semibold text-due empty:hidden">
          {failure}
        </p>
      </FormFoot>
    </div>
  );
}

/** Which tasks of the machine the job is for. */
function WhatIsDone({
  all,
  tasks,
  onTasks,
}: {
  readonly all: readonly Task[];
  readonly tasks: readonly string[];
  readonly onTasks: (tasks: readonly string[]) => void;
}): ReactElement {
  return (
    <fieldset>
      <legend className="text-large font-bold">What is to be done</legend>
      <div className="grid gap-x-6 sm:grid-cols-2">
        {all.map((task) => (
          <CheckField
            key={task.id}
            label={task.name}
            value={tasks.includes(task.id)}
            onChange={(isChosen) =>
              onTasks(isChosen ? [...tasks, task.id] : tasks.filter((one) => one !== task.id))
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

/** By which way each task is done, where there is more than one. */
function ByWhichWay({
  found: { source, from },
  tasks,
  ways,
  onWay,
}: ToBegin & { readonly found: FoundCard }): ReactElement | null {
  const chosen = source.book.tasks.filter(({ id }) => tasks.includes(id));
  const fields = chosen.flatMap((task) => {
    const { usual, isOwn, others } = waysToChoose(task, from);
    return others.length === 0 ? [] : [{ task, usual: isOwn ? "its own way" : usual, others }];
  });
  if (fields.length === 0) return null;
  return (
    <fieldset>
      <legend className="text-large font-bold">By which way</legend>
      <div className="grid gap-x-6 gap-y-2 sm:grid-cols-2">
        {fields.map(({ task, usual, others }) => (
          <SelectField
            key={task.id}
            label={`Way for: ${task.name}`}
            value={ways.get(task.id) ?? ""}
            choices={[["", `${usual}, as usual`], ...others.map((name) => [name, name] as const)]}
            onChange={(way) => onWay(task.id, way)}
          />
        ))}
      </div>
    </fieldset>
  );
}

/** The tasks of a card that are one's own work, as far as the card has steps of them. */
function ownTasks({ card }: FoundCard, steps: readonly JobStep[]): TaskId[] {
  const others = new Set<string>(card.forOthers.map(({ task }) => task));
  return card.tasks.filter(
    (task) => !others.has(task) || steps.some((step) => (step.tasks ?? []).includes(task)),
  );
}

/** The way to begin: the job is opened, and one is at its first step. */
function useBegin(
  { machine, visit }: ToBegin,
  found: FoundCard,
  {
    name,
    who,
    steps,
  }: { readonly name: string; readonly who: string; readonly steps: readonly JobStep[] },
): { readonly begin: () => Promise<unknown>; readonly failure: string } {
  const navigate = useNavigate();
  const { storage } = useBook();
  const { run, failure } = useCommands<OpenJobIssue>((issue) =>
    openIssueWords(issue, found.source.book.tasks),
  );
  const toOpen = {
    ...{ name, tasks: ownTasks(found, steps), findings: found.card.findings, steps, by: who },
    visit: visit as VisitId | null,
  };
  const begin = (): Promise<unknown> =>
    run(
      (_, around) =>
        storage.perform(
          machine,
          NEEDS,
          (slice, context) => openJob(slice, toOpen, context),
          around,
        ),
      "",
      async ({ change }) => {
        const job = change.records.find(({ section }) => section === "jobs");
        if (job !== undefined) await navigate(jobPath({ id: job.id as JobId, machine }));
      },
    );
  return { begin, failure };
}
