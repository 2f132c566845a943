import { z } from "zod";
import type { Sample } from "../book/records/sample.js";
import { dateField, numberField, textField } from "../book/records/fields.js";
import { readFigure, type ToldFigure } from "./figures.js";

const limitField = z.looseObject({ watch: numberField.nullish(), stop: numberField.nullish() });
const limitsField = z.record(z.string(), limitField).nullish();

const answerSchema = z.looseObject({
  /** The first is 1; a laboratory that looks again answers again. */
  number: z.int().positive(),
  on: dateField,
  figures: z.array(z.looseObject({ name: textField, value: numberField, unit: textField })),
  /** From where on a figure is to be watched or stopped at, in the unit the program keeps it in. */
  limits: limitsField,
  /** The same, for what must not fall. */
  lowest: limitsField,
  remarks: textField.nullish(),
});

/** What a laboratory says of a sample that was sent to it (docs/formats/stand-ins.md): still at it, or answered, once or again. */
export const labReportSchema = z.looseObject({
  label: textField,
  laboratory: textField,
  simulated: z.boolean(),
  /** When it said it would answer, as an instant. */
  promised: z.iso.datetime(),
  answers: z.array(answerSchema),
});
export type LabReport = z.infer<typeof labReportSchema>;
export type LabAnswer = LabReport["answers"][number];

/** What somebody must look at before an answer is taken. */
export type AnswerDoubt =
  /** It was written in another unit: what is made of it. */
  | {
      readonly code: "other-unit";
      readonly name: string;
      readonly told: ToldFigure;
      readonly value: number;
    }
  /** Its unit is none of that figure: it is left out unless somebody types it. */
  | { readonly code: "unknown-unit"; readonly name: string; readonly told: ToldFigure }
  /** It answers for a label that is not the sample's. */
  | { readonly code: "other-label"; readonly label: string }
  /** Another answer is kept already. */
  | { readonly code: "answered-before"; readonly on: string };

type Limits = LabAnswer["limits"];

/** Limits as the book keeps them: what else a laboratory writes beside them is left. */
function limitsOf(told: Limits): Record<string, { watch?: number; stop?: number }> | null {
  if (!told) return null;
  return Object.fromEntries(
    Object.entries(told).map(([name, { watch, stop }]) => [
      name.trim().toLowerCase(),
      {
        ...(watch === null || watch === undefined ? {} : { watch }),
        ...(stop === null || stop === undefined ? {} : { stop }),
      },
    ]),
  );
}

/** The result that an answer would be kept as, and what somebody must look at first. */
export function readAnswer(
  sample: Sample,
  label: string,
  answer: LabAnswer,
): { readonly result: NonNullable<Sample["result"]>; readonly doubts: readonly AnswerDoubt[] } {
  const doubts: AnswerDoubt[] = [];
  if (label !== (sample.label ?? "")) doubts.push({ code: "other-label", label });
  if (sample.result) doubts.push({ code: "answered-before", on: sample.result.on });
  const values: Record<string, number> = {};
  for (const told of answer.figures) {
    const read = readFigure(told);
    if (read === null) {
      doubts.push({ code: "unknown-unit", name: told.name, told });
      continue;
    }
    const { name, value } = read;
    if (read.isConverted) doubts.push({ code: "other-unit", name, told, value });
    values[name] = value;
  }
  const { on, number, remarks } = answer;
  const [limits, lowest] = [limitsOf(answer.limits), limitsOf(answer.lowest)];
  const result = {
    ...{ on, values, answer: number },
    ...(limits ? { limits } : {}),
    ...(lowest ? { lowest } : {}),
    ...(remarks ? { remarks } : {}),
  };
  return { result, doubts };
}
