import { addMachine, namingIssues, vinDoubt, type MachineIssue } from "@yonderfell/core";
import { useState, type FormEvent } from "react";
import { useNavigate } from "react-router";
import { useCommands } from "../../../app/useCommands.js";
import { useAppSelector } from "../../../app/store.js";
import { useModel, type FormModel } from "../../../ui/useModel.js";
import { machineIssueWords, vinDoubtWords } from "../../../words/machineWords.js";
import { machinePath } from "../MachineFrame.js";
import {
  emptySheet,
  newMachineOf,
  nextNumber,
  sheetProblem,
  type MachineSheet,
} from "./newMachineModel.js";

/** The sheet of a new machine in hand. */
export interface NewMachineState {
  readonly form: FormModel<MachineSheet>;
  /** What stands in the way, once saving has been tried; what is said at a field is not in it. */
  readonly problem: string;
  /** What is wrong with what it is called, by field. */
  readonly problems: NamingProblems;
  /** How often saving has been tried in vain. */
  readonly tried: number;
  /** What is odd about the identification number; it is kept all the same. */
  readonly vinRemark: string;
  readonly save: (event: FormEvent) => void;
}

/** What is wrong with the number, the name and the kind of a machine. */
export type NamingProblems = Partial<Record<"tag" | "name" | "kind", string>>;

const FIELD_OF: Partial<Record<MachineIssue["code"], keyof NamingProblems>> = {
  "tag-missing": "tag",
  "tag-taken": "tag",
  "name-missing": "name",
  "kind-missing": "kind",
};

function problemsOf(issues: readonly MachineIssue[]): NamingProblems {
  return Object.fromEntries(
    issues.flatMap((issue) => {
      const field = FIELD_OF[issue.code];
      return field === undefined ? [] : [[field, machineIssueWords(issue)]];
    }),
  );
}

/** Fills in the sheet of a new machine and saves it in one change. */
export function useNewMachine(): NewMachineState {
  const navigate = useNavigate();
  const { run, failure } = useCommands<MachineIssue>(machineIssueWords);
  const machines = useAppSelector((state) => state.board.machines);
  const proposed = nextNumber(machines.map(({ machine }) => machine.tag));
  const form = useModel(() => emptySheet(proposed));
  const [problem, setProblem] = useState("");
  const [problems, setProblems] = useState<NamingProblems>({});
  const [tried, setTried] = useState(0);
  const { model, set } = form;
  // The machines may be known only after the sheet is: a number that was not touched follows them.
  const [last, setLast] = useState(proposed);
  if (last !== proposed) {
    setLast(proposed);
    if (model.tag === last) set({ tag: proposed });
  }
  const write = async (): Promise<void> => {
    const wrong = sheetProblem(model);
    setProblem(wrong);
    const input = newMachineOf(model);
    const named = namingIssues(
      input.facts,
      machines.map(({ machine }) => machine),
      null,
    );
    setProblems(problemsOf(named));
    if (wrong !== "" || named.length > 0) return setTried((times) => times + 1);
    await run(
      (storage, around) =>
        storage.performShared(
          ["machines"],
          (shared, context) => addMachine(shared, input, context),
          around,
        ),
      `${model.tag.trim()} ${model.name.trim()} is in the Yard.`,
      ({ change }) => {
        const added = change.records.find(({ section }) => section === "machines");
        return navigate(machinePath(added?.id ?? "", "/plan"));
      },
    );
  };
  const save = (event: FormEvent): void => {
    event.preventDefault();
    void write();
  };
  const doubt = model.vin.trim() === "" ? null : vinDoubt(model.vin);
  return {
    form,
    problem: problem === "" ? failure : problem,
    problems,
    tried,
    vinRemark: doubt === null ? "" : vinDoubtWords(doubt),
    save,
  };
}
