import type { Highs, ModelData } from "highs";
import { costOfAnswer, type FleetAnswer } from "./fleetAnswer.js";
import { fleetMilp, type FleetModel } from "./fleetModel.js";
import type { FleetProblem } from "./fleetProblem.js";

/** How far a search is. */
export interface FleetFound {
  readonly answer: FleetAnswer;
  /** What sharing the weeks costs by it, in the book's money. */
  readonly sharing: number;
  /** What it costs at least, however they are shared. */
  readonly bound: number;
}

/** What a search begins with and when it ends. */
export interface FleetSearch {
  /** An answer and a bound that are known. */
  readonly known: FleetFound;
  /** It ends where the answer is so near to the bound: a share of what sharing costs. */
  readonly gap: number;
  /** It ends after so many seconds of the solver's time; Infinity for never. */
  readonly seconds: number;
  /** Told of each better answer and each better bound. */
  readonly onFound: (found: FleetFound) => void;
}

/** Sums nearer than this, in the book's money, count as equal. */
const NEGLIGIBLE = 1e-6;

/**
 * The best weeks for all machines together, by branch and cut from an answer that is known; `highs` is the solver.
 * Runs to its end without a pause: in a worker that can be ended, as what was told before stays good.
 */
export function solveFleet(highs: Highs, problem: FleetProblem, search: FleetSearch): FleetFound {
  // Nothing is left to be found.
  if (search.known.sharing - search.known.bound <= NEGLIGIBLE) return search.known;
  const { model, columnsOf, answerOf } = fleetMilp(problem);
  let found = search.known;
  const better = (columns: Float64Array): void => {
    const answer = answerOf(columns);
    const { sharing } = costOfAnswer(problem, answer);
    if (sharing >= found.sharing - NEGLIGIBLE) return;
    found = { ...found, answer, sharing };
    search.onFound(found);
  };
  const bounded = (bound: number | undefined): void => {
    if (bound === undefined || !Number.isFinite(bound)) return;
    const known = Math.min(bound, found.sharing);
    if (known <= found.bound + NEGLIGIBLE) return;
    found = { ...found, bound: known };
    search.onFound(found);
  };
  highs.withModel(modelFor(highs, model), (solver) => {
    solver.options.set({
      output_flag: false,
      mip_rel_gap: search.gap,
      ...(Number.isFinite(search.seconds) ? { time_limit: search.seconds } : {}),
    });
    solver.setSolution({ colValue: columnsOf(search.known.answer) });
    const { mipImprovingSolution, mipInterrupt } = highs.constants.callbackType;
    solver.run({
      [mipImprovingSolution]({ data }) {
        if (data.mip_solution !== undefined) better(data.mip_solution);
        return undefined;
      },
      [mipInterrupt]({ data }) {
        bounded(data.mip_dual_bound);
        return undefined;
      },
    });
    const { colValue } = solver.getSolution();
    if (colValue.length === model.numCols) better(colValue);
    bounded(Number(solver.info.get("mip_dual_bound")));
  });
  return found;
}

/** A model with what the solver takes for infinite. */
function modelFor(highs: Highs, model: FleetModel): ModelData {
  const finite = (one: number): number =>
    Number.isFinite(one) ? one : Math.sign(one) * highs.infinity;
  return {
    ...model,
    colUpper: model.colUpper.map(finite),
    rowLower: model.rowLower.map(finite),
  };
}
