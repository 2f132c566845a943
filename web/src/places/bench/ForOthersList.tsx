import {
  bookWork,
  parseDay,
  type BookWorkIssue,
  type MadeCard,
  type TaskId,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useBook } from "../../session/openBook.js";
import { useCommands } from "../../session/useCommands.js";
import type { WorkSource } from "../../session/useWorkSource.js";
import { QUIET_BUTTON } from "../../ui/buttons.js";
import { NoteField, TextField } from "../../ui/fields.js";
import { DayField } from "../../ui/DayField.js";
import { typedAmount } from "../shared/atTheMachine/figures.js";

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

/** Work of a card that is for others: why, what to tell them and what to ask for, and its booking. */
export function ForOthersList({
  card,
  source,
}: {
  readonly card: MadeCard;
  readonly source: WorkSource;
}): ReactElement | null {
  if (card.forOthers.length === 0) return null;
  return (
    <section>
      <h2 className="text-large font-bold">For others</h2>
      {card.forOthers.map((one) => (
        <Booking key={one.task} one={one} source={source} />
      ))}
    </section>
  );
}

interface BookingProps {
  readonly one: MadeCard["forOthers"][number];
  readonly source: WorkSource;
}

/** A booking as it is being written. */
interface BookingForm {
  readonly workshop: string;
  readonly day: string;
  readonly tell: string;
  readonly ask: string;
  readonly quote: string;
}

function Booking({ one, source }: BookingProps): ReactElement {
  const name = source.book.tasks.find(({ id }) => id === one.task)?.name ?? "";
  const [form, setForm] = useState<BookingForm>({
    ...{ workshop: "", day: "", tell: one.tell ?? "", ask: one.ask ?? "", quote: "" },
  });
  const { book, isBooked, failure } = useBooking(one.task, source, form);
  const set = (part: Partial<BookingForm>): void => setForm({ ...form, ...part });
  return (
    <div className="space-y-2 border-t border-hairline pt-2">
      <p>
        <strong>{name}</strong> <span className="text-quiet">{one.because}</span>
      </p>
      {isBooked ? (
        <p role="status">Booked with {form.workshop.trim()}; it stays due until it is logged.</p>
      ) : (
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
          <DayField
            label="When it is to be there"
            value={form.day}
            onChange={(day) => set({ day })}
          />
          <NoteField
            label="Tell them"
            value={form.tell}
            onChange={(words) => set({ tell: words })}
          />
          <NoteField
            label="Ask for back"
            value={form.ask}
            onChange={(words) => set({ ask: words })}
          />
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
      )}
    </div>
  );
}

/** Books a task with a workshop. */
function useBooking(
  task: TaskId,
  { book: { machines } }: WorkSource,
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
    ...{ tasks: [task], findings: [], workshop, day: parseDay(day), tell, ask },
    quote: typedAmount(quote),
  };
  const book = async (): Promise<void> => {
    const saved = await run(
      (_, around) =>
        storage.perform(
          machines[0].id,
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
