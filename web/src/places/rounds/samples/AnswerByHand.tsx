import { type Sample } from "@yonderfell/core";
import type { ReactElement } from "react";
import { FormBody } from "../../../form/FormBody.js";
import { useForm } from "../../../form/useForm.js";
import { useAppSelector } from "../../../session/store.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { DayField } from "../../../ui/DayField.js";
import { TextField } from "../../../ui/fields.js";
import { sentence } from "../../../words/format.js";
import {
  answerProblems,
  answerProblemWords,
  newAnswer,
  resultOf,
  type AnswerModel,
} from "./answerModel.js";
import { labUnit } from "./sampleWords.js";

const LABELS: Readonly<Record<keyof AnswerModel, string>> = {
  on: "Day of its letter",
  figures: "What it found",
  remarks: "Its remarks",
};

/** What a laboratory answered by letter, typed in the units the letters usually have. */
export function AnswerByHand({
  sample,
  onAnswer,
}: {
  readonly sample: Sample;
  readonly onAnswer: (
    result: NonNullable<Sample["result"]>,
    isInstead: boolean,
  ) => Promise<boolean>;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const form = useForm({
    form: "labAnswer",
    of: sample.id,
    source: null,
    modelOf: (): AnswerModel => newAnswer(today),
    labels: LABELS,
    problemsOf: answerProblems,
    problemWords: answerProblemWords,
  });
  const { value: figures, onChange, problemAt = () => "" } = form.field("figures");
  return (
    <FormBody
      form={form}
      onSave={(model) => onAnswer(resultOf(model), false)}
      failure=""
      className="space-y-3"
      foot={
        <button type="submit" className={QUIET_BUTTON}>
          Keep what was typed
        </button>
      }
    >
      <div className="grid gap-x-5 gap-y-1 sm:grid-cols-4">
        <DayField {...form.field("on")} />
        {figures.map(({ name, value }, at) => (
          <TextField
            key={name}
            label={`${sentence(name)}, ${labUnit(name)}`}
            isMono
            value={value}
            problem={problemAt(`${at}.value`)}
            onChange={(typed) =>
              onChange(figures.map((one) => (one.name === name ? { name, value: typed } : one)))
            }
          />
        ))}
      </div>
      <TextField {...form.field("remarks")} />
    </FormBody>
  );
}
