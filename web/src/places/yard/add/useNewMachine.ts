import { addMachine, vinDoubt, type MachineIssue } from "@yonderfell/core";
import { useNavigate } from "react-router";
import { useCommands } from "../../../session/useCommands.js";
import { useAppSelector } from "../../../session/store.js";
import { useForm, type FormInHand } from "../../../form/useForm.js";
import { machineIssueWords, vinDoubtWords } from "../../../words/machineWords.js";
import { SHEET_LABELS, sheetProblemWords } from "./addWords.js";
import {
  emptySheet,
  newMachineOf,
  nextNumber,
  sheetProblems,
  type MachineSheet,
} from "./newMachineModel.js";
import { machinePath } from "../../shared/paths.js";

/** The sheet of a new machine in hand; what it begins with is the next free number. */
export interface NewMachineState {
  readonly form: FormInHand<MachineSheet, string>;
  readonly failure: string;
  /** What is odd about the identification number; it is kept all the same. */
  readonly vinRemark: string;
  readonly save: (sheet: MachineSheet) => Promise<boolean>;
}

/** Fills in the sheet of a new machine and saves it in one change. */
export function useNewMachine(): NewMachineState {
  const navigate = useNavigate();
  const { run, failure } = useCommands<MachineIssue>(machineIssueWords);
  const board = useAppSelector((state) => state.board.machines);
  const machines = board.map(({ machine }) => machine);
  const form = useForm({
    form: "addMachine",
    of: "new",
    // The machines may be known only after the sheet is: a number that was not touched follows them.
    source: nextNumber(machines.map(({ tag }) => tag)),
    modelOf: emptySheet,
    labels: SHEET_LABELS,
    problemsOf: (sheet) => sheetProblems(sheet, machines),
    problemWords: sheetProblemWords,
  });
  const save = async (sheet: MachineSheet): Promise<boolean> => {
    const saved = await run(
      (storage, around) =>
        storage.performShared(
          ["machines"],
          (shared, context) => addMachine(shared, newMachineOf(sheet), context),
          around,
        ),
      `${sheet.tag.trim()} ${sheet.name.trim()} is in the Yard.`,
      ({ change }) => {
        const added = change.records.find(({ section }) => section === "machines");
        return navigate(machinePath(added?.id ?? "", "/plan"));
      },
    );
    return saved !== null;
  };
  const { vin } = form.model;
  const doubt = vin.trim() === "" ? null : vinDoubt(vin);
  return { form, failure, vinRemark: doubt === null ? "" : vinDoubtWords(doubt), save };
}
