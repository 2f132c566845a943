import {
  bookWork,
  parseDay,
  type BookWorkIssue,
  type FindingId,
  type MachineId,
  type TaskId,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useBook } from "../../../session/openBook.js";
import { useCommands } from "../../../session/useCommands.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { NoteField, TextField } from "../../../ui/fields.js";
import { typedAmount } from "../atTheMachine/figures.js";

function bookIssueWords(issue: BookWorkIssue): string {
  switch (issue.code) {
    case "workshop-missing":
      return "Say which workshop does it.";
    case "nothing-to-book":
      return "Say what is to be done.";
    case "task-not-found":
      return "The task is not in the book any more.";
    case "quote-below-nothing":
      return "The quote is an amount of 0 or more.";
  }
}

/** A booking as it is being written. */
interface BookingForm {
  readonly workshop: string;
  readonly day: string;
  readonly tell: string;
  readonly ask: string;
  readonly quote: string;
}

/** What is given to others. */
interface ToOthers {
  readonly machine: MachineId;
  readonly tasks: readonly TaskId[];
  readonly findings: readonly FindingId[];
  /** What to tell them, and what to ask for back, before anybody says otherwise. */
  readonly tell: string;
  readonly ask: string;
}

/** Gives work to a workshop: which, when, what to tell them and what to ask for back. */
export function BookWork(work: ToOthers): ReactElement {
  const [form, setForm] = useState<BookingForm>({
    ...{ workshop: "", day: "", tell: work.tell, ask: work.ask, quote: "" },
  });
  const { book, isBooked, failure } = useBooking(work, form);
  const set = (part: Partial<BookingForm>): void => setForm({ ...form, ...part });
  if (isBooked) {
    return (
      <p role="status">Booked with {form.workshop.trim()}; it stays due until it is logged.</p>
    );
  }
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void book();
      }}
    >
      <TextField
        label="Which workshop"
        value={form.workshop}
        onChange={(workshop) => set({ workshop })}
      />
      <DayField label="When it is to be there" value={form.day} onChange={(day) => set({ day })} />
      <NoteField label="Tell them" value={form.tell} onChange={(words) => set({ tell: words })} />
      <NoteField label="Ask for back" value={form.ask} onChange={(words) => set({ ask: words })} />
      <TextField
        label="What they say it costs"
        isMono
        value={form.quote}
        onChange={(quote) => set({ quote })}
      />
      <button type="submit" className={QUIET_BUTTON}>
        Book it
      </button>
      <p role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </p>
    </form>
  );
}

/** Books the work with a workshop. */
function useBooking(
  { machine, tasks, findings }: ToOthers,
  { workshop, day, tell, ask, quote }: BookingForm,
): {
  readonly book: () => Promise<void>;
  readonly isBooked: boolean;
  readonly failure: string;
} {
  const { storage } = useBook();
  const { run, failure } = useCommands<BookWorkIssue>(bookIssueWords);
  const [isBooked, setIsBooked] = useState(false);
  const toBook = {
    ...{ tasks, findings, workshop, day: parseDay(day), tell, ask },
    quote: typedAmount(quote),
  };
  const book = async (): Promise<void> => {
    const saved = await run(
      (_, around) =>
        storage.perform(
          machine,
          ["tasks"],
          (slice, context) => bookWork(slice, toBook, context),
          around,
        ),
      "Booked.",
    );
    if (saved !== null) setIsBooked(true);
  };
  return { book, isBooked, failure };
}
