import {
  correctReading,
  parseDay,
  parseFigure,
  type MachineBook,
  type Reading,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { DateField } from "../../ui/DateField.js";
import { CorrectionFoot } from "./CorrectionFoot.js";
import { FigureField } from "../shared/logging/FigureField.js";
import { decimalSign, typedFigure } from "../../words/writing.js";
import { useCorrection } from "./useCorrection.js";

/** Corrects the day or the figure of a reading. */
export function CorrectReading({
  book,
  reading,
}: {
  readonly book: MachineBook;
  readonly reading: Reading;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [date, setDate] = useState(reading.date);
  const [text, setText] = useState(typedFigure(reading.value));
  const [figureIsRight, setFigureIsRight] = useState(false);
  const meter = (book.machines[0].meters ?? []).find((candidate) => candidate.id === reading.meter);
  const day = parseDay(date);
  const value = parseFigure(text, decimalSign()) ?? Number.NaN;
  const correction = useCorrection(book, (now, context) =>
    correctReading(now, reading.id, { day: day ?? today, value, figureIsRight }, context),
  );
  const { issue } = correction;
  return (
    <form onSubmit={correction.save} className="max-w-[26rem] space-y-5">
      <DateField label="Read on" value={date} today={today} onChange={setDate} />
      <FigureField label={`Figure, ${meter?.unit ?? ""}`} value={text} isLarge onChange={setText} />
      {(issue?.code === "figure-in-doubt" || figureIsRight) && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 shrink-0 accent-(--clear)"
            checked={figureIsRight}
            onChange={(event) => setFigureIsRight(event.target.checked)}
          />
          It is right as it is; set aside what does not agree
        </label>
      )}
      <CorrectionFoot correction={correction} meter={meter} hasDay={day !== null} />
    </form>
  );
}
