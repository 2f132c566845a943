import type { MachineId } from "@yonderfell/core";

interface OfMachine {
  readonly machine: { readonly id: MachineId };
}

/** What is known by machine after an update: all anew where it is whole, else each changed one in its place and new ones last. */
export function joined<T extends OfMachine>(
  before: readonly T[],
  update: { readonly isWhole: boolean; readonly machines: readonly T[] },
): readonly T[] {
  if (update.isWhole) return update.machines;
  const changed = new Map(update.machines.map((one) => [one.machine.id, one]));
  const known = new Set(before.map((one) => one.machine.id));
  return [
    ...before.map((one) => changed.get(one.machine.id) ?? one),
    ...update.machines.filter((one) => !known.has(one.machine.id)),
  ];
}
