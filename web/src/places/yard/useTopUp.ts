import {
  coldOf,
  fluidDoubts,
  plannedFilling,
  usualTopUp,
  type Fluid,
  type FluidDoubt,
  type FluidUsed,
  type PlannedFluid,
  type ReadingLine,
} from "@yonderfell/core";
import { useState } from "react";
import { useWorkSource } from "../../session/useWorkSource.js";

/** A top-up as it stands on the reading line. */
export interface TopUpState {
  /** The systems it may be of. */
  readonly systems: readonly Fluid[];
  /** The one it is taken to be of; null where it must be said. */
  readonly chosen: PlannedFluid | null;
  /** What the entry says of it; null where its system is not said. */
  readonly used: FluidUsed | null;
  readonly doubts: readonly FluidDoubt[];
  /** Whether it must be said which system it is of, or is said by the person. */
  readonly isAsked: boolean;
  readonly choose: (system: string) => void;
}

/** The top-up of a line: the engine's oil where there is one such system, else it asks which; null where there is none, undefined until the plate is read. */
export function useTopUp(line: ReadingLine | null): TopUpState | null | undefined {
  const [said, choose] = useState("");
  const machine = line === null || line.topUp === null ? undefined : line.machine;
  const source = useWorkSource(machine?.id);
  if (line === null || line.topUp === null || machine === undefined) return null;
  if (!source) return undefined;
  const { fluids } = source.plate;
  const usual = usualTopUp(fluids);
  const fluid = usual ?? fluids.find(({ id }) => id === said) ?? null;
  const chosen = fluid === null ? null : plannedFilling(fluid, source);
  const used =
    chosen === null
      ? null
      : {
          ...{ fluid: chosen.fluid.id, in: line.topUp, from: chosen.from },
          product: chosen.product?.id ?? null,
          price: chosen.price?.price ?? null,
        };
  const cold = coldOf(machine, source.settings);
  const doubts =
    chosen === null || used === null ? [] : fluidDoubts(used, { ...chosen, uses: [], cold });
  return { systems: fluids, chosen, used, doubts, isAsked: usual === null, choose };
}
