import { believeMeter, type BoardMeter, type MachineBook, type Meter } from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { TextField } from "../../../ui/fields.js";
import { FigureField } from "../../shared/logging/FigureField.js";
import {
  ASKED_OF,
  guessedFigures,
  happeningCommand,
  happeningProblems,
  type Happening,
  type HappeningFigures,
} from "./happening.js";
import {
  HAPPENING_SAVED,
  HAPPENING_WORDS,
  happeningLabels,
  happeningProblemWords,
} from "./meterFormWords.js";
import { useMeterCommand } from "./useMeterCommand.js";

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
    void run(
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
            {HAPPENING_WORDS[happening]}
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

/** What happened that has something to be said of. */
const HAS_NOTE: ReadonlySet<Happening> = new Set(["replaced", "repaired", "rolled-over"]);

interface HappeningProps {
  readonly happening: Happening;
  readonly meter: Meter;
  readonly book: MachineBook;
  readonly onSaved: () => void;
}

/** What happened to a meter is written down: its figures begin as the meter is reckoned to stand. */
function HappeningForm({ happening, meter, book, onSaved }: HappeningProps): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const form = useForm({
    form: "happening",
    of: `${meter.id} ${happening}`,
    source: guessedFigures(book, meter, happening, today),
    modelOf: (figures: HappeningFigures) => figures,
    labels: happeningLabels(happening, meter),
    problemsOf: (model) => happeningProblems(happening, model, today),
    problemWords: happeningProblemWords,
  });
  const { run, problem } = useMeterCommand(book.machines[0].id, meter);
  const { field } = form;
  return (
    <FormBody
      form={form}
      onSave={(model) =>
        run(
          happeningCommand(happening, meter.id, model, today),
          HAPPENING_SAVED[happening],
          onSaved,
        )
      }
      failure={problem}
      className="space-y-2 border-l-4 border-hairline bg-raised px-4 py-3"
      foot={
        <button type="submit" className={PRIMARY_BUTTON}>
          Save: {HAPPENING_WORDS[happening].toLowerCase()}
        </button>
      }
    >
      <DateField today={today} {...field("date")} />
      {ASKED_OF[happening].map((key) => (
        <FigureField key={key} {...field(key)} />
      ))}
      {HAS_NOTE.has(happening) && <TextField {...field("note")} />}
    </FormBody>
  );
}
