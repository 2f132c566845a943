import {
  BOOK_NEEDS,
  noteReminder,
  reminderStates,
  type LogWorkIssue,
  type MachineBook,
  type Reminder,
  type ReminderFactCode,
  type ReminderState,
  type TaskId,
} from "@yonderfell/core";
import { Plus } from "lucide-react";
import { useState, type ReactElement } from "react";
import { Link } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { shortDate } from "../../../words/format.js";
import { ReminderForm } from "./ReminderForm.js";
import { Term } from "../../../ui/Term.js";

/** The codes the machine raises by itself: what each asks for, and what has become of it. */
export function Reminders({ book }: { readonly book: MachineBook }): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [editing, setEditing] = useState<Reminder | null | undefined>();
  const states = reminderStates(book, today);
  return (
    <section aria-labelledby="reminders" className="mb-9">
      <div className="mb-1 flex flex-wrap items-center gap-3">
        <h2 id="reminders" className="mr-auto text-large font-bold">
          The machine’s own <Term word="reminder">reminders</Term>
        </h2>
        <button type="button" className={QUIET_BUTTON} onClick={() => setEditing(null)}>
          <Plus size={18} aria-hidden="true" />
          Add a code
        </button>
      </div>
      {states.length === 0 && (
        <p className="border-t border-hairline py-3 text-quiet">
          Codes its display can raise, the tasks each asks for, and the keys that reset it.
        </p>
      )}
      <ul>
        {states.map((state) => (
          <ReminderRow key={state.code} state={state} book={book} onEdit={setEditing} />
        ))}
      </ul>
      {editing !== undefined && (
        <ReminderForm
          key={editing?.code ?? ""}
          code={editing?.code ?? null}
          book={book}
          onClose={() => setEditing(undefined)}
        />
      )}
    </section>
  );
}

function ReminderRow({
  state,
  book,
  onEdit,
}: {
  readonly state: ReminderState;
  readonly book: MachineBook;
  readonly onEdit: (reminder: Reminder) => void;
}): ReactElement {
  const { code, reminder, isOpen } = state;
  return (
    <li className="relative grid gap-x-6 gap-y-1 border-t border-hairline py-2 lg:grid-cols-[9rem_minmax(12rem,1fr)_minmax(14rem,1fr)_auto]">
      <span>
        <strong className="font-mono">{code}</strong>
        {isOpen && <strong className="block text-fine text-due">raised</strong>}
      </span>
      <Asks reminder={reminder} book={book} />
      <Facts state={state} book={book} />
      <Actions state={state} book={book} onEdit={onEdit} />
    </li>
  );
}

function Actions({
  state,
  book,
  onEdit,
}: {
  readonly state: ReminderState;
  readonly book: MachineBook;
  readonly onEdit: (reminder: Reminder) => void;
}): ReactElement {
  const { code, reminder, isOpen } = state;
  const { note, failure } = useNoting(book);
  const open = state.tasks.filter(({ loggedOn }) => loggedOn === null).map(({ task }) => task);
  const facts: readonly ReminderFactCode[] = isOpen
    ? [
        ...(state.doneOn === null ? (["done"] as const) : []),
        ...(state.resetOn === null ? (["reset"] as const) : []),
      ]
    : ["raised"];
  return (
    <div className="flex flex-wrap items-start gap-2">
      {isOpen && open.length > 0 && (
        <Link
          to={logPath(book, open)}
          className={QUIET_BUTTON}
          aria-label={`Log the work: ${code}`}
        >
          Log the work
        </Link>
      )}
      {facts.map((fact) => (
        <button
          key={fact}
          type="button"
          className={QUIET_BUTTON}
          aria-label={`It is ${fact}: ${code}`}
          onClick={() => void note(code, fact)}
        >
          It is {fact}
        </button>
      ))}
      {reminder !== null && (
        <button
          type="button"
          className="min-h-10 px-2 text-clear hover:underline max-sm:min-h-12"
          aria-label={`Edit code ${code}`}
          onClick={() => onEdit(reminder)}
        >
          Edit
        </button>
      )}
      <p role="alert" className="w-full text-due">
        {failure}
      </p>
    </div>
  );
}

function logPath(book: MachineBook, tasks: readonly TaskId[]): string {
  const asked = tasks.map((task) => `task=${encodeURIComponent(task)}`).join("&");
  return `/log/${encodeURIComponent(book.machines[0].id)}?${asked}`;
}

function Asks({
  reminder,
  book,
}: {
  readonly reminder: Reminder | null;
  readonly book: MachineBook;
}): ReactElement {
  if (reminder === null) {
    return (
      <span className="text-soon-text">What it asks for is not written down: add the code.</span>
    );
  }
  const names = (reminder.tasks ?? []).map(
    (id) => book.tasks.find((task) => task.id === id)?.name ?? id,
  );
  return (
    <span>
      {(reminder.says ?? "") !== "" && <span className="block text-quiet">{reminder.says}</span>}
      {names.length === 0 ? (
        <span className="text-quiet">asks for nothing yet</span>
      ) : (
        names.join("; ")
      )}
      {(reminder.reset ?? "") !== "" && (
        <span className="block text-fine text-quiet">Reset: {reminder.reset}</span>
      )}
    </span>
  );
}

/** Raised, done, logged and reset: each a fact of its own. */
function Facts({
  state,
  book,
}: {
  readonly state: ReminderState;
  readonly book: MachineBook;
}): ReactElement {
  const today = useAppSelector((session) => session.session.today);
  if (state.raisedOn === null) return <span className="text-quiet">never raised</span>;
  const on = (day: typeof state.doneOn): string => (day === null ? "no" : shortDate(day, today));
  const facts = [
    ["raised", on(state.raisedOn)],
    ["said to be done", on(state.doneOn)],
    ...state.tasks.map(({ task, loggedOn }) => [
      `${book.tasks.find((one) => one.id === task)?.name ?? task} logged`,
      on(loggedOn),
    ]),
    ["reset", on(state.resetOn)],
  ];
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-fine">
      {facts.map(([name, words]) => (
        <div key={name} className="contents">
          <dt className="text-quiet">{name}</dt>
          <dd className={words === "no" ? "text-soon-text" : "tabular-nums"}>{words}</dd>
        </div>
      ))}
    </dl>
  );
}

function useNoting(book: MachineBook): {
  readonly note: (code: string, fact: ReminderFactCode) => Promise<void>;
  readonly failure: string;
} {
  const today = useAppSelector((state) => state.session.today);
  const { run, failure } = useCommands<LogWorkIssue>(() => "It was not noted: look at the day.");
  const note = async (code: string, fact: ReminderFactCode): Promise<void> => {
    await run(
      (storage, around) =>
        storage.perform(
          book.machines[0].id,
          BOOK_NEEDS,
          (own, context) => noteReminder(own, code, fact, today, context),
          around,
        ),
      "Noted.",
    );
  };
  return { note, failure };
}
