import type { MachineId } from "@yonderfell/core";
import { useLiveOf } from "../../data/useLiveOf.js";
import { useBook } from "../../session/openBook.js";

/** What the fluid systems of a machine are called; nothing until that is read. */
export function useSystemNames(machine: MachineId): (id: string) => string {
  const { storage } = useBook();
  const plate = useLiveOf(machine, () => storage.plate(machine), [storage]);
  return (id) => plate?.fluids.find((fluid) => fluid.id === id)?.system ?? "";
}
