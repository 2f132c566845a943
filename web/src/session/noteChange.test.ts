/** @jest-environment jsdom */
import { BOOK_NEEDS, logWork, type MachineId, type TaskId } from "@yonderfell/core";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../../test/memoryStorage.js";
import { board } from "./board.js";
import { noteChange } from "./noteChange.js";
import { store } from "./store.js";

const BUS = "m-bus" as MachineId;

test("what is saved before the board is there is called by its machine and task all the same, and can be taken back", async () => {
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  store.dispatch(board.closed());
  const work = { day: TODAY, tasks: ["t-bus-oil" as TaskId], figures: [], note: "" };
  const saved = await storage.perform(
    BUS,
    BOOK_NEEDS,
    (book, context) => logWork(book, work, context),
    countingSurroundings(),
  );
  if (!saved.ok) throw new Error("refused");
  await noteChange(saved.value, storage);
  const [step] = store.getState().undo.done;
  expect(step?.words).toMatch(/^work on 07, .+: engine oil and filter$/);
  const gone = { machineBook: () => Promise.reject(new Error("closed")) };
  await noteChange({ ...saved.value, seq: 2 }, gone);
  expect(store.getState().undo.done.map(({ seq }) => seq)).toEqual([1, 2]);
});
