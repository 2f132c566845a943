import type { BoardMachine, BoardMeter, DayNumber, FigureDoubt } from "@yonderfell/core";
import { useRef, type ReactElement } from "react";
import { FIELD } from "../../../ui/buttons.js";
import { sentence } from "../../../words/format.js";
import { meterName } from "../../../words/limitWords.js";
import { DoubtQuestion } from "./DoubtQuestion.js";
import { figuresFor, type AnswerChoice } from "./figureAnswer.js";
import { unasked, type FormFigure } from "./logModel.js";

/** What the dials showed: filled in with what is reckoned, which counts as estimated unless written over. */
export function FigureFields({
  machine,
  figures,
  doubts,
  today,
  onFigures,
}: {
  readonly machine: BoardMachine;
  readonly figures: readonly FormFigure[];
  readonly doubts: ReadonlyMap<string, FigureDoubt>;
  readonly today: DayNumber;
  readonly onFigures: (figures: FormFigure[]) => void;
}): ReactElement {
  const change = (changed: FormFigure): void =>
    onFigures(figures.map((figure) => (figure.meter === changed.meter ? changed : figure)));
  return (
    <div className={machine.meters.length > 1 ? "grid gap-x-4 gap-y-5 sm:grid-cols-2" : ""}>
      {machine.meters.map((meter) => {
        const { id } = meter.meter;
        const figure = figures.find((one) => one.meter === id);
        if (figure === undefined) return null;
        const doubt = doubts.get(id) ?? null;
        return (
          <FigureQuestion
            key={id}
            meter={meter}
            figure={figure}
            doubt={doubt}
            today={today}
            onChange={change}
          />
        );
      })}
    </div>
  );
}

function hintFor({ isOwn, text }: FormFigure): string {
  if (isOwn) return text === "" ? "left empty" : "read";
  return text === ""
    ? "never read; leave empty if not known"
    : "reckoned; write over it if you read it";
}

/** A figure, and the question of what it means where it does not agree with the others. */
function FigureQuestion({
  meter,
  figure,
  doubt,
  today,
  onChange,
}: {
  readonly meter: BoardMeter;
  readonly figure: FormFigure;
  readonly doubt: FigureDoubt | null;
  readonly today: DayNumber;
  readonly onChange: (figure: FormFigure) => void;
}): ReactElement {
  const field = useRef<HTMLInputElement>(null);
  const { id, unit } = meter.meter;
  const choose = (choice: AnswerChoice): void => {
    onChange({ ...figure, choice, answer: doubt === null ? figure.answer : figuresFor(doubt) });
    if (choice === "typing") field.current?.select();
  };
  return (
    <div className={`space-y-3 ${doubt === null ? "" : "sm:col-span-2"}`}>
      <label className="block text-fine text-quiet">
        {sentence(meterName(meter))}, {unit}
        <input
          ref={field}
          className={`${FIELD} font-mono text-[2rem] font-bold max-sm:text-[3.5rem] max-sm:leading-none ${figure.isOwn ? "text-ink" : "text-quiet"}`}
          inputMode="decimal"
          autoComplete="off"
          value={figure.text}
          onChange={(event) => onChange(unasked(id, event.target.value, true))}
        />
        {hintFor(figure)}
      </label>
      {doubt !== null && (
        <DoubtQuestion
          doubt={doubt}
          meter={meter.meter}
          today={today}
          choice={figure.choice}
          figures={figure.answer}
          onChoice={choose}
          onFigures={(answer) => onChange({ ...figure, answer })}
        />
      )}
    </div>
  );
}
