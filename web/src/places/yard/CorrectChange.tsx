import {
  correctMeterChange,
  parseDay,
  parseFigure,
  type MachineBook,
  type MeterChange,
} from "@yonderfell/core";
import { useState, type ReactElement } from "react";
import { useAppSelector } from "../../session/store.js";
import { DateField } from "../../ui/DateField.js";
import { CorrectionFoot } from "./CorrectionFoot.js";
import { FigureField } from "../shared/logging/FigureField.js";
import { decimalSign, typedFigure } from "../../words/writing.js";
import { useCorrection } from "./useCorrection.js";

/** Corrects the day or the figures of a meter change. */
export function CorrectChange({
  book,
  change,
}: {
  readonly book: MachineBook;
  readonly change: MeterChange;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const [date, setDate] = useState(change.date);
  const [oldFinal, setOldFinal] = useState(typedFigure(change.oldFinal));
  const [newStart, setNewStart] = useState(typedFigure(change.newStart));
  const [lost, setLost] = useState(typedFigure(change.lost ?? 0));
  const meter = (book.machines[0].meters ?? []).find((candidate) => candidate.id === change.meter);
  const unit = meter?.unit ?? "";
  const day = parseDay(date);
  const figureOf = (text: string): number => parseFigure(text, decimalSign()) ?? Number.NaN;
  const input = {
    day: day ?? today,
    oldFinal: figureOf(oldFinal),
    newStart: figureOf(newStart),
    lost: figureOf(lost),
  };
  const correction = useCorrection(book, (now, context) =>
    correctMeterChange(now, change.id, input, context),
  );
  return (
    <form onSubmit={correction.save} className="max-w-[26rem] space-y-5">
      <DateField label="Changed on" value={date} today={today} onChange={setDate} />
      <FigureField label={`Old one ended at, ${unit}`} value={oldFinal} onChange={setOldFinal} />
      <FigureField label={`New one began at, ${unit}`} value={newStart} onChange={setNewStart} />
      <FigureField label={`Unmetered between, ${unit}`} value={lost} onChange={setLost} />
      <CorrectionFoot correction={correction} meter={meter} hasDay={day !== null} />
    </form>
  );
}
