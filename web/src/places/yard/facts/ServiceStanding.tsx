import {
  currentStop,
  dayOf,
  formatDay,
  parseDay,
  releaseForService,
  takeOutOfService,
  type Machine,
  type ServiceIssue,
  type Slice,
} from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useState, type FormEvent, type ReactElement } from "react";
import { useBook } from "../../../app/openBook.js";
import { useAppSelector } from "../../../app/store.js";
import { useCommands } from "../../../app/useCommands.js";
import type { Command } from "../../../data/bookStorage.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { TextField } from "../../../ui/fields.js";
import { useModel } from "../../../ui/useModel.js";
import { fullDate } from "../../../words/format.js";
import { serviceIssueWords } from "../../../words/machineWords.js";

/** Whether a machine may be used: taken out of service with a reason, released by a named person with what was done. */
export function ServiceStanding({ machine }: { readonly machine: Machine }): ReactElement {
  const stop = currentStop(machine);
  const [isAsking, setIsAsking] = useState(false);
  const past = (machine.stops ?? []).filter((one) => (one.released ?? null) !== null);
  return (
    <section aria-labelledby="standing" className="mb-7">
      <h2 id="standing" className="sr-only">
        Whether it may be used
      </h2>
      {stop === null && !isAsking && (
        <button type="button" className={QUIET_BUTTON} onClick={() => setIsAsking(true)}>
          Take it out of service
        </button>
      )}
      {stop === null && isAsking && <StandingForm machine={machine} isRelease={false} />}
      {stop !== null && <StandingForm machine={machine} isRelease />}
      {past.length > 0 && (
        <ul className="mt-2 text-fine text-quiet">
          {past.map((one) => (
            <li key={one.id}>
              Out of service {fullDate(dayOf(one.since))}
              {one.released ? ` to ${fullDate(dayOf(one.released.on))}` : ""}: {one.reason}.{" "}
              {one.released ? `Released by ${one.released.by}: ${one.released.done}.` : ""}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Takes a machine out of service, or releases it. */
function StandingForm({
  machine,
  isRelease,
}: {
  readonly machine: Machine;
  readonly isRelease: boolean;
}): ReactElement {
  const { storage } = useBook();
  const people = useLiveQuery(() => storage.list("people"), [storage]) ?? [];
  const today = useAppSelector((state) => state.session.today);
  const { model, field } = useModel(() => ({ words: "", by: "", date: formatDay(today) }));
  const { problem, run } = useStanding(machine);
  const names = people.filter((person) => person.hasLeft !== true).map((person) => person.name);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const day = parseDay(model.date) ?? today;
    const { words, by } = model;
    run(
      isRelease
        ? (book, context) => releaseForService(book, { on: day, by, done: words }, context)
        : (book, context) => takeOutOfService(book, { since: day, reason: words, by }, context),
      isRelease ? "It is in service again." : "It is out of service.",
    );
  };
  return (
    <form onSubmit={save} className="border-l-4 border-overdue bg-raised px-4 py-3" noValidate>
      <div className="grid items-start gap-x-6 gap-y-2 sm:grid-cols-[2fr_1fr_1fr_auto]">
        <TextField
          label={isRelease ? "What was done" : "Why it may not be used"}
          {...field("words")}
        />
        <TextField label={isRelease ? "Released by" : "Said by"} offered={names} {...field("by")} />
        <DateField label={isRelease ? "On" : "Since"} today={today} {...field("date")} />
        <button type="submit" className={`${PRIMARY_BUTTON} mt-4`}>
          {isRelease ? "Release it for service" : "Take it out of service"}
        </button>
      </div>
      <p role="alert" className="font-semibold text-due">
        {problem}
      </p>
    </form>
  );
}

/** Runs a command on whether a machine may be used, and says what stood in its way. */
function useStanding(machine: Machine): {
  readonly problem: string;
  readonly run: (command: Command<Slice, ServiceIssue>, words: string) => void;
} {
  const { run, failure } = useCommands(serviceIssueWords);
  return {
    problem: failure,
    run: (command, words) =>
      void run((storage, around) => storage.perform(machine.id, [], command, around), words),
  };
}
