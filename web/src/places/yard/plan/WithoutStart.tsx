import { takeOnMachine, tasksWithoutStart, type MachineBook } from "@yonderfell/core";
import type { ReactElement } from "react";
import { useNavigate } from "react-router";
import { useAppSelector } from "../../../session/store.js";
import { nothingRefused, useCommands } from "../../../session/useCommands.js";
import { QUIET_BUTTON } from "../../../ui/buttons.js";
import { counted } from "../../../words/format.js";
import { machinePath } from "../../shared/paths.js";

/** The way to the same sheet for a machine of known history that has tasks nothing tells the last time of. */
export function WithoutStart({ book }: { readonly book: MachineBook }): ReactElement | null {
  const today = useAppSelector((state) => state.session.today);
  const lacking = tasksWithoutStart(book, today);
  const [machine] = book.machines;
  const { run, failure } = useCommands(nothingRefused);
  const navigate = useNavigate();
  if (lacking.length === 0) return null;
  const takeOn = (): void =>
    void run(
      (storage, around) => storage.perform(machine.id, [], takeOnMachine, around),
      "",
      () => navigate(machinePath(machine.id, "/plan/baseline")),
    );
  return (
    <p className="mb-5 flex flex-wrap items-center gap-x-5 gap-y-2 border-y border-rule py-2">
      <span>
        {`${counted(lacking.length, "task")} without any record ${lacking.length === 1 ? "counts" : "count"} from when it was new.`}
      </span>
      <button type="button" className={`${QUIET_BUTTON} ml-auto`} onClick={takeOn}>
        Say what they start from
      </button>
      <span role="alert" className="font-semibold text-due empty:hidden">
        {failure}
      </span>
    </p>
  );
}
