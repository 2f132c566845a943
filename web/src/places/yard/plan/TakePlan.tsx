import {
  applyPlan,
  BOOK_NEEDS,
  planOffers,
  planOfMachine,
  plansFor,
  type ApplyPlanIssue,
  type Machine,
  type MachineBook,
  type MachineId,
  type Plan,
  type PlanOffer,
  type Task,
} from "@yonderfell/core";
import { useLiveOf } from "../../../data/useLiveOf.js";
import { useMemo, useState, type FormEvent, type ReactElement } from "react";
import { useNavigate } from "react-router";
import { useBook } from "../../../session/openBook.js";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { PRIMARY_BUTTON } from "../../../ui/buttons.js";
import { FormFoot } from "../../../ui/FormFoot.js";
import { CheckField, SelectField } from "../../../ui/fields.js";
import { counted } from "../../../words/format.js";
import { taskSentence } from "../../../words/taskWords.js";
import { useMachineBook } from "../../../session/useMachineBook.js";
import { MachineFrame, useMachineOfAddress } from "../MachineFrame.js";
import { applyIssueWords, differenceHere, notApplicableWords, sisterWords } from "./planWords.js";
import { machinePath } from "../../shared/paths.js";

const SISTER = "machine:";

/** Takes tasks from a generic plan or from another machine, looked at one by one. */
export default function TakePlan(): ReactElement {
  const machine = useMachineOfAddress();
  const book = useMachineBook(machine?.machine.id ?? null)?.book;
  return (
    <MachineFrame machine={machine}>
      {book !== undefined && <TakeTasks key={book.machines[0].id} book={book} />}
    </MachineFrame>
  );
}

/** The machines a plan can be copied from, those of the same kind first. */
function useSisters(machine: Machine): readonly Machine[] {
  const board = useAppSelector((state) => state.board.machines);
  const others = board.flatMap((one) =>
    one.machine.id === machine.id || one.tasks.length === 0 ? [] : [one.machine],
  );
  const isSister = (one: Machine): number => Number(one.kind === machine.kind);
  return [...others].sort((one, other) => isSister(other) - isSister(one));
}

function usePlan(name: string, machine: Machine): Plan | undefined {
  const { storage } = useBook();
  const library = plansFor(machine.kind).find((plan) => plan.name === name);
  const sister = name.startsWith(SISTER) ? (name.slice(SISTER.length) as MachineId) : null;
  const copy = async (): Promise<Plan | undefined> => {
    const book = sister === null ? null : await storage.machineBook(sister);
    return book === null ? undefined : planOfMachine(book.machines[0], book.tasks);
  };
  const copied = useLiveOf(sister, copy, [storage]);
  return library ?? copied;
}

/** The plans there are for a machine, and the tasks of the one chosen. */
export function TakeTasks({ book }: { readonly book: MachineBook }): ReactElement {
  const [machine] = book.machines;
  const plans = plansFor(machine.kind);
  const sisters = useSisters(machine);
  const [meant] = plans;
  const isMeant = meant?.kinds.includes(machine.kind.trim().toLowerCase()) === true;
  const [name, setName] = useState(isMeant ? meant.name : "");
  const plan = usePlan(name, machine);
  const choices = [
    ...(isMeant ? [] : [["", "choose a plan"] as const]),
    ...plans.map((one) => [one.name, `${one.name}: typical, check the handbook`] as const),
    ...sisters.map((one) => [`${SISTER}${one.id}`, sisterWords(one)] as const),
  ];
  return (
    <section aria-labelledby="take">
      <h2 id="take" className="text-large font-bold">
        Take tasks from a plan
      </h2>
      <div className="mt-2 mb-4 max-w-[34rem]">
        <SelectField label="Plan" choices={choices} value={name} onChange={setName} />
        <p className="text-fine text-quiet">
          {plan === undefined || plan.machine === null
            ? "Round figures of common practice. The machine’s handbook wins: look at each, and mend it after."
            : "Copied as they are there, on this machine’s own meters."}
        </p>
      </div>
      {plan !== undefined && <Offers key={name} plan={plan} book={book} />}
    </section>
  );
}

function Offers({ plan, book }: { readonly plan: Plan; readonly book: MachineBook }): ReactElement {
  const [machine] = book.machines;
  const offers = useMemo(
    () => planOffers(plan, machine, book.tasks, (key) => key),
    [plan, machine, book.tasks],
  );
  const open = offers.filter(({ standing, issue }) => standing !== "same" && issue === null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const chosen = new Set(open.map(({ task }) => task.key).filter((key) => !left.has(key)));
  const { take, failure } = useTaking(book, plan);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    void take(chosen);
  };
  return (
    <form onSubmit={save}>
      <ul>
        {offers.map((offer) => (
          <OfferRow
            key={offer.task.key}
            offer={offer}
            offers={offers}
            book={book}
            isChosen={chosen.has(offer.task.key)}
            onChoose={(isChosen) => {
              const others = [...left].filter((key) => key !== offer.task.key);
              setLeft(new Set(isChosen ? others : [...others, offer.task.key]));
            }}
          />
        ))}
      </ul>
      <p role="alert" className="font-semibold text-due">
        {failure}
      </p>
      <FormFoot>
        <button type="submit" className={PRIMARY_BUTTON} disabled={chosen.size === 0}>
          {chosen.size === 0 ? "Nothing to take" : `Take ${counted(chosen.size, "task")}`}
        </button>
      </FormFoot>
    </form>
  );
}

function useTaking(
  book: MachineBook,
  plan: Plan,
): { readonly take: (chosen: ReadonlySet<string>) => Promise<void>; readonly failure: string } {
  const navigate = useNavigate();
  const { run, failure } = useCommands<ApplyPlanIssue>(
    (issue) => `Not taken: ${applyIssueWords(issue, plan)}`,
  );
  const { id } = book.machines[0];
  const take = async (chosen: ReadonlySet<string>): Promise<void> => {
    await run(
      (storage, around) =>
        storage.perform(
          id,
          BOOK_NEEDS,
          (own, context) => applyPlan(own, plan, chosen, context),
          around,
        ),
      `${counted(chosen.size, "task")} taken.`,
      ({ change }) => {
        // A machine past the first turns of what it was given is taken on: what they start from is asked first.
        const isTakenOn = change.records.some(({ section }) => section === "machines");
        return navigate(machinePath(id, isTakenOn ? "/plan/baseline" : "/plan"));
      },
    );
  };
  return { take, failure };
}

function OfferRow({
  offer,
  offers,
  book,
  isChosen,
  onChoose,
}: {
  readonly offer: PlanOffer;
  readonly offers: readonly PlanOffer[];
  readonly book: MachineBook;
  readonly isChosen: boolean;
  readonly onChoose: (isChosen: boolean) => void;
}): ReactElement {
  const { task, candidate, own, standing, issue } = offer;
  const [machine] = book.machines;
  const names = new Map<string, string>(offers.map((one) => [one.candidate.id, one.task.name]));
  const nameOf = (id: string): string => names.get(id) ?? id;
  const sentence = (one: Task): string => taskSentence(one, { machine, nameOf });
  const isOpen = standing !== "same" && issue === null;
  return (
    <li className="grid items-start gap-x-6 border-t border-hairline py-1 sm:grid-cols-[minmax(14rem,24rem)_1fr]">
      {isOpen ? (
        <CheckField label={task.name} value={isChosen} onChange={onChoose} />
      ) : (
        <span className="flex min-h-10 items-center pl-[1.875rem] text-quiet">{task.name}</span>
      )}
      <div className="py-2">
        {issue === null ? sentence(candidate) : notApplicableWords(issue, offers)}
        {standing === "same" && <span className="block text-fine text-clear">taken already</span>}
        {standing === "changed" && own !== null && (
          <span className="block text-fine text-soon-text">
            changed there since it was taken; {differenceHere(own, candidate, sentence)}
          </span>
        )}
        <span className="block text-fine text-quiet">
          {[
            task.minutes === undefined ? "" : counted(task.minutes, "minute"),
            task.outside === undefined ? "" : `for others: ${task.outside.because}`,
          ]
            .filter((fact) => fact !== "")
            .join(" · ")}
        </span>
      </div>
    </li>
  );
}
