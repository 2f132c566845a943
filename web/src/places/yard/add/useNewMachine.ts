import { addMachine, vinDoubt, type MachineIssue } from "@yonderfell/core";
import { useState, type FormEvent } from "react";
import { useNavigate } from "react-router";
import { notifyChange } from "../../../app/notify.js";
import { surroundings, useBook } from "../../../app/openBook.js";
import { useOneAtATime } from "../../../app/useOneAtATime.js";
import { noteChange } from "../../../app/usePerform.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import { errorWords } from "../../../words/errorWords.js";
import { machineIssueWords, vinDoubtWords } from "../../../words/machineWords.js";
import { machinePath } from "../MachineFrame.js";
import { emptySheet, newMachineOf, sheetProblem, type MachineSheet } from "./newMachineModel.js";

/** The sheet of a new machine in hand. */
export interface NewMachineState {
  readonly form: FormModel<MachineSheet>;
  /** What stands in the way, once saving has been tried. */
  readonly problem: string;
  /** What is odd about the identification number; it is kept all the same. */
  readonly vinRemark: string;
  readonly save: (event: FormEvent) => void;
}

/** Fills in the sheet of a new machine and saves it in one change. */
export function useNewMachine(): NewMachineState {
  const { storage } = useBook();
  const navigate = useNavigate();
  const once = useOneAtATime();
  const form = useModel(emptySheet);
  const [problem, setProblem] = useState("");
  const { model } = form;
  const write = async (): Promise<void> => {
    const wrong = sheetProblem(model);
    if (wrong !== "") return setProblem(wrong);
    const input = newMachineOf(model);
    const result = await storage.performShared<MachineIssue>(
      (shared, context) => addMachine(shared, input, context),
      surroundings(),
    );
    if (!result.ok) return setProblem(result.issues.map(machineIssueWords).join(" "));
    noteChange(result.value);
    notifyChange(`${model.tag.trim()} ${model.name.trim()} is in the Yard.`);
    const added = result.value.change.records.find(({ section }) => section === "machines");
    await navigate(machinePath(added?.id ?? "", "/plate"));
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    void once(() =>
      write().catch((error: unknown) =>
        setProblem(`It was not saved: ${errorWords(error)}. What you typed is still here.`),
      ),
    );
  };
  const doubt = model.vin.trim() === "" ? null : vinDoubt(model.vin);
  return { form, problem, vinRemark: doubt === null ? "" : vinDoubtWords(doubt), save };
}
