import type { MachineId } from "@yonderfell/core";
import type { BookStorage, Saved } from "../data/bookStorage.js";
import { changedMachine, changeWords, type NamedMachine } from "../words/changeWords.js";
import { store } from "./store.js";
import { changeMade } from "./undo.js";

/** The machine a change is told of by: as the board has it, else, where that is not there yet, as the book does. */
async function namedMachine(
  { change }: Saved,
  storage: Pick<BookStorage, "machineBook">,
): Promise<NamedMachine | null> {
  const id = changedMachine(change) as MachineId | null;
  if (id === null) return null;
  const onBoard = store.getState().board.machines.find(({ machine }) => machine.id === id);
  if (onBoard !== undefined) return onBoard;
  // It is saved: whatever becomes of its name, it can be taken back.
  const book = await storage.machineBook(id).catch(() => null);
  if (book === null) return null;
  const [machine] = book.machines;
  return {
    machine,
    meters: (machine.meters ?? []).map((meter) => ({ meter })),
    tasks: book.tasks.map((task) => ({ task })),
  };
}

/** Notes a change that this tab made, so that it can be taken back. */
export async function noteChange(
  saved: Saved,
  storage: Pick<BookStorage, "machineBook">,
): Promise<void> {
  const words = changeWords(saved.change, await namedMachine(saved, storage));
  store.dispatch(changeMade({ seq: saved.seq, words }));
}
