import type { MachineBook, MeterChange } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useForm } from "../../form/useForm.js";
import { useAppSelector } from "../../session/store.js";
import { DateField } from "../../ui/DateField.js";
import { FigureField } from "../shared/logging/FigureField.js";
import { changeCommand, correctionProblems, modelOfChange } from "./correctionModel.js";
import { changeLabels, correctionProblemWords } from "./correctionWords.js";
import { InTheWay } from "./InTheWay.js";
import { CorrectionBody } from "./CorrectionBody.js";
import { useCorrection } from "./useCorrection.js";

const FIGURES = ["oldFinal", "newStart", "lost"] as const;

/** Corrects the day or the figures of a meter change. */
export function CorrectChange({
  book,
  change,
}: {
  readonly book: MachineBook;
  readonly change: MeterChange;
}): ReactElement {
  const today = useAppSelector((state) => state.session.today);
  const meter = (book.machines[0].meters ?? []).find((candidate) => candidate.id === change.meter);
  const correction = useCorrection(book);
  const form = useForm({
    form: "correctChange",
    of: change.id,
    source: change,
    modelOf: modelOfChange,
    labels: changeLabels(meter?.unit ?? ""),
    problemsOf: (model) => {
      const figures = FIGURES.map((key) => [key, model[key]] as const);
      const issue = correction.issueOf(changeCommand(change, model, today));
      return correctionProblems(model.date, figures, { field: "", issue });
    },
    problemWords: (problem) => correctionProblemWords(problem, meter, today),
  });
  const { field } = form;
  return (
    <CorrectionBody
      form={form}
      onSave={(model) => correction.save(changeCommand(change, model, today))}
      failure={correction.failure}
    >
      <DateField today={today} {...field("date")} />
      {FIGURES.map((key) => (
        <FigureField key={key} {...field(key)} />
      ))}
      {form.tried === 0 && (
        <InTheWay
          issue={correction.issueOf(changeCommand(change, form.model, today))}
          meter={meter}
        />
      )}
    </CorrectionBody>
  );
}
