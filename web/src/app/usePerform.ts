import type { MachineId, Result } from "@yonderfell/core";
import { useCallback } from "react";
import type { MachineCommand, MachineMissing, Saved } from "../data/bookStorage.js";
import { changeWords } from "../words/changeWords.js";
import { surroundings, useBook } from "./openBook.js";
import { store } from "./store.js";
import { changeMade } from "./undo.js";

/** Runs a command on a machine. */
export type Perform = <Issue>(
  machine: MachineId,
  command: MachineCommand<Issue>,
) => Promise<Result<Saved, Issue | MachineMissing>>;

/** Notes a change that this tab made, so that it can be taken back. */
export function noteChange(saved: Saved): void {
  const words = changeWords(saved.change, store.getState().board.machines);
  store.dispatch(changeMade({ seq: saved.seq, words }));
}

/** The way to run commands on machines of the open book; what they do can be taken back. */
export function usePerform(): Perform {
  const { storage } = useBook();
  return useCallback(
    async (machine, command) => {
      const result = await storage.perform(machine, command, surroundings());
      if (result.ok) noteChange(result.value);
      return result;
    },
    [storage],
  );
}
