import type { Machine } from "../book/records/machine.js";
import type { MachineId, MeterId } from "../book/records/ids.js";
import { median } from "../sums/middle.js";
import type { BookCosts } from "./bookCosts.js";

/** What a unit run of a machine cost beside the others of its kind. */
export interface BesideKind {
  readonly machine: MachineId;
  readonly meter: MeterId;
  readonly unit: "km" | "mi" | "h";
  readonly run: number;
  /** Money a unit run. */
  readonly perUnit: number;
  /** So many machines of its kind have such a figure, itself with them. */
  readonly ofKind: number;
  /** Theirs in the middle; null where it is the only one. */
  readonly median: number | null;
}

/** What each meter of the machines cost by a unit run, beside the median of its kind in the same unit; meters without a figure are left out. */
export function besideKind(costs: BookCosts, machines: readonly Machine[]): BesideKind[] {
  const known = new Map(machines.map((machine) => [machine.id, machine]));
  const figures = costs.machines.flatMap(({ id, meters }) => {
    const machine = known.get(id);
    return meters.flatMap(({ id: meter, run, perUnit }) => {
      const unit = machine?.meters?.find((one) => one.id === meter)?.unit;
      if (machine === undefined || unit === undefined || run === null || perUnit === null)
        return [];
      return [{ machine: id, kind: machine.kind, meter, unit, run, perUnit }];
    });
  });
  return figures.map(({ kind, ...one }) => {
    const same = figures.filter((other) => other.kind === kind && other.unit === one.unit);
    const ofKind = new Set(same.map(({ machine }) => machine)).size;
    return {
      ...one,
      ...{ ofKind, median: ofKind < 2 ? null : median(same.map(({ perUnit }) => perUnit)) },
    };
  });
}
