import {
  dayOf,
  newClosures,
  takeInClosures,
  type Bay,
  type Closure,
  type Person,
} from "@yonderfell/core";
import { partition, sortBy } from "es-toolkit";
import { useState, type ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { nothingRefused, useCommands } from "../../session/useCommands.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../ui/buttons.js";
import { FileButton } from "../../ui/FileButton.js";
import { counted } from "../../words/format.js";
import type { HolidaysRead } from "../../work/holidays.js";
import type { Editing } from "./forms.js";
import { Row, Section } from "./lists.js";
import { closureDays, closureWho, foundWords } from "./workshopWords.js";

/** Days on which nobody works, somebody is away, or a bay is out of use; typed, or brought in from a calendar. */
export function DaysOff({
  closures,
  people,
  bays,
  onEdit,
}: {
  readonly closures: readonly Closure[];
  readonly people: readonly Person[];
  readonly bays: readonly Bay[];
  readonly onEdit: (editing: Editing) => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const calendar = useCalendar();
  const [past, ahead] = partition(sortBy([...closures], ["from"]), ({ to }) => dayOf(to) < today);
  const row = (closure: Closure): ReactElement => (
    <Row
      key={closure.id}
      cells={[
        ...["", closureDays(closure, today), "", closureWho(closure, people, bays)],
        closure.reason ?? "",
      ]}
      onEdit={() => onEdit({ code: "closure", record: closure })}
    />
  );
  return (
    <>
      <Section
        title="Days off"
        action="Add days off"
        empty="Holidays, who is away, a bay out of use: visits keep clear of closed days, and the hours of a week are fewer."
        aside={
          <FileButton
            label="Holidays from a calendar file"
            accept=".ics,.ical,text/calendar"
            onFile={(file) => void calendar.read(file)}
          />
        }
        onAdd={() => onEdit({ code: "closure", record: null })}
      >
        {ahead.map(row)}
      </Section>
      {calendar.failure !== "" && (
        <p role="alert" className="mb-4 border-l-4 border-due pl-3">
          {calendar.failure}
        </p>
      )}
      {calendar.found !== null && (
        <Found
          found={calendar.found}
          closures={closures}
          onTake={calendar.take}
          onLeave={calendar.leave}
        />
      )}
      <Past past={past} row={row} />
    </>
  );
}

function Past({
  past,
  row,
}: {
  readonly past: readonly Closure[];
  readonly row: (closure: Closure) => ReactElement;
}): ReactElement | null {
  if (past.length === 0) return null;
  return (
    <details className="mb-8 max-w-[72rem]">
      <summary className="min-h-11 cursor-pointer">
        {`${counted(past.length, "closure")} that ${past.length === 1 ? "is" : "are"} past`}
      </summary>
      <ul>{past.map(row)}</ul>
    </details>
  );
}

/** A calendar as it is read from a file, and what is done with it. */
interface CalendarInHand {
  readonly found: HolidaysRead | null;
  readonly failure: string;
  readonly read: (file: File) => Promise<void>;
  readonly take: () => void;
  readonly leave: () => void;
}

function useCalendar(): CalendarInHand {
  const today = useAppSelector((state) => state.session.today);
  const { run, failure, fail } = useCommands(nothingRefused);
  const [found, setFound] = useState<HolidaysRead | null>(null);
  const read = async (file: File): Promise<void> => {
    const { holidaysOf } = await import("../../work/holidays.js");
    const holidays = holidaysOf(await file.text(), today);
    setFound(holidays);
    fail(
      holidays === null
        ? `${file.name} could not be read as a calendar. Choose a file in the iCalendar format (.ics).`
        : "",
    );
  };
  const take = (): void => {
    if (found === null) return;
    const { days } = found;
    void run(
      (storage, around) =>
        storage.performShared(
          ["closures"],
          (slice, context) => takeInClosures(slice, days, context),
          around,
        ),
      "The days off are in the book.",
      () => setFound(null),
    );
  };
  return { found, failure, read, take, leave: () => setFound(null) };
}

function Found({
  found: { days, timed },
  closures,
  onTake,
  onLeave,
}: {
  readonly found: HolidaysRead;
  readonly closures: readonly Closure[];
  readonly onTake: () => void;
  readonly onLeave: () => void;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const fresh = newClosures(closures, days);
  return (
    <section
      aria-label="What the calendar holds"
      className="mb-8 max-w-[72rem] border-l-4 border-clear pl-4"
    >
      <p role="status" className="font-semibold">
        {foundWords(days, fresh, timed)}
      </p>
      <ul className="max-h-64 overflow-y-auto" tabIndex={0} aria-label="Days off found">
        {fresh.map((one) => (
          <li key={`${one.from} ${one.to}`} className="py-0.5">
            {`${closureDays(one, today)}${one.reason === null ? "" : `: ${one.reason}`}`}
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-3">
        {fresh.length > 0 && (
          <button type="button" className={PRIMARY_BUTTON} onClick={onTake}>
            {`Close on ${fresh.length === 1 ? "it" : `all ${fresh.length}`}`}
          </button>
        )}
        <button type="button" className={QUIET_BUTTON} onClick={onLeave}>
          Leave it
        </button>
      </div>
    </section>
  );
}
