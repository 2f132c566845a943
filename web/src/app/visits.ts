import { DEFAULT_PLANNING, type DayNumber, type Planning, type WorkHours } from "@yonderfell/core";
import { createAction, type UnknownAction } from "@reduxjs/toolkit";
import { joined } from "./joined.js";
import type { PlannedMachine, VisitsUpdate } from "../work/visitKeeper.js";

/** The visits of the open book, planned while a screen wants them. */
export interface VisitsState {
  readonly phase: "unwanted" | "planning" | "ready" | "failed";
  readonly reason: string;
  readonly seq: number;
  readonly today: DayNumber | null;
  readonly planning: Planning;
  readonly hours: WorkHours;
  readonly machines: readonly PlannedMachine[];
}

const EMPTY: VisitsState = {
  phase: "unwanted",
  reason: "",
  seq: -1,
  today: null,
  planning: DEFAULT_PLANNING,
  hours: { people: null, bays: null, hours: null },
  machines: [],
};

export const visitsWanted = createAction("visits/wanted");
export const visitsPlanning = createAction("visits/planning");
export const visitsUnchanged = createAction("visits/unchanged");
export const visitsClosed = createAction("visits/closed");
export const visitsUpdated = createAction<VisitsUpdate>("visits/updated");
export const visitsFailed = createAction<string>("visits/failed");

/** The visits after an update. Written by hand, not with drafts: they are handed over as they are. */
export function visitsReducer(state: VisitsState = EMPTY, action: UnknownAction): VisitsState {
  if (visitsClosed.match(action)) return EMPTY;
  if (visitsWanted.match(action)) {
    return state.phase === "unwanted" ? { ...state, phase: "planning" } : state;
  }
  if (visitsPlanning.match(action)) return { ...state, phase: "planning" };
  if (visitsUnchanged.match(action)) return { ...state, phase: "ready" };
  if (visitsFailed.match(action)) return { ...state, phase: "failed", reason: action.payload };
  if (visitsUpdated.match(action)) return updated(state, action.payload);
  return state;
}

function updated(state: VisitsState, update: VisitsUpdate): VisitsState {
  const { seq, today, planning, hours } = update;
  const machines = joined(state.machines, update);
  return { phase: "ready", reason: "", seq, today, planning, hours, machines };
}
