import type { Fitment, FitmentId, Machine, PartId, TaskId } from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { orNull } from "../../../form/typed.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** Which side of a machine. */
export type Side = NonNullable<Fitment["side"]>;

/** What a machine takes, as it stands in the form. */
export interface FitmentModel {
  readonly part: string;
  readonly position: string;
  readonly side: Side | "";
  readonly perService: string;
  readonly tasks: readonly string[];
  readonly note: string;
}

/** A fitment as it stands in the form, empty for a new one. */
export function modelOfFitment(fitment: Fitment | null): FitmentModel {
  return {
    part: fitment?.part ?? "",
    position: fitment?.position ?? "",
    side: fitment?.side ?? "",
    perService: typedFigure(fitment?.perService ?? 1),
    tasks: fitment?.tasks ?? [],
    note: fitment?.note ?? "",
  };
}

/** What is wrong with a fitment as it is typed. */
export interface FitmentProblem {
  readonly field: keyof FitmentModel;
  readonly code: "part-missing" | "not-above-0";
}

/** What is still wrong with it, at its fields. */
export function fitmentProblems(model: FitmentModel): readonly FitmentProblem[] {
  const part: FitmentProblem[] = model.part === "" ? [{ field: "part", code: "part-missing" }] : [];
  const isAmount = (typedNumber(model.perService) ?? 0) > 0;
  return isAmount ? part : [...part, { field: "perService", code: "not-above-0" }];
}

/** The fitment of a form that has no problem. */
export function fitmentOf(model: FitmentModel, before: Fitment | null, machine: Machine): Fitment {
  return {
    ...before,
    id: before?.id ?? (newId() as FitmentId),
    machine: machine.id,
    part: model.part as PartId,
    position: orNull(model.position),
    side: model.side === "" ? null : model.side,
    perService: typedNumber(model.perService) ?? 1,
    tasks: [...model.tasks] as TaskId[],
    note: orNull(model.note),
  };
}
