import type { FindingReckoning, FluidDoubt, Gallons, PlannedWork } from "@yonderfell/core";
import type { WorkSource } from "../../../session/useWorkSource.js";
import type { FormTook } from "./tookModel.js";

/** What the work took, and what it is looked at beside. */
export interface TookProps {
  readonly took: FormTook;
  readonly plan: PlannedWork;
  readonly source: WorkSource;
  readonly doubts: readonly (readonly FluidDoubt[])[];
  readonly findings: readonly FindingReckoning[];
  readonly gallons: Gallons | null;
  /** The row that stands open at first, such as `fluids.0`; empty where none does. */
  readonly opened: string;
  readonly onTook: (took: FormTook) => void;
}

/** What the parts of the panel share. */
export interface Shared extends TookProps {
  readonly currency: string;
  /** The row that stands open, such as `fluids.0`. */
  readonly open: string;
  readonly setOpen: (row: string) => void;
}
