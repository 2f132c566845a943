import type { MachineBook, Reading } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useForm } from "../../form/useForm.js";
import { useAppSelector } from "../../session/store.js";
import { DateField } from "../../ui/DateField.js";
import { CheckField } from "../../ui/fields.js";
import { FigureField } from "../shared/logging/FigureField.js";
import {
  correctionProblems,
  modelOfReading,
  readingCommand,
  type ReadingModel,
} from "./correctionModel.js";
import { correctionProblemWords, readingLabels } from "./correctionWords.js";
import { InTheWay } from "./InTheWay.js";
import { CorrectionBody } from "./CorrectionBody.js";
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
  const meter = (book.machines[0].meters ?? []).find((candidate) => candidate.id === reading.meter);
  const correction = useCorrection(book);
  const issueOf = (model: ReadingModel) =>
    correction.issueOf(readingCommand(reading, model, today));
  const form = useForm({
    form: "correctReading",
    of: reading.id,
    source: reading,
    modelOf: modelOfReading,
    labels: readingLabels(meter?.unit ?? ""),
    problemsOf: (model) =>
      correctionProblems(model.date, [["value", model.value]], {
        field: "value",
        issue: issueOf(model),
      }),
    problemWords: (problem) => correctionProblemWords(problem, meter, today),
  });
  const { field, model } = form;
  const issue = issueOf(model);
  const isDoubted = issue?.code === "figure-in-doubt";
  return (
    <CorrectionBody
      form={form}
      onSave={(typed) => correction.save(readingCommand(reading, typed, today))}
      failure={correction.failure}
    >
      <DateField today={today} {...field("date")} />
      <FigureField isLarge {...field("value")} />
      {form.tried === 0 && <InTheWay issue={issue} meter={meter} />}
      {(isDoubted || model.figureIsRight) && <CheckField {...field("figureIsRight")} />}
    </CorrectionBody>
  );
}
