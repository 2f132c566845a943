import { formatDay, systemsInUse, type MachineId } from "@yonderfell/core";
import { useMemo } from "react";
import { useAppSelector } from "../../../session/store.js";
import { useWorkSource } from "../../../session/useWorkSource.js";
import type { KnownMachine } from "./fromMachine.js";

/** A machine with what is known of it for sums; null where there is none, undefined until read. */
export function useKnown(id: MachineId): KnownMachine | null | undefined {
  const machine = useAppSelector((state) =>
    state.board.machines.find((one) => one.machine.id === id),
  );
  const today = useAppSelector((state) => state.session.today);
  const source = useWorkSource(machine?.machine.id);
  return useMemo(() => {
    if (machine === undefined || source === null) return null;
    if (source === undefined) return undefined;
    const systems = systemsInUse(source.book, source.plate.fluids, today);
    return { machine, source, systems, today: formatDay(today) };
  }, [machine, source, today]);
}
