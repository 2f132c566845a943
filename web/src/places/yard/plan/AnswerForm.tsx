import {
  formatDay,
  parseDay,
  type BaselineDecision,
  type DayNumber,
  type MachineBook,
  type Meter,
  type MeterId,
  type Settings,
  type TaskId,
  type WorkFigure,
} from "@yonderfell/core";
import { useState, type FormEvent, type ReactElement } from "react";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import type { Field } from "../../../ui/field.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import { typedNumber } from "../../../words/writing.js";
import { reckonedTexts } from "../../shared/logging/logModel.js";

/** A decision that asks for more: when and by which record, or what was seen. */
export type Asked = "done" | "judged-sound";

interface AnswerFormProps {
  readonly asks: Asked;
  /** The tasks that are decided. */
  readonly tasks: readonly TaskId[];
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly today: DayNumber;
  readonly onDecide: (decision: BaselineDecision) => Promise<void>;
  readonly onLeave: () => void;
}

/** What the form says, and the way to decide by it. */
function useAnswer({ asks, tasks, book, settings, today, onDecide }: AnswerFormProps): {
  readonly field: FormModel<Answer>["field"];
  readonly texts: ReadonlyMap<string, string>;
  readonly setTexts: (texts: ReadonlyMap<string, string>) => void;
  readonly hasFollowUps: boolean;
  readonly save: (event: FormEvent) => void;
} {
  const [texts, setTexts] = useState<ReadonlyMap<string, string>>(new Map());
  const { model, field } = useModel<Answer>(() => ({
    ...{ date: formatDay(today), note: "", followUpsDone: true },
  }));
  const hasFollowUps = book.tasks.some(({ follows }) => follows && tasks.includes(follows.task));
  const save = (event: FormEvent): void => {
    event.preventDefault();
    const { note } = model;
    if (asks === "judged-sound") {
      const figures = figuresFrom(reckonedTexts(book, settings, today, today), true);
      void onDecide({ code: "judged-sound", figures, note });
      return;
    }
    const day = parseDay(model.date) ?? today;
    const followUpsDone = hasFollowUps && model.followUpsDone;
    const figures = figuresFrom(texts, false);
    void onDecide({ code: "done", day, figures, note, followUpsDone });
  };
  return { field, texts, setTexts, hasFollowUps, save };
}

interface Answer {
  readonly date: string;
  readonly note: string;
  readonly followUpsDone: boolean;
}

/** When the records say it was done, at what figures; or, judged sound, what was seen. */
export function AnswerForm(props: AnswerFormProps): ReactElement {
  const { asks, book, today, onLeave } = props;
  const { field, texts, setTexts, hasFollowUps, save } = useAnswer(props);
  const meters = book.machines[0].meters ?? [];
  return (
    <form
      onSubmit={save}
      className="mt-2 grid items-start gap-x-5 gap-y-2 sm:grid-cols-3"
      noValidate
    >
      {asks === "done" && (
        <DoneFields
          meters={meters}
          date={field("date")}
          today={today}
          texts={texts}
          onTexts={setTexts}
        />
      )}
      <TextField
        label={asks === "done" ? "By which record" : "What was seen: level, colour, smell, test"}
        autoFocus={asks === "judged-sound"}
        {...field("note")}
      />
      {asks === "done" && hasFollowUps && (
        <div className="sm:col-span-3">
          <CheckField
            label="What follows it was done too, as far as there was time for it (taken as assumed)"
            {...field("followUpsDone")}
          />
        </div>
      )}
      <div className="flex flex-wrap gap-3 sm:col-span-3">
        <button type="submit" className={PRIMARY_BUTTON}>
          {asks === "done" ? "It was done then" : "Count from here"}
        </button>
        <button type="button" className={QUIET_BUTTON} onClick={onLeave}>
          Not yet
        </button>
      </div>
    </form>
  );
}

function DoneFields({
  meters,
  date,
  today,
  texts,
  onTexts,
}: {
  readonly meters: readonly Meter[];
  readonly date: Field<string>;
  readonly today: DayNumber;
  readonly texts: ReadonlyMap<string, string>;
  readonly onTexts: (texts: ReadonlyMap<string, string>) => void;
}): ReactElement {
  return (
    <>
      <DateField label="Done on" today={today} autoFocus {...date} />
      {meters.map((meter) => (
        <TextField
          key={meter.id}
          label={`At, in ${meter.unit} (empty if not known)`}
          isMono
          value={texts.get(meter.id) ?? ""}
          onChange={(text) => onTexts(new Map(texts).set(meter.id, text))}
        />
      ))}
    </>
  );
}

function figuresFrom(texts: ReadonlyMap<string, string>, estimated: boolean): WorkFigure[] {
  return [...texts].flatMap(([meter, text]) =>
    text.trim() === ""
      ? []
      : [
          {
            meter: meter as MeterId,
            value: typedNumber(text) ?? Number.NaN,
            estimated,
            answer: null,
          },
        ],
  );
}
