import type { DayNumber, FigureDoubt, Meter } from "@yonderfell/core";
import { RadioGroup } from "radix-ui";
import type { ReactElement } from "react";
import { RadioChoice } from "../../../ui/RadioChoice.js";
import { DateField } from "../../../ui/DateField.js";
import { doubtWordsFor } from "../../../words/readingWords.js";
import { FigureField } from "./FigureField.js";
import type { AnswerChoice, AnswerFigures } from "./figureAnswer.js";

interface DoubtQuestionProps {
  readonly doubt: FigureDoubt;
  readonly meter: Meter;
  readonly today: DayNumber;
  readonly choice: AnswerChoice | null;
  readonly figures: AnswerFigures;
  readonly onChoice: (choice: AnswerChoice) => void;
  readonly onFigures: (figures: AnswerFigures) => void;
}

/** Asks what a figure means that does not agree with the others. */
export function DoubtQuestion(props: DoubtQuestionProps): ReactElement {
  const { doubt, meter, choice, onChoice } = props;
  const heading = `doubt-${meter.id}`;
  const isRise = doubt.code === "impossible-rise";
  return (
    <div
      className="border-l-4 border-soon bg-raised px-4 py-3"
      role="group"
      aria-labelledby={heading}
    >
      <p id={heading}>
        <strong>{doubtWordsFor(doubt, meter)}</strong> Which is it?
      </p>
      <RadioGroup.Root
        value={choice ?? ""}
        onValueChange={(value) => onChoice(value as AnswerChoice)}
        aria-labelledby={heading}
        className="mt-2 grid gap-1"
      >
        <RadioChoice value="typing" label="A typing error" rest="type the figure again" />
        <RadioChoice value="replaced" label="The meter was replaced or reset" rest="" />
        {choice === "replaced" && <ReplacedFigures {...props} />}
        <RadioChoice
          value="rolled-over"
          label="It rolled over"
          rest="passed its highest figure and began again at 0"
        />
        {choice === "rolled-over" && <RolledOverFigure {...props} />}
        <RadioChoice
          value="right"
          label="Right as it is"
          rest={
            isRise
              ? "it really ran that much"
              : "the figures that do not agree are set aside, and stay in the history"
          }
        />
      </RadioGroup.Root>
    </div>
  );
}

function ReplacedFigures(props: DoubtQuestionProps): ReactElement {
  const { figures, meter, onFigures } = props;
  const unit = meter.unit;
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] items-start gap-3 sm:ml-8">
      <ChangeDay {...props} />
      <FigureField
        label={`Old one ended at, ${unit}`}
        value={figures.oldFinal}
        onChange={(oldFinal) => onFigures({ ...figures, oldFinal })}
      />
      <FigureField
        label={`New one began at, ${unit}`}
        value={figures.newStart}
        onChange={(newStart) => onFigures({ ...figures, newStart })}
      />
      <FigureField
        label={`Unmetered between, ${unit}`}
        value={figures.lost}
        onChange={(lost) => onFigures({ ...figures, lost })}
      />
    </div>
  );
}

function RolledOverFigure(props: DoubtQuestionProps): ReactElement {
  const { figures, meter, onFigures } = props;
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] items-start gap-3 sm:ml-8">
      <ChangeDay {...props} />
      <FigureField
        label={`It begins again after, ${meter.unit}`}
        value={figures.rollsOverAt}
        onChange={(rollsOverAt) => onFigures({ ...figures, rollsOverAt })}
      />
    </div>
  );
}

function ChangeDay({ figures, today, onFigures }: DoubtQuestionProps): ReactElement {
  return (
    <DateField
      label="Changed on"
      value={figures.day}
      today={today}
      onChange={(day) => onFigures({ ...figures, day })}
    />
  );
}
