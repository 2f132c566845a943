import { believeMeter, type BoardMeter, type MachineBook, type Meter } from "@yonderfell/core";
import { useState, type FormEvent, type ReactElement } from "react";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { TextField } from "../../../ui/fields.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import { FigureField } from "../../shared/logging/FigureField.js";
import {
  guessedFigures,
  happeningCommand,
  type Happening,
  type HappeningFigures,
} from "./happening.js";
import { useMeterCommand } from "./useMeterCommand.js";

const SAID: Readonly<Record<Happening, string>> = {
  replaced: "Saved; its life counts on.",
  "rolled-over": "Saved; its life counts on.",
  repaired: "Saved; its life counts on.",
  stopped: "Its dial is no longer believed; limits go by estimate.",
  estimate: "Saved as an estimate.",
};

const WORDS: Readonly<Record<Happening, string>> = {
  replaced: "Replaced or reset",
  "rolled-over": "Rolled over",
  repaired: "Repaired",
  stopped: "It stands still",
  estimate: "Estimate it",
};

/** What happens to a meter: replaced, rolled over, stopped, repaired, estimated. */
export function MeterActions({
  meter,
  book,
}: {
  readonly meter: BoardMeter;
  readonly book: MachineBook;
}): ReactElement {
  const [open, setOpen] = useState<Happening | null>(null);
  const { run, problem } = useMeterCommand(book.machines[0].id, meter.meter);
  const isStopped = meter.stoppedOn !== null;
  const offered: readonly Happening[] = isStopped
    ? ["repaired", "replaced", "estimate"]
    : ["replaced", "rolled-over", "stopped", "estimate"];
  const believe = (): void =>
    run(
      (now, context) => believeMeter(now, meter.meter.id, context),
      "The dial counts again.",
      () => setOpen(null),
    );
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap gap-2">
        {offered.map((happening) => (
          <button
            key={happening}
            type="button"
            aria-expanded={open === happening}
            className={QUIET_BUTTON}
            onClick={() => setOpen(open === happening ? null : happening)}
          >
            {WORDS[happening]}
          </button>
        ))}
        {isStopped && (
          <button type="button" className={QUIET_BUTTON} onClick={believe}>
            It was right all along
          </button>
        )}
      </div>
      {problem !== "" && (
        <p role="alert" className="font-semibold text-due">
          {problem}
        </p>
      )}
      {open !== null && (
        <HappeningForm
          key={open}
          happening={open}
          meter={meter.meter}
          book={book}
          onSaved={() => setOpen(null)}
        />
      )}
    </div>
  );
}

interface HappeningProps {
  readonly happening: Happening;
  readonly meter: Meter;
  readonly book: MachineBook;
  readonly onSaved: () => void;
}

function HappeningForm({ happening, meter, book, onSaved }: HappeningProps): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const { model, field } = useModel(() => guessedFigures(book, meter, happening, today));
  const { run, problem } = useMeterCommand(book.machines[0].id, meter);
  const save = (event: FormEvent): void => {
    event.preventDefault();
    run(happeningCommand(happening, meter.id, model, today), SAID[happening], onSaved);
  };
  return (
    <form
      onSubmit={save}
      className="space-y-2 border-l-4 border-hairline bg-raised px-4 py-3"
      noValidate
    >
      <DateField
        label={happening === "stopped" ? "Not believed from" : "On"}
        today={today}
        {...field("date")}
      />
      <HappeningFields happening={happening} unit={meter.unit} field={field} />
      {problem !== "" && (
        <p role="alert" className="font-semibold text-due">
          {problem}
        </p>
      )}
      <button type="submit" className={PRIMARY_BUTTON}>
        Save: {WORDS[happening].toLowerCase()}
      </button>
    </form>
  );
}

function HappeningFields({
  happening,
  unit,
  field,
}: {
  readonly happening: Happening;
  readonly unit: Meter["unit"];
  readonly field: FormModel<HappeningFigures>["field"];
}): ReactElement | null {
  switch (happening) {
    case "stopped":
      return null;
    case "estimate":
      return <FigureField label={`It would show, ${unit}`} {...field("figure")} />;
    case "rolled-over":
      return (
        <>
          <FigureField label={`It begins again after, ${unit}`} {...field("oldFinal")} />
          <TextField label="Note" {...field("note")} />
        </>
      );
    case "replaced":
    case "repaired":
      return (
        <>
          <FigureField label={`Old one ended at, ${unit}`} {...field("oldFinal")} />
          <FigureField label={`New one began at, ${unit}`} {...field("newStart")} />
          <FigureField label={`Run unmetered between, ${unit}`} {...field("lost")} />
          <TextField label="Note" {...field("note")} />
        </>
      );
  }
}
