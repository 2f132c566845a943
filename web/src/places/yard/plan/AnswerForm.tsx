import {
  parseDay,
  type BaselineDecision,
  type DayNumber,
  type MachineBook,
  type Settings,
  type TaskId,
} from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm, type FormField } from "../../../form/useForm.js";
import { PRIMARY_BUTTON, QUIET_BUTTON } from "../../../ui/buttons.js";
import { DateField } from "../../../ui/DateField.js";
import { CheckField, TextField } from "../../../ui/fields.js";
import { reckonedTexts } from "../../shared/logging/logModel.js";
import {
  doneProblems,
  figuresFrom,
  modelOfDone,
  modelOfSound,
  type DoneModel,
  type SoundModel,
} from "./answerModel.js";
import { DONE_LABELS, doneProblemWords, figureLabel, SOUND_LABELS } from "./answerWords.js";

/** A decision that asks for more: when and by which record, or what was seen. */
export type Asked = "done" | "judged-sound";

interface AnswerFormProps {
  readonly asks: Asked;
  /** The tasks that are decided. */
  readonly tasks: readonly TaskId[];
  /** Which of the machine's questions it is; what is typed is kept under it, also where other tasks are ticked meanwhile. */
  readonly about: string;
  readonly book: MachineBook;
  readonly settings: Settings;
  readonly today: DayNumber;
  /** What went wrong with the last decision. */
  readonly failure: string;
  /** Answers whether it is decided. */
  readonly onDecide: (decision: BaselineDecision) => Promise<boolean>;
  readonly onLeave: () => void;
}

const noProblems = (): readonly never[] => [];
const noWords = (_: never): string => "";

/** When the records say it was done, at what figures; or, judged sound, what was seen. */
export function AnswerForm(props: AnswerFormProps): ReactElement {
  return props.asks === "done" ? <DoneForm {...props} /> : <SoundForm {...props} />;
}

const keyOf = ({ book, about }: AnswerFormProps): string => `${book.machines[0].id} ${about}`;

function DoneForm(props: AnswerFormProps): ReactElement {
  const { tasks, book, today, failure, onDecide, onLeave } = props;
  const meters = book.machines[0].meters ?? [];
  const form = useForm({
    form: "baselineDone",
    of: keyOf(props),
    source: null,
    modelOf: (_: null) => modelOfDone(meters, today),
    labels: DONE_LABELS,
    problemsOf: (model: DoneModel) => doneProblems(model, today),
    problemWords: doneProblemWords,
  });
  const hasFollowUps = book.tasks.some(({ follows }) => follows && tasks.includes(follows.task));
  const decide = ({ date, figures, note, followUpsDone }: DoneModel): Promise<boolean> => {
    const texts = meters.map(({ id }, place) => [id, figures[place] ?? ""] as const);
    return onDecide({
      ...{ code: "done", day: parseDay(date) ?? today, note },
      figures: figuresFrom(texts, false),
      followUpsDone: hasFollowUps && followUpsDone,
    });
  };
  const { field } = form;
  return (
    <FormBody
      form={form}
      onSave={decide}
      failure={failure}
      className="mt-2 space-y-2"
      foot={<Foot words="It was done then" onLeave={onLeave} />}
    >
      <div className="grid items-start gap-x-5 gap-y-2 sm:grid-cols-3">
        <DateField today={today} autoFocus {...field("date")} />
        <FigureFields units={meters.map(({ unit }) => unit)} {...field("figures")} />
        <TextField {...field("note")} />
      </div>
      {hasFollowUps && <CheckField {...field("followUpsDone")} />}
    </FormBody>
  );
}

function FigureFields({
  units,
  value: figures,
  onChange,
  problemAt,
}: FormField<readonly string[]> & { readonly units: readonly string[] }): ReactElement {
  return (
    <>
      {units.map((unit, place) => (
        <TextField
          // The meters of a machine stand in one order.
          key={place}
          label={figureLabel(unit)}
          isMono
          value={figures[place] ?? ""}
          problem={problemAt?.(String(place)) ?? ""}
          onChange={(text) =>
            // Also of a meter that was added since it was begun.
            onChange(units.map((_, at) => (at === place ? text : (figures[at] ?? ""))))
          }
        />
      ))}
    </>
  );
}

function SoundForm(props: AnswerFormProps): ReactElement {
  const { book, settings, today, failure, onDecide, onLeave } = props;
  const form = useForm({
    form: "baselineSound",
    of: keyOf(props),
    source: null,
    modelOf: modelOfSound,
    labels: SOUND_LABELS,
    problemsOf: noProblems,
    problemWords: noWords,
  });
  const decide = ({ note }: SoundModel): Promise<boolean> => {
    const figures = figuresFrom(reckonedTexts(book, settings, today, today), true);
    return onDecide({ code: "judged-sound", figures, note });
  };
  return (
    <FormBody
      form={form}
      onSave={decide}
      failure={failure}
      className="mt-2 max-w-[40rem] space-y-2"
      foot={<Foot words="Count from here" onLeave={onLeave} />}
    >
      <TextField autoFocus {...form.field("note")} />
    </FormBody>
  );
}

function Foot({
  words,
  onLeave,
}: {
  readonly words: string;
  readonly onLeave: () => void;
}): ReactElement {
  return (
    <div className="flex flex-wrap gap-3">
      <button type="submit" className={PRIMARY_BUTTON}>
        {words}
      </button>
      <button type="button" className={QUIET_BUTTON} onClick={onLeave}>
        Not yet
      </button>
    </div>
  );
}
