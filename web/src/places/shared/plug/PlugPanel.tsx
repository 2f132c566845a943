import {
  BOOK_NEEDS,
  noteReminder,
  reminderStates,
  type LogWorkIssue,
  type MachineId,
} from "@yonderfell/core";
import { PlugZap } from "lucide-react";
import type { ReactElement, ReactNode } from "react";
import { useAppSelector } from "../../../session/store.js";
import { useCommands } from "../../../session/useCommands.js";
import { useMachineBook } from "../../../session/useMachineBook.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { fullDate } from "../../../words/format.js";
import type { Plug, PlugReadAt } from "./usePlug.js";
import { plugFigures, STATE_WORDS } from "./plugWords.js";

const WIDE = `${QUIET_BUTTON} min-h-12 w-full justify-center`;

/** The diagnostic plug: reached by one press, what it reads, and its codes to be raised. */
export function PlugPanel({
  plug,
  machine,
}: {
  readonly plug: Plug;
  readonly machine: MachineId;
}): ReactElement {
  const { state, readings, leave } = plug;
  const last = readings.at(-1);
  return (
    <section aria-label="Diagnostic plug" className="space-y-2">
      {state === "live" && last !== undefined ? (
        <LivePlug reading={last} machine={machine}>
          <button type="button" className={WIDE} onClick={leave}>
            Leave the plug
          </button>
        </LivePlug>
      ) : (
        <ReachPlug plug={plug} />
      )}
    </section>
  );
}

/** The press that reaches the plug, and why it is not read where it does not answer. */
export function ReachPlug({ plug: { state, connect } }: { readonly plug: Plug }): ReactElement {
  return (
    <>
      <button type="button" className={WIDE} disabled={state === "reaching"} onClick={connect}>
        <PlugZap size={18} aria-hidden="true" />
        Read the plug
      </button>
      <p role="status" className="text-fine text-quiet empty:hidden">
        {state === "live" ? "" : STATE_WORDS[state]}
      </p>
    </>
  );
}

function LivePlug({
  reading,
  machine,
  children,
}: {
  readonly reading: PlugReadAt;
  readonly machine: MachineId;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <>
      <h3 className="font-semibold">Plug, simulated</h3>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3">
        {plugFigures(reading).map(([name, figure]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd className="font-mono tabular-nums">{figure}</dd>
          </div>
        ))}
      </dl>
      <Codes codes={reading.codes} machine={machine} />
      {children}
    </>
  );
}

/** What each code means on this machine, and the press that raises it: its tasks are due then. */
function Codes({
  codes,
  machine,
}: {
  readonly codes: readonly string[];
  readonly machine: MachineId;
}): ReactElement | null {
  const book = useMachineBook(machine)?.book;
  const today = useAppSelector((state) => state.session.today);
  const { run, failure } = useCommands<LogWorkIssue>(() => "It was not raised: look at the day.");
  if (book === undefined || codes.length === 0) return null;
  const states = reminderStates(book, today);
  const raise = (code: string): Promise<unknown> =>
    run(
      (storage, around) =>
        storage.perform(
          machine,
          BOOK_NEEDS,
          (own, context) => noteReminder(own, code, "raised", today, context),
          around,
        ),
      `${code} is raised.`,
    );
  return (
    <>
      <h4 className="font-semibold">Codes it shows</h4>
      <ul className="space-y-1">
        {codes.map((code) => {
          const known = states.find((one) => one.code === code);
          const asked = (known?.tasks ?? []).flatMap(
            ({ task }) => book.tasks.find(({ id }) => id === task)?.name ?? [],
          );
          const since = known?.isOpen === true ? known.raisedOn : null;
          return (
            <li key={code} className="border-t border-hairline pt-1">
              <strong>{code}</strong>{" "}
              <span className="text-quiet">
                {known?.reminder
                  ? [known.reminder.says, ...asked].filter(Boolean).join("; ")
                  : "not among this machine’s reminders: see its handbook"}
              </span>
              {since === null ? (
                <button type="button" className={WIDE} onClick={() => void raise(code)}>
                  Raise {code}
                </button>
              ) : (
                <span className="block">raised {fullDate(since)}</span>
              )}
            </li>
          );
        })}
      </ul>
      <p role="alert" className="text-fine font-semibold text-due empty:hidden">
        {failure}
      </p>
    </>
  );
}
